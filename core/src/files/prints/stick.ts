import { formatLength, withoutShade } from '../../measure/index.js';
import type { Layout, Mark } from '../../layout/index.js';
import { pointsAlong, radiiAt, widestOf, type Outline } from '../../pattern/index.js';
import { MARGIN, type Ink, type Page, type PrintPaper } from '../page.js';
import { longSheet, roomOn, TOP, type Placed } from './longSheet.js';

/** Flat strip to hold against the work, strip to wrap round it, card with the half profile cut out. */
export type StickForm = 'stick' | 'wrap' | 'card';

export interface StickWish {
  title: string;
  outline: Outline;
  layout: Layout;
  paper: PrintPaper;
}

const TITLES: Record<StickForm, string> = {
  stick: 'Story stick',
  wrap: 'Strip to wrap round the work',
  card: 'Card with the half profile',
};

/** Marks at 1:1 in one of three forms, all from the datum. */
export function storyStick(form: StickForm, wish: StickWish): Page[] {
  const { outline, layout, paper } = wish;
  const { tall, ink, words } = FORMS[form](wish);
  return longSheet(
    {
      title: `${TITLES[form]}: ${wish.title}`,
      hint: `Total ${threeUnits(outline.length)}. All marks from the ${layout.datum?.label ?? 'reference end'}. ${words} Print at 100 %.`,
      from: 0,
      to: outline.length,
      tall,
      ink,
    },
    paper,
  );
}

interface Form {
  tall: number;
  ink: (place: Placed) => Ink[];
  words: string;
}

const FORMS: Record<StickForm, (wish: StickWish) => Form> = { stick: flat, wrap: wrapped, card: cutOut };

/** mm, decimal inch and fraction together: whoever holds the stick reads one of them. */
export function threeUnits(mm: number): string {
  return `${formatLength(mm, 'mm')} · ${formatLength(mm, 'decimal-inch')} · ${withoutShade(formatLength(mm, 'inch'))}`;
}

const STICK_HEIGHT = 22;
const HIGHEST = 40;
const ROW = 8.6;

/** A strip with a notch at each mark, labels below in rows, the half profile standing on it. */
function flat({ outline, layout, paper }: StickWish): Form {
  const y = TOP + HIGHEST;
  const clipped = widestOf(outline).diameter / 2 > HIGHEST;
  const rows = labelRows(layout.marks);
  const deepest = Math.max(0, ...rows) + 1;
  const room = roomOn(paper) - HIGHEST - STICK_HEIGHT - 6;
  const high = Math.min(ROW, room / deepest);
  return {
    tall: HIGHEST + STICK_HEIGHT + deepest * high + 6,
    words: clipped ? `The profile is cut off above ${threeUnits(2 * HIGHEST)}.` : '',
    ink: (place) => [
      box(place.xOf(place.from), y, place.xOf(place.to), y + STICK_HEIGHT),
      {
        kind: 'polyline',
        weight: 0.35,
        points: [
          [place.xOf(place.from), y],
          ...profilePoints(outline, place).map(([x, r]): [number, number] => [x, y - Math.min(HIGHEST, r)]),
          [place.xOf(place.to), y],
        ],
      },
      ...layout.marks.flatMap((m, n) =>
        place.on(m.x) ? flatMark(m, place.xOf(m.x), y, y + STICK_HEIGHT + 6 + (rows[n] ?? 0) * high) : [],
      ),
    ],
  };
}

/**
 * Row of each label, so that none lies over another or over a leader: from right to left each hangs below
 * all whose line runs down through its words.
 */
function labelRows(marks: readonly Mark[]): number[] {
  const rows = new Array<number>(marks.length).fill(0);
  for (let i = marks.length - 1; i >= 0; i--) {
    const mark = marks[i];
    if (!mark) continue;
    const end = mark.x + widthOf(mark);
    for (let j = i + 1; j < marks.length && (marks[j]?.x ?? Infinity) <= end; j++)
      rows[i] = Math.max(rows[i] ?? 0, (rows[j] ?? 0) + 1);
  }
  return rows;
}

