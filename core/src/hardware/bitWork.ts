import type { Material } from '../material/index.js';
import { len, type DrillMoment, type DrillSetup, type Finding } from '../measure/index.js';
import { pointLength, type Hole } from '../pattern/index.js';
import type { Bit } from '../workshop/index.js';
import type { Drift } from './drillWay.js';
import type { HoleRange } from './fit.js';
import type { BitChoice } from './pickBit.js';

/** A hole as it is bored: its bit, how deep, where the tape goes, when to withdraw, how fast. */
export interface BoredHole {
  id: string;
  name: string;
  choice: BitChoice;
  /** what is drilled with: the bit owned, or the nearest one instead */
  bit: Bit | null;
  toShoulder: number;
  toPoint: number;
  /** where the tape goes: from the point of the bit, mm */
  tapeAt: number;
  /** depths at which to withdraw and clear the chips, mm from the mouth */
  pecks: number[];
  rpm: number;
  surfaceSpeed: number;
  lubricant: string;
  /** when it is drilled, and why then */
  order: string;
  /** when and with what set-up; plans made before there was a choice have none */
  moment?: DrillMoment;
  setup?: DrillSetup;
  /** how far it may run off its axis */
  drift?: Drift;
}

/** Drilling of one hole along the axis. */
export interface DrillOperation extends BoredHole {
  hole: Hole;
  /** what is done when it is drilled */
  after?: string;
  /** what holds a thread: its length in the wood over its diameter */
  engagement?: number;
  /** left below what enters, for glue and chips, mm */
  room?: number;
}

/** How a bit is used in one hole. */
export interface BitWork {
  /** the bit owned, or the nearest one instead */
  bit: Bit | null;
  diameter: number;
  /** full angle of its point, degrees */
  angle: number;
  /** how far the point stands before the shoulder, mm */
  point: number;
  /** depths at which to withdraw and clear the chips, mm from the mouth */
  pecks: number[];
  rpm: number;
  surfaceSpeed: number;
  lubricant: string;
}

/** What a chosen bit leaves: flat-bottomed and spade bits a flat, the others a cone. mm, degrees */
export function leftBy(
  choice: BitChoice,
  wished: number,
  pointAngle: number,
): Pick<BitWork, 'bit' | 'diameter' | 'angle'> {
  const bit = choice.bit ?? choice.instead;
  const flat = bit?.kind === 'flat-bottomed' || bit?.kind === 'spade';
  return { bit, diameter: bit?.diameter.mm ?? wished, angle: flat ? 180 : pointAngle };
}

/** Works out a chosen bit in a hole of a depth. */
export function bitWork(
  choice: BitChoice,
  wished: number,
  pointAngle: number,
  depth: number,
  material: Material,
): BitWork {
  const { bit, diameter, angle } = leftBy(choice, wished, pointAngle);
  const surfaceSpeed = drillingSpeed(material, bit);
  return {
    bit,
    diameter,
    angle,
    point: bit?.point ?? (bit?.kind === 'spade' ? SPADE_POINT * diameter : pointLength(diameter, angle)),
    pecks: pecks(depth, diameter, material),
    rpm: drillingRpm(surfaceSpeed, diameter),
    surfaceSpeed,
    lubricant: lubricantFor(material),
  };
}

/** The spur of a spade bit against its width: typical, its own length goes before it. */
const SPADE_POINT = 0.4;

/** A drawn hole says its diameter: a bit a little over will do, one under hardly. */
const DRAWN_UNDER = 0.05;
const DRAWN_OVER = 0.3;

/** Range of bits for a hole that is drawn in the pattern. */
export const drawnRange = (diameter: number): HoleRange => ({
  fit: 'slip',
  least: diameter - DRAWN_UNDER,
  best: diameter,
  most: diameter + DRAWN_OVER,
});

/** What keeps a bit cool and its chips moving. */
const lubricantFor = ({ class: kind, family }: Material): string =>
  kind === 'resin'
    ? 'none; let it cool between pecks, it melts'
    : family === 'horn' || family === 'antler'
      ? 'a drop of oil'
      : 'none';

/** Surface speeds for drilling, m/min: bench practice, typical; flat-bottomed bits much slower. */
function drillingSpeed(material: Material, bit: Bit | null): number {
  if (material.class === 'resin') return 20;
  if (bit?.kind === 'flat-bottomed' || bit?.kind === 'spade') return 25;
  return material.class === 'dense hardwood' ? 35 : 45;
}

const FASTEST_DRILLING = 2500;

/** n = 1000·v / (π·d), v in m/min and d in mm, rounded down to 50 rpm. */
function drillingRpm(surfaceSpeed: number, diameter: number): number {
  const rpm = (1000 * surfaceSpeed) / (Math.PI * diameter);
  return Math.max(50, Math.floor(Math.min(rpm, FASTEST_DRILLING) / 50) * 50);
}

/**
 * Depths at which the bit is withdrawn: first after 3 diameters, then every 2, from 6 diameters on
 * every 1; in resin every diameter.
 */
export function pecks(depth: number, diameter: number, material: Material): number[] {
  const depths: number[] = [];
  let at = material.class === 'resin' ? diameter : 3 * diameter;
  while (at < depth) {
    depths.push(at);
    const deep = at >= 6 * diameter || material.class === 'resin';
    at += (deep ? 1 : 2) * diameter;
  }
  return depths;
}

/** What is missing for a hole, and what would do instead. */
export function bitFindings(partId: string, o: { id: string; name: string; choice: BitChoice }): Finding[] {
  if (o.choice.bit) return [];
  return [
    {
      id: `drill.bit.${o.id}`,
      severity: Math.abs(o.choice.off) > 0.6 || !o.choice.instead ? 'stop' : 'warn',
      stage: 'drill',
      partId,
      what: `The workshop owns no bit for the ${o.name}.`,
      why: o.choice.consequence,
      remedy: o.choice.instead
        ? `Drill with ${len(o.choice.instead.diameter.mm)} and do as it says, or add the right bit to the workshop.`
        : 'Add a bit to the workshop.',
    },
  ];
}
