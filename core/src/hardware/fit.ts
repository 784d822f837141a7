import type { Material } from '../material/index.js';

/** How tightly a hole holds what goes in it. */
export type FitClass = 'press' | 'thread-forming' | 'glue gap' | 'slip' | 'clearance';

/** Wanted hole: the best diameter and the range that still serves, mm. */
export interface HoleRange {
  fit: FitClass;
  least: number;
  best: number;
  most: number;
}

/** Hole for a plain body by fit class. Offsets are bench practice, typical: changeable by the bit owned. */
export function holeForBody(diameter: number, fit: Exclude<FitClass, 'thread-forming'>): HoleRange {
  const [least, best, most] = {
    press: [-0.2, -0.1, 0],
    'glue gap': [0.05, 0.15, 0.4],
    slip: [0.1, 0.3, 0.6],
    clearance: [0.4, 0.8, 1.6],
  }[fit] as [number, number, number];
  return { fit, least: diameter + least, best: diameter + best, most: diameter + most };
}

/** How far up from the root towards the pitch diameter the hole goes, by hardness of the material. */
const UP_THE_THREAD = { softwood: 0.1, hardwood: 0.6, 'dense hardwood': 0.9, resin: 1 } as const;

/**
 * Hole for a stud that forms its own thread: between the root diameter (soft wood) and the pitch
 * diameter (hard wood), the pitch diameter taken as the middle of root and outside.
 */
export function holeForThread(root: number, outside: number, material: Material): HoleRange {
  const pitch = (root + outside) / 2;
  const best = root + UP_THE_THREAD[material.class] * (pitch - root);
  const slack = (pitch - root) * 0.35;
  return {
    fit: 'thread-forming',
    least: Math.max(root, best - slack),
    best,
    most: Math.min(best + slack, pitch + slack),
  };
}
