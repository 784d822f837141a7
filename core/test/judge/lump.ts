const { hypot, round, atan2, max, abs } = Math;

export type Place = readonly [number, number, number];

export const PITCH = 0.1;
export const TURNS = 180;

/** One lump of the test lathe: a radius over x and angle, with what is taken out across it as places. */
export interface Lump {
  /** ends that a rule is laid on, mm of the frame that begins at the first sawn end */
  low: number;
  high: number;
  /** half the square it was sawn to; of a joined one there is none */
  half: number;
  /** radius that cuts have left, for each tenth of a millimetre and each of 180 directions, 0 towards the turner */
  radius: Float64Array[];
  bore: Float64Array;
  /** places taken out across the axis */
  taken: ((p: Place) => boolean)[];
  /** where flats across lie: their axis and how far along it */
  flats: Map<string, { axis: Axis; above: number }>;
  /** others that were glued on, where their frame lies in this one */
  glued: { lump: Lump; at: number; runs: 1 | -1 }[];
}

export interface Axis {
  at: Place;
  along: Place;
}

export function lumpHas(lump: Lump, p: Place): boolean {
  if (!ownHas(lump, p)) return false;
  return lump.glued.length === 0 || lump.glued.some((part) => lumpHas(part.lump, inGlued(p, part)));
}

export function ownHas({ low, high, half, radius, bore, taken }: Lump, p: Place): boolean {
  const [x, y, z] = p;
  if (x < low || x > high || max(abs(y), abs(z)) > half) return false;
  const slice = round(x / PITCH);
  const turn = round(((((atan2(y, z) * 180) / Math.PI + 360) % 360) * TURNS) / 360) % TURNS;
  const r = hypot(y, z);
  if (r > (radius[slice]?.[turn] ?? 0) || r < (bore[slice] ?? 0)) return false;
  return !taken.some((gone) => gone(p));
}

export const inGlued = ([x, y, z]: Place, { at, runs }: { at: number; runs: 1 | -1 }): Place =>
  runs === 1 ? [x - at, y, z] : [at - x, -y, z];

export function about(p: Place, { at, along }: Axis): { x: number; r: number } {
  const from = p.map((v, i) => v - (at[i] ?? 0));
  const x = from.reduce((sum, v, i) => sum + v * (along[i] ?? 0), 0);
  return { x, r: hypot(...from.map((v, i) => v - x * (along[i] ?? 0))) };
}