/** Mean width of a character against its size: labels are placed before a font is chosen. */
const CHARACTER = 0.55;
const widthOf = (mark: Mark): number =>
  Math.max(...label(mark, 0, 0).map((i) => (i.kind === 'text' ? i.text.length * i.size * CHARACTER : 0)));

function flatMark(mark: Mark, x: number, y: number, row: number): Ink[] {
  const bottom = y + STICK_HEIGHT;
  return [
    { kind: 'line', x0: x, y0: y, x1: x, y1: bottom, weight: 0.25 },
    ...notch(x, bottom),
    ...sign(mark, x, y + 5),
    { kind: 'line', x0: x, y0: bottom, x1: x, y1: row - 3, weight: 0.1, dashed: true },
    ...label(mark, x, row),
  ];
}

/** What the roughed cylinder is thicker than the finished piece at its widest, mm. */
const ROUGHED = 1;

/** A strip as wide as the work is round: its lines run all the way round the roughed cylinder. */
function wrapped({ outline, layout, paper }: StickWish): Form {
  const across = Math.max(2, widestOf(outline).diameter) + ROUGHED;
  const round = Math.PI * across;
  const height = Math.min(round, roomOn(paper) - 4);
  const whole = height >= round - 1e-9;
  const rows = labelRows(layout.marks);
  return {
    tall: height,
    words: whole
      ? `Goes once round ${threeUnits(across)}.`
      : `Once round ${threeUnits(across)} does not go on this sheet: it lies on part of the way.`,
    ink: (place) => [
      box(place.xOf(place.from), TOP, place.xOf(place.to), TOP + height, true),
      ...layout.marks
        .map((m, n) => ({ m, n }))
        .filter(({ m }) => place.on(m.x))
        .flatMap(({ m, n }): Ink[] => {
          const x = place.xOf(m.x);
          return [
            { kind: 'line', x0: x, y0: TOP, x1: x, y1: TOP + height, weight: 0.25 },
            ...sign(m, x, TOP + 5),
            ...label(m, x, TOP + 14 + (rows[n] ?? 0) * ROW),
          ];
        }),
    ],
  };
}

/** Card left above the deepest place of the profile, mm. */
const CARD = 18;

/** A card whose edge is the half profile: held against the work it touches everywhere at once. */
function cutOut({ outline, layout, paper }: StickWish): Form {
  const widest = widestOf(outline).diameter / 2;
  const axis = TOP + widest + CARD;
  const tall = widest + CARD + 5 + Math.ceil(layout.marks.length / LEGEND_COLUMNS) * LEGEND_LINE;
  const fits = tall <= roomOn(paper);
  return {
    tall,
    words: fits
      ? 'Cut along the profile, hold the card against the work.'
      : 'Too tall for this sheet: take the SVG or DXF.',
    ink: (place) => {
      const edge = profilePoints(outline, place).map(([x, r]): [number, number] => [x, axis - r]);
      return [
        {
          kind: 'polyline',
          weight: 0.35,
          cut: true,
          points: [
            [place.xOf(place.from), TOP],
            [place.xOf(place.to), TOP],
            ...[...edge].reverse(),
            [place.xOf(place.from), TOP],
          ],
        },
        ...layout.marks
          .map((mark, n) => ({ mark, n }))
          .filter(({ mark }) => place.on(mark.x))
          .flatMap(({ mark, n }): Ink[] => {
            const x = place.xOf(mark.x);
            const y = axis - Math.max(mark.before, mark.after) / 2;
            return [
              { kind: 'line', x0: x, y0: y, x1: x, y1: Math.max(TOP, y - 5), weight: 0.25 },
              {
                kind: 'text',
                x: n === 0 ? x + 1 : n === layout.marks.length - 1 ? x - 1 : x,
                y: Math.max(TOP + 3, y - 6 - (n % 2) * 3.4),
                size: 2.8,
                text: `${n + 1}`,
                align: n === 0 ? 'left' : n === layout.marks.length - 1 ? 'right' : 'centre',
              },
            ];
          }),
        ...(place.from === 0 ? legend(layout.marks, axis + 5) : []),
      ];
    },
  };
}

