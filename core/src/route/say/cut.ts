import { type Placement, type Segment, type Skin } from '../../pattern/index.js';
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
  /** a fresh surface through what is sanded, textured or coated is meant */
  fresh?: boolean;
  /** with knife and paper, off the lathe */
  byHand?: boolean;
}

/** Wood turned away about the axis that the work turns about. What is cut is what is said. */
export function cut(
  shop: Shop,
  { wood: id, doing, subject, pass, profile, leave = 0, fresh = false, byHand = false, ...manner }: Cutting,
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
        effects: [{ do: 'cut', wood: id, skin, through: fresh ? 'treated' : 'nothing', turning: !byHand }],
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
