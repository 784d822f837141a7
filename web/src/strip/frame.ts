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
  /** where a figure stands that room was made for: beside the work, or above it. px */
  figure: { x: number; y: number; beside: boolean };
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
  /** never lower than this, px */
  least?: number;
  /** room for a figure: beside the work where there is some, else above it, px */
  figure?: { width: number; height: number; above: number };
}

/** Between the work and a figure beside it, px. */
const GAP = 40;
const SIDE = 70;
const TOP = 34;
const RULER = 44;
/** Small work is not drawn larger than this, px a mm; on a tall strip as much larger as that is taller. */
const MOST_SCALE = 9;
const USUAL_TALL = 300;

/** Fits the work between headstock and tailstock, to scale in both directions. */
export function frameFor({
  width,
  length,
  largestRadius,
  before,
  after,
  headstockEnd,
  tallest,
  least = 0,
  figure,
}: FrameWish): Frame {
  const total = Math.max(1, before + length + after);
  const most = MOST_SCALE * Math.max(1, tallest / USUAL_TALL);
  const fitted = (top: number) => {
    const room = (tallest - top - RULER) / 2;
    return Math.min((width - 2 * SIDE) / total, room / Math.max(1, largestRadius * 1.12), most);
  };
  const free = fitted(TOP);
  const isBeside = figure !== undefined && total * free + SIDE + GAP + figure.width < width;
  const top = figure && !isBeside ? figure.above : TOP;
  const scale = isBeside ? free : fitted(top);
  const half = largestRadius * 1.12 * scale;
  const slack = Math.max(0, least - (top + 2 * half + RULER)) / 2;
  const axis = top + slack + half;
  const left = (width - total * scale - (isBeside ? figure.width + GAP : 0)) / 2;
  const fromHead = (x: number) => (headstockEnd === 'reference' ? before + x : before + length - x);
  return {
    scale,
    width,
    height: axis + half + slack + RULER,
    axis,
    length,
    before,
    after,
    figure: isBeside
      ? { x: left + total * scale + GAP, y: Math.max(0, axis - figure.height / 2), beside: true }
      : { x: SIDE / 2, y: 4, beside: false },
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
