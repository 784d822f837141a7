/** How a peg sits in its hole. */
export type TenonFit = 'press' | 'glue' | 'slip';

/**
 * What a peg is thicker (or thinner, negative) than its hole, mm on the diameter. Bench practice in
 * dry wood, typical, unchecked: pressed it is tight by a twentieth, glued it leaves room for a film on
 * both sides, slipped it goes in by hand.
 */
const OVER_HOLE: Record<TenonFit, number> = { press: 0.05, glue: -0.1, slip: -0.25 };

/** Diameter of a peg for a hole, mm. */
export const tenonDiameter = (hole: number, fit: TenonFit): number => hole + OVER_HOLE[fit];
