/** Line on the cylinder or on a facet where a cut begins, and how far from the ball it stays. mm */
export interface BallStage {
  /** 1 cylinder, 2 with cuts at 45°, 3 with cuts at 22.5° as well */
  stage: 1 | 2 | 3;
  words: string;
  /** where the cut begins, from the end of the cylinder or from the edge of a facet; null for the cylinder */
  from: number | null;
  /** what the widest place still stands off the ball, on the radius */
  left: number;
}

const EIGHTH = Math.PI / 8;
const SIXTEENTH = Math.PI / 16;

/** 45° cut that just touches the ball, from each end of its cylinder: D(1 − 1/√2) = 0.2929 D. */
export const firstFacet = (diameter: number): number => diameter * (1 - Math.SQRT1_2);

/** Width of the facets of the eight-sided ball: D·tan 22.5°. */
export const facetWidth = (diameter: number): number => diameter * Math.tan(EIGHTH);

/** Share of a facet's width at which the 22.5° cut touches the ball: (1 − tan 11.25° ÷ tan 22.5°)/2. */
export const SECOND_FACET = (1 - Math.tan(SIXTEENTH) / Math.tan(EIGHTH)) / 2;

/**
 * Ball by facets from its known diameter: a cylinder as long as it is thick, cuts at 45° and 22.5° that touch
 * the ball. What stands off is that of the corners of the square, the eight and the sixteen drawn about a
 * circle: R(√2 − 1), R(1/cos 22.5° − 1), R(1/cos 11.25° − 1) (regular polygons about a circle).
 * @param diameter of the ball, mm
 */
export function ballByFacets(diameter: number): BallStage[] {
  const r = diameter / 2;
  return [
    { stage: 1, words: 'cylinder, as long as it is thick', from: null, left: r * (Math.SQRT2 - 1) },
    {
      stage: 2,
      words: 'cuts at 45°, from each end and as deep',
      from: firstFacet(diameter),
      left: r * (1 / Math.cos(EIGHTH) - 1),
    },
    {
      stage: 3,
      words: 'cuts at 22.5°, from both edges of each facet',
      from: SECOND_FACET * facetWidth(diameter),
      left: r * (1 / Math.cos(SIXTEENTH) - 1),
    },
  ];
}

/** A mark by a share of a length, as people halve and third it, with what the cut leaves of the ball. */
export interface BallMark {
  share: number;
  /** from the end of the cylinder, or from the edge of the facet, mm */
  from: number;
  /** how far the cut passes outside the ball; below 0 it cuts into it, mm */
  leaves: number;
}

/**
 * 45° cuts begun at a share of the diameter from the ends of the cylinder: the line passes the centre at
 * (2R − a)/√2 for a begun at a, so it leaves (D − a)/√2 − R.
 */
export function firstMark(diameter: number, share: number): BallMark {
  const from = share * diameter;
  return { share, from, leaves: (diameter - from) * Math.SQRT1_2 - diameter / 2 };
}

/**
 * 22.5° cuts begun at a share of the width of an exact facet from its edges: the corner of the eight stands
 * R/cos 22.5° off the centre, and a cut with legs k·s passes k·s·sin 22.5° inside it.
 */
export function secondMark(diameter: number, share: number): BallMark {
  const r = diameter / 2;
  const from = share * facetWidth(diameter);
  return { share, from, leaves: r / Math.cos(EIGHTH) - from * Math.sin(EIGHTH) - r };
}

/** The shares that people mark by. */
export const BALL_SHARES = [1 / 4, 1 / 3, 1 / 2] as const;

/** How a ball is trued: what is looked for in each of three axes. */
export const TRUING = [
  {
    axis: 'as it was turned',
    words: 'Pencil a line round its waist. Scrape until the shadow along the rest is even, the poles apart.',
  },
  {
    axis: 'a quarter turn',
    words:
      'The old poles come to the waist. Pencil all over, scrape only where the line is broken by a shadow.',
  },
  {
    axis: 'a quarter turn the other way',
    words:
      'The first waist runs through the cups. What still shows a shadow is proud: take it, and nothing else.',
  },
] as const;
