import {
  ballByFacets,
  BALL_SHARES,
  facetWidth,
  firstFacet,
  firstMark,
  SECOND_FACET,
  secondMark,
  TRUING,
} from '../../layout/index.js';
import { formatFine, formatLength } from '../../measure/index.js';
import type { Ink, Page, PrintPaper } from '../page.js';
import { longSheet, TOP } from './longSheet.js';
import { threeUnits } from './stick.js';

export interface BallWish {
  title: string;
  diameter: number;
  paper: PrintPaper;
}

const LINE = 5;

/** Marks of a ball at 1:1: on its cylinder and on a facet, with what each stage leaves. */
export function ballSheet({ title, diameter, paper }: BallWish): Page[] {
  const first = firstFacet(diameter);
  const facet = facetWidth(diameter);
  const second = SECOND_FACET * facet;
  const words = wordsOf(diameter);
  return longSheet(
    {
      title: `Ball of ${formatLength(diameter, 'mm')}: ${title}`,
      hint: 'Upper strip: along the cylinder, as long as it is thick. Lower strip: across a facet. Print at 100 %.',
      from: 0,
      to: diameter,
      tall: 56 + words.length * LINE,
      ink: ({ xOf, on }) => [
        ...strip([0, first, diameter / 2, diameter - first, diameter].filter(on).map(xOf), TOP, 16),
        ...strip([0, second, facet - second, facet].filter(on).map(xOf), TOP + 26, 12),
        ...words.map((text, i): Ink => ({
          kind: 'text',
          x: xOf(0),
          y: TOP + 50 + i * LINE,
          size: 3.4,
          text,
        })),
      ],
    },
    paper,
  );
}

function wordsOf(diameter: number): string[] {
  const shares = ['a quarter', 'a third', 'half'];
  const passes = (leaves: number) =>
    leaves >= 0 ? `leaves ${formatFine(leaves, 'mm')}` : `CUTS ${formatFine(-leaves, 'mm')} INTO THE BALL`;
  return [
    ...ballByFacets(diameter).map(
      ({ stage, words, from, left }) =>
        `${stage}. ${words}${from === null ? '' : `, begun at ${threeUnits(from)}`}: at most ${formatFine(left, 'mm')} left on the radius.`,
    ),
    ...BALL_SHARES.map(
      (share, i) =>
        `45° begun at ${shares[i] ?? ''} of the diameter: ${passes(firstMark(diameter, share).leaves)}.`,
    ),
    ...BALL_SHARES.slice(0, 2).map(
      (share, i) =>
        `22.5° begun at ${shares[i] ?? ''} of the facet: ${passes(secondMark(diameter, share).leaves)}.`,
    ),
    ...TRUING.map(({ axis, words }) => `In the cups, ${axis}: ${words}`),
  ];
}

function strip(xs: readonly number[], y: number, height: number): Ink[] {
  const [x0 = 0, x1 = 0] = [xs[0], xs.at(-1)];
  return [
    {
      kind: 'polyline',
      weight: 0.3,
      points: [
        [x0, y],
        [x1, y],
        [x1, y + height],
        [x0, y + height],
        [x0, y],
      ],
    },
    ...xs.map((x): Ink => ({ kind: 'line', x0: x, y0: y, x1: x, y1: y + height, weight: 0.25 })),
  ];
}
