import type { MaterialClass } from '../material/index.js';

/** A round place of the work, mm; `bore` is 0 where it is solid. */
export interface Section {
  diameter: number;
  bore: number;
}

/** What a cut asks of a section between it and what drives: a torque and a bending moment, N·mm. */
export interface Load {
  torque: number;
  moment: number;
}

/** Force at the tool or under the cloth, N. Bench practice, typical, unchecked. */
export const FORCES = { heavy: 60, light: 20, rubbed: 5 } as const;
export type Force = keyof typeof FORCES;

/** Stresses that are borne, MPa: of a round neck in twist and in bending, and of a tenon's fibres in jaws. */
export interface Strength {
  twist: number;
  bending: number;
  rocking: number;
}

/**
 * Working stresses for clear wood along its grain, a good way below what breaks it: a nick, a knot or a catch takes the
 * rest. Typical, unchecked; resin is taken as hardwood, far below what it bears.
 */
export const STRENGTHS: Record<MaterialClass, Strength> = {
  softwood: { twist: 3.5, bending: 35, rocking: 5 },
  hardwood: { twist: 5, bending: 35, rocking: 8 },
  'dense hardwood': { twist: 5, bending: 35, rocking: 8 },
  resin: { twist: 5, bending: 35, rocking: 8 },
};

/** d⁴ − b⁴, mm⁴; 0 where the bore leaves nothing. */
const ring = ({ diameter: d, bore: b }: Section): number => Math.max(0, d ** 4 - b ** 4);

/** Largest shear stress of a round section in torsion, MPa: 16·T·d ÷ (π·(d⁴ − b⁴)), T in N·mm (de Saint-Venant). */
export const twistStress = (section: Section, torque: number): number =>
  torque === 0 ? 0 : (16 * torque * section.diameter) / (Math.PI * ring(section));

/** Largest stress of a round section in bending, MPa: 32·M·d ÷ (π·(d⁴ − b⁴)), M in N·mm (Euler and Bernoulli). */
export const bendingStress = (section: Section, moment: number): number =>
  moment === 0 ? 0 : (32 * moment * section.diameter) / (Math.PI * ring(section));

/**
 * Stress with which jaws press on a tenon that is rocked at its free end, MPa: 6·F·a ÷ (d·l²), the edge pressure of a
 * face d × l under the moment F·a.
 * @param force N
 * @param arm from the jaws to where it is pushed, mm
 */
const rockingStress = (tenon: { diameter: number; length: number }, force: number, arm: number): number =>
  (6 * force * arm) / (tenon.diameter * tenon.length ** 2);

/** What wood of a volume (mm³) and density (g/cm³) weighs, N. */
export const weightOf = (volume: number, density: number): number => volume * density * NEWTON;

/** N for a mm³ of 1 g/cm³. */
const NEWTON = 9.81e-6;

/**
 * Stress under the jaws when the tail leaves, MPa: a light cut at the free end, and half of what the work weighs.
 * @param weight N
 * @param out how far the work stands out of the jaws, mm
 */
export const tenonStress = (
  tenon: { diameter: number; length: number },
  weight: number,
  out: number,
): number => rockingStress(tenon, FORCES.light + weight / 2, out);

/** Whether a section bears a load. */
export const carries = (section: Section, { torque, moment }: Load, strength: Strength): boolean =>
  twistStress(section, torque) <= strength.twist * SLACK &&
  bendingStress(section, moment) <= strength.bending * SLACK;

/** What lies at the limit is within it. */
const SLACK = 1 + 1e-9;

/** The thinnest solid round that bears a load, mm: both formulas solved for d with b = 0. */
export const leastDiameter = ({ torque, moment }: Load, { twist, bending }: Strength): number =>
  Math.cbrt(Math.max((16 * torque) / (Math.PI * twist), (32 * moment) / (Math.PI * bending)));
