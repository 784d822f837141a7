import { extremes, type Placement, type Segment, type Skin } from '../../pattern/index.js';
import { fromOf, type Along, type OperationFigure } from '../figure.js';
import type { CutDoing, Lengths, Operation, Said } from '../operation.js';
import type { Datum, Shop } from '../shop.js';
import { idOf, operationOf, type Manner } from './operationOf.js';
import { placeOf, woodFor } from './place.js';

/** A profile as it is said: x from the datum into the wood, each stretch by its ends and how far it stands off the straight between them. mm */
export interface SaidProfile {
  from: Datum;
  x: number;
  diameter: number;
  to: { x: number; diameter: number; off?: number; elementId?: string }[];
}

interface Cutting extends Manner {
  wood: string;
  doing: Exclude<CutDoing, 'face'>;
  subject: string;
  pass?: string;
  profile: SaidProfile;
  /** left on the radius for sanding, mm */
  leave?: number;
  /** the mark that a place is sized at: nobody lays off the edge of the tool; mm from the profile's datum */
  mark?: number;
  /** a fresh surface through what is sanded, textured or coated is meant */
  fresh?: boolean;
  /** of roughing: it is one feature's, not the whole wood's */
  local?: boolean;
  /** with knife and paper, off the lathe */
  byHand?: boolean;
  /** by light cuts, where such a cut presses hard as a rule */
  lightly?: true;
}

/** Wood turned away about the axis that the work turns about. What is cut is what is said. */
export function cut(
  shop: Shop,
  {
    wood: id,
    doing,
    subject,
    pass,
    profile,
    leave = 0,
    mark,
    fresh = false,
    local = false,
    byHand = false,
    lightly,
    ...manner
  }: Cutting,
  lengths: Lengths,
): Operation {
  const wood = woodFor(shop, id);
  const side = doing === 'hollow' ? 'inside' : 'outside';
  const lies = placeOf(wood, profile.from, lengths);
  // lengths run along the axis of the hold; the datum says where they begin and which way they go
  const axis: Placement = shop.held?.wood === id && !byHand ? along(shop.held.axis, lies) : lies;
  const segments = segmentsOf(profile);
  const skin: Skin = {
    id: idOf(doing, subject, pass),
    axis,
    side,
    profile: segments,
    fat: leave === 0 ? [] : [{ x0: profile.x, x1: segments.at(-1)?.x1 ?? profile.x, mm: leave }],
  };
  return {
    ...operationOf(
      {
        kind: 'cut',
        doing,
        subject,
        on: [id],
        said: profileFigures(profile, leave),
        figure: figureOf({ doing, profile, leave, mark, local }, segments),
        effects: [
          {
            do: 'cut',
            wood: id,
            skin,
            through: fresh ? 'treated' : 'nothing',
            turning: !byHand,
            ...(lightly ? { lightly } : {}),
          },
        ],
        purpose: byHand ? 'handle' : 'turn',
      },
      manner,
    ),
    id: skin.id,
  };
}

/** The axis of the hold with its x counted from a datum, running into the wood. */
function along(axis: Placement, datum: Placement): Placement {
  const same = axis.along.reduce((sum, v, i) => sum + v * (datum.along[i] ?? 0), 0);
  const direction = axis.along.map((v) => v * (same < 0 ? -1 : 1)) as unknown as Placement['along'];
  const from = datum.at.map((v, i) => v - (axis.at[i] ?? 0));
  const distance = from.reduce((sum, v, i) => sum + v * (axis.along[i] ?? 0), 0);
  const at = axis.at.map((v, i) => v + distance * (axis.along[i] ?? 0)) as unknown as Placement['at'];
  return { at, along: direction, facing: axis.facing };
}

function segmentsOf({ x, diameter, to }: SaidProfile): Segment[] {
  let [x0, r0] = [x, diameter / 2];
  return to.map(({ x: x1, diameter: d, off = 0, elementId = '' }) => {
    const chord = Math.hypot(x1 - x0, d / 2 - r0);
    const segment = { elementId, x0, r0, x1, r1: d / 2, bulge: chord === 0 ? 0 : (2 * off) / chord };
    [x0, r0] = [x1, d / 2];
    return segment;
  });
}

