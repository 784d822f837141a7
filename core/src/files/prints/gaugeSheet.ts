import type { WantedSlot } from '../../layout/index.js';
import { circleOf, type Outline } from '../../pattern/index.js';
import { MARGIN, PAPERS, type Ink, type Page, type PrintPaper } from '../page.js';
import { checkBar, FOOT, TOP } from './longSheet.js';
import { threeUnits } from './stick.js';

export interface GaugesWish {
  title: string;
  paper: PrintPaper;
  /** what the cutter takes away; 0 for paper that is cut by hand. mm */
  kerf: number;
}

/** One gauge: a closed line to be cut, and its words. Its own corner is (0, 0). mm */
interface Shape {
  width: number;
  height: number;
  line: [number, number][];
  words: string[];
}

const RIM = 12;
const GAP = 8;
const WORDS = 11;

/** Slot gauges for sizes that no gauge of the workshop has: to be cut from ply or card. */
export function slotGauges(slots: readonly WantedSlot[], wish: GaugesWish): Page[] {
  return laidOut(
    `Slot gauges: ${wish.title}`,
    wish.kerf > 0
      ? `Slots are drawn ${threeUnits(wish.kerf)} narrower: that is what the cutter takes away.`
      : 'Cut on the inside of the lines, file to the line, try on a calliper.',
    slots.map((wanted) => slot(wanted, wish.kerf)),
    wish.paper,
  );
}

/** A slot deeper than half its size, so that it goes over the middle of the work; a no-go slot at the other edge. */
function slot({ go, noGo }: WantedSlot, kerf: number): Shape {
  const wide = Math.max(0.2, go - kerf);
  const deep = go / 2 + 8;
  const width = wide + 2 * RIM;
  const height = noGo === null ? deep + RIM : 2 * deep + RIM;
  const narrow = noGo === null ? 0 : Math.max(0.2, noGo - kerf);
  const foot: [number, number][] =
    noGo === null
      ? []
      : [
          [(width + narrow) / 2, height],
          [(width + narrow) / 2, height - deep],
          [(width - narrow) / 2, height - deep],
          [(width - narrow) / 2, height],
        ];
  return {
    width,
    height,
    words: noGo === null ? [threeUnits(go)] : [`go ${threeUnits(go)}`, `no-go ${threeUnits(noGo)}`],
    line: [
      [0, 0],
      [RIM, 0],
      [RIM, deep],
      [RIM + wide, deep],
      [RIM + wide, 0],
      [width, 0],
      [width, height],
      ...foot,
      [0, height],
      [0, 0],
    ],
  };
}

/** Largest radius that a card gauge is made for, mm. */
const LARGEST_RADIUS = 150;

/** Radii of the round and hollow arcs of an outline, each once, mm. */
export function radiiOf(outline: Outline): number[] {
  const radii = outline.segments
    .filter((s) => s.bulge !== 0)
    .map((s) => Math.round(circleOf(s).radius * 10) / 10)
    .filter((r) => r >= 1 && r <= LARGEST_RADIUS);
  return [...new Set(radii)].sort((a, b) => a - b);
}

/** Radius gauges: each block is round at its head for hollows, hollow at its foot for rounds. */
export const radiusGauges = (radii: readonly number[], wish: GaugesWish): Page[] =>
  laidOut(
    `Radius gauges: ${wish.title}`,
    'The round head tries hollows, the hollow foot tries rounds.',
    radii.map((r) => radiusBlock(r)),
    wish.paper,
  );

const BLOCK = 22;
const ARC_STEPS = 48;

function radiusBlock(r: number): Shape {
  const half = Math.min(r * 0.94, 24);
  const rise = (x: number) => Math.sqrt(r * r - (x - half) ** 2) - Math.sqrt(r * r - half * half);
  const top = rise(half);
  const along = Array.from({ length: ARC_STEPS + 1 }, (_, i) => (2 * half * i) / ARC_STEPS);
  return {
    width: 2 * half,
    height: BLOCK + top,
    words: [`radius ${threeUnits(r)}`],
    line: [
      ...along.map((x): [number, number] => [x, top - rise(x)]),
      ...[...along].reverse().map((x): [number, number] => [x, BLOCK + top - rise(x)]),
      [0, top],
    ],
  };
}

/** Lays shapes in rows, from sheet to sheet. */
function laidOut(title: string, hint: string, shapes: readonly Shape[], paper: PrintPaper): Page[] {
  const size = paper === 'roll' ? { width: 400, height: Infinity } : PAPERS[paper];
  const pages: { ink: Ink[]; low: number }[] = [];
  let x = MARGIN;
  let y = TOP;
  let row = 0;
  const fresh = () => {
    pages.push({ ink: titleInk(title, hint), low: TOP });
    [x, y, row] = [MARGIN, TOP, 0];
  };
  fresh();
  for (const shape of shapes) {
    const taken = Math.max(shape.width, 46);
    if (x + taken > size.width - MARGIN && x > MARGIN) [x, y, row] = [MARGIN, y + row + GAP, 0];
    if (y + shape.height + WORDS > size.height - FOOT - MARGIN && y > TOP) fresh();
    const page = pages.at(-1);
    page?.ink.push(...placed(shape, x, y));
    x += taken + GAP;
    row = Math.max(row, shape.height + WORDS);
    if (page) page.low = Math.max(page.low, y + row);
  }
  return pages.map(({ ink, low }) => {
    const height = paper === 'roll' ? low + FOOT + MARGIN : size.height;
    return { width: size.width, height, ink: [...ink, ...checkBar(height)] };
  });
}

const titleInk = (title: string, hint: string): Ink[] => [
  { kind: 'text', x: MARGIN, y: MARGIN + 4, size: 6, text: title, bold: true },
  { kind: 'text', x: MARGIN, y: MARGIN + 10, size: 3.6, text: hint },
];

const placed = ({ line, words, height }: Shape, x: number, y: number): Ink[] => [
  { kind: 'polyline', weight: 0.3, cut: true, points: line.map(([px, py]) => [x + px, y + py]) },
  ...words.map((text, i): Ink => ({
    kind: 'text',
    x,
    y: y + height + 4 + i * 3.6,
    size: 2.8,
    text,
    bold: i === 0,
  })),
];
