import { createContext, useContext } from 'react';

/** How millimetres of the part become pixels of the strip: headstock left, tailstock right. */
export interface Frame {
  /** pixels per mm */
  scale: number;
  width: number;
  height: number;
  /** y of the axis */
  axis: number;
  /** finished length of the part, mm */
  length: number;
  /** waste on the two sides of the part, mm */
  before: number;
  after: number;
  /** pixel position of x, measured from the reference end */
  at: (x: number) => number;
  /** pixel height above (or below, negative) the axis */
  up: (radius: number) => number;
}

export interface FrameWish {
  width: number;
  length: number;
  largestRadius: number;
  before: number;
  after: number;
  headstockEnd: 'reference' | 'far';
  tallest: number;
}

const SIDE = 70;
const TOP = 34;
const RULER = 44;
const MOST_SCALE = 9;

/** Fits the work between headstock and tailstock, to scale in both directions. */
export function frameFor({
  width,
  length,
  largestRadius,
  before,
  after,
  headstockEnd,
  tallest,
}: FrameWish): Frame {
  const total = Math.max(1, before + length + after);
  const room = (tallest - TOP - RULER) / 2;
  const scale = Math.min((width - 2 * SIDE) / total, room / Math.max(1, largestRadius * 1.12), MOST_SCALE);
  const axis = TOP + largestRadius * 1.12 * scale;
  const left = (width - total * scale) / 2;
  const fromHead = (x: number) => (headstockEnd === 'reference' ? before + x : before + length - x);
  return {
    scale,
    width,
    height: axis + largestRadius * 1.12 * scale + RULER,
    axis,
    length,
    before,
    after,
    at: (x) => left + fromHead(x) * scale,
    up: (radius) => axis - radius * scale,
  };
}

export const FrameContext = createContext<Frame | null>(null);

/** The frame of the strip that a layer is drawn on. */
export function useFrame(): Frame {
  const frame = useContext(FrameContext);
  if (!frame) throw new Error('A layer is drawn on a strip.');
  return frame;
}