/** What is thinner at its end runs out to a point: no calliper is set to that. mm */
const POINT = 0.1;

/** Cuts that are told by the thickest of what they leave. */
const NAMED = { rough: 'round', tenon: 'tenon', size: 'parted down', stub: 'stub', nib: 'nib' } as const;

/**
 * What the calliper is set to: the crown where there is one, the bottom where there is one, else the thinner end, with what is
 * left for sanding. Of a hollow how deep it goes. And where that is.
 */
function figureOf(
  {
    doing,
    profile: { from, x },
    leave = 0,
    mark,
    local,
  }: Pick<Cutting, 'doing' | 'profile' | 'leave' | 'mark' | 'local'>,
  segments: readonly Segment[],
): OperationFigure | undefined {
  const [first, last] = [segments[0], segments.at(-1)];
  if (!first || !last) return undefined;
  if (doing === 'hollow') return { is: 'depth', mm: last.x1, from: fromOf(from) };
  const { largest, smallest } = extremes({ segments: [...segments] }, first.x0, last.x1);
  const cutTo = (diameter: number) => diameter + 2 * leave;
  const stretch = doing === 'shape' || doing === 'stub' || local;
  const at: Along = { from: fromOf(from), mm: mark ?? x, ...(stretch ? { to: last.x1 } : {}) };
  const where = doing === 'rough' && !local ? {} : { at };
  if (doing !== 'shape') return { is: NAMED[doing], mm: cutTo(largest.diameter), ...where };
  const ends = [2 * first.r0, 2 * last.r1];
  if (largest.diameter > Math.max(...ends) + 1e-6)
    return { is: 'crown', mm: cutTo(largest.diameter), ...where };
  if (smallest.diameter < Math.min(...ends) - 1e-6)
    return { is: 'bottom', mm: cutTo(smallest.diameter), ...where };
  if (smallest.diameter < POINT) return { is: 'point', mm: cutTo(largest.diameter), ...where };
  const is = largest.diameter === smallest.diameter ? 'straight' : 'thinner end';
  return { is, mm: cutTo(smallest.diameter), ...where };
}

function profileFigures({ from, x, diameter, to }: SaidProfile, leave: number): Said[] {
  return [
    { name: 'from', mm: x, from },
    { name: '⌀', mm: diameter, from: null },
    ...to.flatMap((p) => [
      { name: 'to', mm: p.x, from },
      { name: '⌀', mm: p.diameter, from: null },
      ...(p.off ? [{ name: p.off > 0 ? 'round by' : 'hollow by', mm: Math.abs(p.off), from: null }] : []),
    ]),
    ...(leave === 0 ? [] : [{ name: 'left for sanding, on the radius', mm: leave, from: null }]),
  ];
}

/**
 * A drawn stretch as a turner is told it: its ends and how far it stands off the straight between them.
 * @param at where x = 0 of the segments lies from the datum, and whether they run away from it. mm
 */
export function saidOf(
  segments: readonly Segment[],
  from: Datum,
  at: { x: number; runs: 1 | -1 },
): SaidProfile {
  const ordered = at.runs === 1 ? [...segments] : segments.toReversed().map(backwards);
  const x = (value: number) => at.x + at.runs * value;
  const place = (value: number) => Number(x(value).toFixed(6));
  const [first] = ordered;
  return {
    from,
    x: place(first?.x0 ?? 0),
    diameter: 2 * (first?.r0 ?? 0),
    to: ordered.map((s) => ({
      x: place(s.x1),
      diameter: 2 * s.r1,
      ...(s.bulge === 0 ? {} : { off: sagitta(s) }),
      elementId: s.elementId,
    })),
  };
}

const backwards = (s: Segment): Segment => ({ ...s, x0: s.x1, r0: s.r1, x1: s.x0, r1: s.r0 });

/** How far an arc stands off its chord, outwards above 0: half the chord times its bulge. mm */
const sagitta = ({ x0, r0, x1, r1, bulge }: Segment): number => (bulge * Math.hypot(x1 - x0, r1 - r0)) / 2;