const LEGEND_COLUMNS = 2;
const LEGEND_LINE = 4;
const LEGEND_WIDTH = 110;

/** What the numbers on the card mean, two beside each other. */
const legend = (marks: readonly Mark[], y: number): Ink[] =>
  marks.map((mark, n): Ink => ({
    kind: 'text',
    x: MARGIN + (n % LEGEND_COLUMNS) * LEGEND_WIDTH,
    y: y + Math.floor(n / LEGEND_COLUMNS) * LEGEND_LINE,
    size: 2.6,
    text: `${n + 1}  ${mark.label}: ${threeUnits(mark.from ?? mark.x)}, dia. ${threeUnits(mark.after)}`,
  }));

/** How far a chord of the drawn profile may stray, mm. */
const CHORD = 0.01;

/** The edge between the ends of a sheet; a shoulder is two points at one place. */
function profilePoints(outline: Outline, { from, to, xOf }: Placed): [number, number][] {
  const inside = pointsAlong(outline, CHORD).filter(({ x }) => x > from && x < to);
  const points = [
    { x: from, r: radiiAt(outline, from).after },
    ...inside,
    { x: to, r: radiiAt(outline, to).before },
  ];
  return points.map(({ x, r }) => [xOf(x), r]);
}

function label(mark: Mark, x: number, y: number): Ink[] {
  const diameters =
    mark.before === mark.after || mark.before === 0
      ? threeUnits(mark.after)
      : `${formatLength(mark.before, 'mm')} | ${threeUnits(mark.after)}`;
  return [
    {
      kind: 'text',
      x: x + 0.8,
      y,
      size: 3,
      text: `${mark.label}: ${threeUnits(mark.from ?? mark.x)}`,
      bold: true,
    },
    { kind: 'text', x: x + 0.8, y: y + 3.8, size: 2.8, text: `dia. ${diameters}` },
  ];
}

const notch = (x: number, y: number): Ink[] => [
  {
    kind: 'polyline',
    weight: 0.1,
    filled: true,
    points: [
      [x - 1.2, y],
      [x + 1.2, y],
      [x, y - 2.4],
      [x - 1.2, y],
    ],
  },
];

/** What happens at a mark, as a sign at its line: end ‖, shoulder a step, groove a V, hole a ring, sized amid a feature a pair of jaws. */
function sign({ does, x: along }: Mark, x: number, y: number): Ink[] {
  const line = (points: [number, number][]): Ink[] => [{ kind: 'polyline', weight: 0.25, points }];
  switch (does) {
    case 'end': {
      // inside the stick at both of its ends
      const beside = along > 0 ? x - 1 : x + 1;
      return line([
        [beside, y - 2],
        [beside, y + 2],
      ]);
    }
    case 'shoulder':
      return line([
        [x + 0.8, y + 2],
        [x + 2.4, y + 2],
        [x + 2.4, y - 2],
        [x + 4, y - 2],
      ]);
    case 'groove':
      return line([
        [x - 1.6, y - 2],
        [x, y + 2],
        [x + 1.6, y - 2],
      ]);
    case 'hole':
      return line(ring(x, y, 1.8));
    case 'size':
      // the jaws of a calliper
      return [-1.4, 1.4].flatMap((side) =>
        line([
          [x + side, y - 2],
          [x + side, y + 1],
          [x + side / 3, y + 2],
        ]),
      );
    default:
      return [];
  }
}

const ring = (cx: number, cy: number, r: number): [number, number][] =>
  Array.from({ length: 25 }, (_, i) => {
    const a = (2 * Math.PI * i) / 24;
    return [cx + r * Math.cos(a), cy + r * Math.sin(a)];
  });

const box = (x0: number, y0: number, x1: number, y1: number, cut = false): Ink => ({
  kind: 'polyline',
  weight: 0.3,
  ...(cut ? { cut } : {}),
  points: [
    [x0, y0],
    [x1, y0],
    [x1, y1],
    [x0, y1],
    [x0, y0],
  ],
});
