import { formatLength } from '../../measure/index.js';
import { edgePoints, offsetAbove, type Template } from '../../layout/index.js';
import type { Copying } from '../../workshop/index.js';
import type { Ink, Page, PrintPaper } from '../page.js';
import { CHECK_BAR, longSheet, roomOn, TOP, type Placed } from './longSheet.js';

export interface TemplateWish {
  title: string;
  /** of the pattern and the plan: an old template is known by it */
  version: string;
  template: Template;
  copying: Copying;
  paper: PrintPaper;
  /** the file goes to a cutter, which takes its kerf away */
  forCutter: boolean;
}

/** Board left below the lowest place of the edge, mm. */
const BOARD = 25;
/** Chords of the drawn edge stray by at most this, mm. */
const CHORD = 0.002;

/** Template for the copying attachment at 1:1: edge, board, split with the way of the cuts, check length. */
export function templateSheet(wish: TemplateWish): Page[] {
  const { template, copying, paper } = wish;
  const kerf = wish.forCutter ? copying.templateKerf : 0;
  const edge = edgePoints(kerf > 0 ? offsetAbove(template.edge, kerf / 2) : template.edge, CHORD);
  const heights = edge.map(([, y]) => y);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const tall = high - low + BOARD;
  const y = (h: number) => TOP + (high - h);
  const [from, to] = [template.edge[0]?.x0 ?? 0, template.edge.at(-1)?.x1 ?? 0];
  const fits = tall <= roomOn(paper);
  return longSheet(
    {
      title: `Template: ${wish.title}`,
      hint: `Version ${wish.version}. Stylus ${radius(copying.stylus)}, cutter ${radius(copying.cutter)}${kerf > 0 ? `, kerf ${formatLength(kerf, 'mm')} allowed for` : ''}. ${fits ? `Check ${hasNotches(from, to) ? 'both notches at the foot' : 'the bar below'}: 100 mm.` : 'Too tall for this sheet: take the SVG or DXF.'}`,
      from,
      to,
      tall,
      ink: (place) => [board(edge, place, y, TOP + tall), ...splitInk(template, place, TOP + tall, to)],
    },
    paper,
  );
}

/** A short template has no room for the check length in its foot. */
const hasNotches = (from: number, to: number): boolean => to - from > CHECK_BAR + 12;

const radius = (mm: number): string => (mm === 0 ? 'a knife edge' : `${formatLength(mm, 'mm')} radius`);

/** Closed line of the board: the edge above, its foot with two notches that are 100 mm apart. */
function board(
  edge: readonly [number, number][],
  { from, to, xOf }: Placed,
  y: (h: number) => number,
  foot: number,
): Ink {
  const shown = edge.filter(([x]) => x >= from - 1e-9 && x <= to + 1e-9);
  const notch = (x: number): [number, number][] => [
    [xOf(x + 1), foot],
    [xOf(x), foot - 2],
    [xOf(x - 1), foot],
  ];
  const room = hasNotches(from, to);
  const first = from + 6;
  return {
    kind: 'polyline',
    weight: 0.3,
    cut: true,
    points: [
      ...shown.map(([x, h]): [number, number] => [xOf(x), y(h)]),
      [xOf(to), foot],
      ...(room ? [...notch(first + CHECK_BAR), ...notch(first)] : []),
      [xOf(from), foot],
      ...shown.slice(0, 1).map(([x, h]): [number, number] => [xOf(x), y(h)]),
    ],
  };
}

/** The split at the widest place, arrows for the way of the cuts: downhill from it on both sides. */
function splitInk(template: Template, place: Placed, foot: number, to: number): Ink[] {
  const { splitAt, lead } = template;
  if (!place.on(splitAt)) return [];
  const x = place.xOf(splitAt);
  const arrow = (way: 1 | -1, words: string): Ink[] => [
    { kind: 'line', x0: x + way * 4, y0: foot - 10, x1: x + way * 22, y1: foot - 10, weight: 0.3 },
    {
      kind: 'polyline',
      weight: 0.2,
      filled: true,
      points: [
        [x + way * 25, foot - 10],
        [x + way * 22, foot - 11.4],
        [x + way * 22, foot - 8.6],
        [x + way * 25, foot - 10],
      ],
    },
    {
      kind: 'text',
      x: x + way * 4,
      y: foot - 12.5,
      size: 3,
      text: words,
      align: way === 1 ? 'left' : 'right',
    },
  ];
  return [
    { kind: 'line', x0: x, y0: TOP, x1: x, y1: foot, weight: 0.2, dashed: true },
    ...(splitAt > 1 ? arrow(-1, 'cut this way') : []),
    ...(splitAt < to - lead - 1 ? arrow(1, 'cut this way') : []),
  ];
}
