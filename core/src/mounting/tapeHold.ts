/** What a taped face can hold against what the cut and the imbalance ask. N, N·m, factors. */
export interface TapeHold {
  /** torque that the tape carries and that the cut asks for, N·m */
  carries: number;
  asks: number;
  /** pull that the tape carries along its face and what spins out, N */
  holds: number;
  throws: number;
  /** the smaller of the two ratios; below 4 it is not enough */
  safety: number;
}

/** Shear strength of double-sided turner's tape on clean planed wood, MPa: low end, typical, unchecked. */
const TAPE_SHEAR = 0.12;
/** Force of a light cut at the edge, N: typical for a gouge taking half a millimetre. */
const LIGHT_CUT = 40;
/** How far the mass of a piece centred by eye is off, mm. */
const OFF_CENTRE = 0.5;
/** Least ratio of what holds to what pulls: a catch is several times a cut. */
export const TAPE_SAFETY = 4;

/**
 * Whether tape holds a disc: torque of a face under constant shear τ is 2π∫τr²dr = πτd³/12; the cut asks
 * F·D/2. Along the face τ·πd²/4 stands against the cut and m·e·ω² (elementary mechanics).
 * @param face diameter that is taped, mm
 * @param work largest diameter of the work, mm
 * @param mass g
 */
export function tapeHold(face: number, work: number, mass: number, rpm: number): TapeHold {
  const carries = (Math.PI * TAPE_SHEAR * face ** 3) / 12 / 1000;
  const asks = (LIGHT_CUT * work) / 2 / 1000;
  const omega = (2 * Math.PI * rpm) / 60;
  const throws = (mass / 1000) * (OFF_CENTRE / 1000) * omega * omega;
  const holds = (TAPE_SHEAR * Math.PI * face * face) / 4;
  return { carries, asks, holds, throws, safety: Math.min(carries / asks, holds / (LIGHT_CUT + throws)) };
}
