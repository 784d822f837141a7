import { HOLDS_ALONE, STUB } from '../../mounting/index.js';
import { extremes, turningPoint, type Outline, type PartEnd, type Segment } from '../../pattern/index.js';
import {
  carries,
  FORCES,
  leastDiameter,
  STRENGTHS,
  tenonStress,
  weightOf,
  type Load,
  type Section,
} from '../../stiffness/index.js';
import { nibAt } from './profiles.js';
import { lieOfPiece, type Work } from './work.js';

/** What stays of an end while it is held from there, mm. */
export interface EndNib {
  diameter: number;
  /** where the drawn part is as thick as that; what lies beyond is its tip */
  at: number;
}

/** A nib where nothing asks for a thinner one, and the thinnest that a parting tool leaves, across, mm; bench practice, typical. */
const USUAL = 8;
const LEAST = 4;

/** So much of an end that is thinner than the usual nib is pared with a knife: its end is blunt. mm */
const BLUNT = USUAL / 2;

/** Nibs are told to the tenth. */
const tenth = (mm: number): number => Math.ceil(10 * mm - 1e-6) / 10;

/** Round a bore that runs through it so much wood must stand at least, mm; bench practice, typical. */
const WALL = 2;

/**
 * What is left of an end until the last. What is drawn at least as thick as carries the work is turned in its place,
 * however thin; the nib is never thicker than that. What runs out thinner is a tip: short ones are pared from a nib of
 * the usual size, long ones from the thinnest that carries.
 */
export function endNibOf(work: Work, end: PartEnd): EndNib {
  const { outline } = work;
  const least = Math.max(LEAST, leastNib(work, end));
  const own = 2 * endRadius(outline, end);
  const edge = end === 'reference' ? 0 : outline.length;
  if (own >= least - 1e-9) return { diameter: Math.min(Math.max(USUAL, least), own), at: edge };
  const usual = Math.max(USUAL, tenth(least));
  const at = nibAt(outline, end, usual / 2);
  return Math.abs(at - edge) <= BLUNT
    ? { diameter: usual, at }
    : { diameter: tenth(least), at: nibAt(outline, end, tenth(least) / 2) };
}

/** Radius of the drawn end face, mm. */
const endRadius = ({ segments }: Outline, end: PartEnd): number =>
  (end === 'reference' ? segments[0]?.r0 : segments.at(-1)?.r1) ?? 0;

/** What a nib must be across to carry what comes after the shape: cloth all round, and a light push beside it. mm */
function leastNib(work: Work, end: PartEnd): number {
  const lie = lieOfPiece(work);
  const { outline } = work;
  const waste = end === 'reference' ? lie.before : lie.after;
  const moment = (FORCES.light + weightAtMost(work) / 2) * Math.min(waste, WASTE_MOST);
  const alone = rubbedAlone(work);
  // what lies between two pieces carries the one that is farther from the drive
  const carriesOthers = work.perBlank > 1 && !HOLDS_ALONE[work.mount.kind];
  // with the tail away its stub is cut off lightly
  const cutOff = HOLDS_ALONE[work.mount.kind] ? (FORCES.light * STUB) / 2 : 0;
  const load =
    end === lie.tail
      ? { torque: carriesOthers ? alone.torque : cutOff, moment }
      : standsAlone(work)
        ? alone
        : { torque: alone.torque, moment };
  const solid = leastDiameter(load, STRENGTHS[work.madeOf.class]);
  const bore = boreAt(work, end === 'reference' ? 0 : outline.length);
  // with d³ = s³ + b³ the ring bears what s does solid: d⁴ − b⁴ = s³·d + b³·(d − b)
  return bore === 0 ? solid : Math.max(bore + 2 * WALL, Math.cbrt(solid ** 3 + bore ** 3));
}

/** A centre sits no farther from its nib than so: longer waste is a stub as thick as the blank. mm */
const WASTE_MOST = 20;

/** Largest diameter before it is sanded, mm. */
const largest = ({ outline, sanding }: Work): number =>
  extremes(outline, 0, outline.length).largest.diameter + 2 * sanding.reduce((sum, g) => sum + g.takes, 0);

/** What it weighs at most once it is round, N: as thick all along as at its widest. */
const weightAtMost = (work: Work): number =>
  weightOf((Math.PI / 4) * largest(work) ** 2 * work.stock.length, work.madeOf.density);

/** What is bored along the axis at a place, across, mm. */
function boreAt({ holes, outline }: Work, x: number): number {
  return Math.max(
    0,
    ...holes.map(({ from, steps, through }) => {
      const deep = from === 'reference' ? x : outline.length - x;
      const step = steps.find((s) => deep <= s.depth.mm + 1e-6) ?? (through ? steps.at(-1) : undefined);
      return step ? Math.max(step.diameter.mm, step.endDiameter?.mm ?? 0) : 0;
    }),
  );
}

/** A drawn place that may be the weakest. */
export interface DrawnSection extends Section {
  x: number;
  elementId: string;
}

/** Of each stretch both ends and where it turns, each with what is bored there. */
export const sectionsOf = (work: Work): DrawnSection[] =>
  work.outline.segments.flatMap((s) =>
    placesOn(s).map(({ x, r }) => ({ x, elementId: s.elementId, diameter: 2 * r, bore: boreAt(work, x) })),
  );

function placesOn(s: Segment): { x: number; r: number }[] {
  const turns = turningPoint(s);
  return [{ x: s.x0, r: s.r0 }, ...(turns ? [turns] : []), { x: s.x1, r: s.r1 }];
}

/** Whether what drives holds the finished piece alone: the tail may go away before it is sanded. */
export function standsAlone(work: Work): boolean {
  const { mount, outline } = work;
  if (!HOLDS_ALONE[mount.kind]) return false;
  if (mount.tailstock === null) return true;
  return tenonHolds(work) && bearsCloth(work, nibAt(outline, lieOfPiece(work).tail, LEAST / 2));
}

function tenonHolds(work: Work): boolean {
  const { mount, stock, madeOf } = work;
  if (!mount.tenon) return true;
  const stress = tenonStress(mount.tenon, weightAtMost(work), stock.length - mount.tenon.length);
  return stress <= STRENGTHS[madeOf.class].rocking;
}

/** Whether it bears being rubbed between both tips without a tail. @param tip where that at the tail begins, mm */
function bearsCloth(work: Work, tip: number): boolean {
  const { drive } = lieOfPiece(work);
  const load = rubbedAlone(work);
  const strength = STRENGTHS[work.madeOf.class];
  const nib = nibAt(work.outline, drive, leastDiameter(load, strength) / 2);
  return sectionsOf(work)
    .filter(({ x }) => x > Math.min(nib, tip) && x < Math.max(nib, tip))
    .every((s) => carries(s, { ...load, moment: FORCES.rubbed * Math.abs(tip - s.x) }, strength));
}

/** What cloth asks of the end at the drive where nothing is at the tail. */
const rubbedAlone = (work: Work): Load => ({
  torque: (FORCES.rubbed * largest(work)) / 2,
  moment: FORCES.rubbed * work.outline.length,
});
