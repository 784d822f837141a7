import type { StandingWood } from '@compas/core';
import type { Frame } from '../strip/frame.js';

/** The place in work drawn larger: a frame of its own in a corner of the strip. px */
export interface Lens {
  x: number;
  y: number;
  frame: Frame;
  /** how many times larger than on the strip */
  times: number;
}

/** Wide enough to read, px. */
const WIDTH = 340;
/** Where the figure above the work ends, px. */
const FIGURE = 500;
const EDGE = 12;
/** Less than this and the strip shows it as well. */
const WORTH = 1.6;
/** What is seen on both sides of the place, as a share of the wood's diameter there, and at least. mm */
const AROUND = 0.7;
const LEAST_AROUND = 3;

/**
 * The place that a step works at, enlarged, where the strip draws it too small to see: long and slender pieces. Null
 * where it is large enough, where the step is about the whole, or where there is no room.
 */
export function lensOf(frame: Frame, standing: StandingWood | null): Lens | null {
  if (!standing?.work || frame.figure.beside) return null;
  const { work, pieceAt, pieceRuns } = standing;
  const radius = radiusIn(standing, work.x0, work.x1);
  const around = Math.max(LEAST_AROUND, AROUND * 2 * radius);
  const [low, high] = [work.x0 - around, work.x1 + around].map((x) => (x - pieceAt) * pieceRuns) as [
    number,
    number,
  ];
  const width = Math.min(WIDTH, frame.width - FIGURE - EDGE);
  const height = frame.up(standing.most) - 2 * EDGE;
  if (radius === 0 || width < WIDTH / 2 || height < MOST_FLAT) return null;
  const scale = Math.min(width / Math.abs(high - low), height / (2 * radius * 1.2));
  const times = scale / frame.scale;
  if (times < WORTH) return null;
  const runs = Math.sign(frame.at(1) - frame.at(0));
  const middle = (low + high) / 2;
  return {
    x: frame.width - width - EDGE,
    y: EDGE,
    times,
    frame: {
      ...frame,
      scale,
      width,
      height,
      axis: height / 2,
      at: (x) => width / 2 + (x - middle) * scale * runs,
      up: (r) => height / 2 - r * scale,
    },
  };
}

/** Flatter than this shows nothing, px. */
const MOST_FLAT = 60;

/** Largest radius of the wood that stands over a stretch of its own frame, mm. */
const radiusIn = ({ silhouette }: StandingWood, x0: number, x1: number): number =>
  Math.max(0, ...silhouette.flat().flatMap((p) => (p.x >= x0 && p.x <= x1 ? [p.outside] : [])));
