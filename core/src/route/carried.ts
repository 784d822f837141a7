import { len } from '../measure/index.js';
import { drilledRadius, drilledStretch, skinRadius, type Body } from '../pattern/index.js';
import {
  carries,
  FORCES,
  leastDiameter,
  STRENGTHS,
  tenonStress,
  weightOf,
  type Force,
  type Load,
  type Section,
  type Strength,
} from '../stiffness/index.js';
import { endNow } from './datum.js';
import { unmet, type Need } from './need.js';
import { cutsOf, reachOf, type Cuts, type Reach } from './outsides.js';
import { woodOf, type Held, type Shop, type Wood } from './shop.js';
import { freeBetween, thinnest } from './spun.js';
import type { Stretch } from './stretch.js';

/** Beside a place a step may lie, mm. */
const BESIDE = 0.01;

/** What is nearer than this is one place, mm. */
const HAIR = 1e-6;

/** Thinner than so nothing is left to cut, mm. */
const POINT = 0.25;

/** A cut as what carries it feels it: how hard, and on which stretch of the wood. */
interface Pressed {
  force: Force;
  /** of the wood's frame, mm */
  on: Stretch;
  /** how far from the axis, mm; as far as the wood stands out there when not said */
  r?: number;
}

/**
 * What lies between the drive and a cut is twisted by it, and bent where nothing is at the tail: at its thinnest it must
 * bear that. Between a drive and a tail that both hold only the twist is looked at.
 */
export function carriedNeeds(shop: Shop, id: string, { force, on, r }: Pressed): Need[] {
  const wood = woodOf(shop, id);
  const { held } = shop;
  if (!wood?.madeOf || held?.wood !== id || held.place !== 'lathe' || Math.abs(held.axis.along[0]) < ALONG)
    return [];
  const strength = STRENGTHS[wood.madeOf.class];
  const [low, high] = endsOf(wood);
  const [from, to] = freeBetween(held.drive, held.tail, low, high);
  const drivesLow = middleOf(held.drive) < (on.x0 + on.x1) / 2;
  const between = drivesLow ? { x0: from, x1: on.x0 } : { x0: on.x1, x1: to };
  if (between.x1 - between.x0 < 2 * BESIDE) return [];
  const cuts = cutsOf(wood.body, held.axis);
  const reach = reachOf(cuts);
  const newtons = FORCES[force];
  const out = r ?? standsOut(reach, on);
  // what was cut to a point is cut off already
  if (out < POINT) return [];
  const torque = newtons * out;
  const far = drivesLow ? on.x1 : on.x0;
  if (
    isStout(wood.body, cuts, between, strength, {
      torque,
      moment: held.tail ? 0 : newtons * Math.abs(far - (drivesLow ? from : to)),
    })
  )
    return [];
  const loadAt = (x: number): Load => ({ torque, moment: held.tail ? 0 : newtons * Math.abs(far - x) });
  const thin = placesOf(wood.body, cuts, between)
    .map((x) => ({ section: sectionAt(wood.body, reach, x), load: loadAt(x) }))
    .find(({ section, load }) => !carries(section, load, strength));
  if (!thin) return [];
  const { section, load } = thin;
  return [
    {
      ...unmet(
        'What carries this is too thin for it.',
        `Between ${held.drive.words} and here it is ${len(section.diameter)} across${section.bore > 0 ? `, bored ${len(section.bore)}` : ''}; a force of ${newtons} N here wants ${len(leastDiameter(load, strength))} of solid wood there (typical, unchecked).`,
        'Do this before it is turned so thin there, leave it thicker, or hold it nearer to here.',
      ),
      cause: `${held.by}: ${Math.round(section.diameter)} across`,
    },
  ];
}

/** An axis that lies so much across the wood turns nothing along it. */
const ALONG = 0.9;

const middleOf = ({ on }: Held['drive']): number => (on.x0 + on.x1) / 2;

const endsOf = (wood: Wood): [number, number] => [
  endNow(wood, 'low').at.at[0],
  endNow(wood, 'high').at.at[0],
];

/** Most wood is far from its limit: solid, and at its thinnest as thick as the largest load anywhere wants. */
const isStout = (body: Body, cuts: Cuts, { x0, x1 }: Stretch, strength: Strength, most: Load): boolean =>
  body.drilled.length === 0 &&
  body.form.kind !== 'joined' &&
  body.skins.every((skin) => skin.side === 'outside') &&
  2 * thinnest(cuts, x0, x1) >= leastDiameter(most, strength);

/** How far the wood stands out at most where it is cut, mm. */
const standsOut = (reach: Reach, { x0, x1 }: Stretch): number =>
  Math.max(...[0, 0.25, 0.5, 0.75, 1].map((t) => reach(x0 + BESIDE + t * Math.max(0, x1 - x0 - 2 * BESIDE))));

/** Where between two places a section may be the weakest: where a cut is thinnest or ends, and where a hole ends. */
function placesOf({ drilled }: Body, { skins }: Cuts, { x0, x1 }: Stretch): number[] {
  const all = [
    ...skins.flatMap(({ from, to, extremes }) => [from + BESIDE, extremes.thinnest.x, to - BESIDE]),
    ...drilled.flatMap((hole) => drilledStretch(hole).flatMap((x) => [x - BESIDE, x + BESIDE])),
  ];
  return [x0 + BESIDE, x1 - BESIDE, ...all.filter((x) => x > x0 + HAIR && x < x1 - HAIR)];
}

/** The wood at a place as a round one: as far as it stands out, and what is bored or hollowed out of it along the axis. mm */
function sectionAt({ drilled, skins }: Body, reach: Reach, x: number): Section {
  const bores = drilled
    .filter(({ at }) => Math.abs(at.along[0]) > ALONG)
    .map((hole) => drilledRadius(hole, (x - hole.at.at[0]) / hole.at.along[0]));
  const hollows = skins
    .filter(({ side, axis }) => side === 'inside' && Math.abs(axis.along[0]) > ALONG)
    .map((skin) => skinRadius(skin, (x - skin.axis.at[0]) / skin.axis.along[0]) ?? 0);
  return { diameter: 2 * reach(x), bore: 2 * Math.max(0, ...bores, ...hollows) };
}

/** So many places of the wood are weighed. */
const SLICES = 24;

/** Without a tail jaws hold a tenon against what rocks it at the free end: a light cut, and half of what it weighs. */
export function rockingNeeds(shop: Shop, held: Held): Need[] {
  const wood = woodOf(shop, held.wood);
  if (!wood?.madeOf || held.tail || held.drive.by !== 'jaws' || held.place !== 'lathe') return [];
  const { drive } = held;
  const [low, high] = endsOf(wood);
  const [from, to] = freeBetween(drive, null, low, high);
  const reach = reachOf(cutsOf(wood.body, held.axis));
  const tenon = { diameter: 2 * reach(middleOf(drive)), length: drive.on.x1 - drive.on.x0 };
  const weight = weightOf(volumeOf(reach, low, high), wood.madeOf.density);
  const stress = tenonStress(tenon, weight, to - from);
  const { rocking } = STRENGTHS[wood.madeOf.class];
  return stress <= rocking
    ? []
    : [
        {
          ...unmet(
            'The tenon does not hold it alone.',
            `It stands ${len(to - from)} out of ${drive.words} on a tenon of ${len(tenon.diameter)} × ${len(tenon.length)}: ${stress.toFixed(1)} MPa on the wood under the jaws, where ${rocking} is borne (typical, unchecked).`,
            'Leave the tailstock up, put a steady under it, or turn a longer tenon.',
          ),
          cause: held.by,
        },
      ];
}

/** How much wood stands about its axis as far as that reaches, mm³. */
function volumeOf(reach: Reach, low: number, high: number): number {
  const step = (high - low) / SLICES;
  const areas = Array.from({ length: SLICES }, (_, i) => Math.PI * reach(low + (i + 0.5) * step) ** 2);
  return areas.reduce((sum, area) => sum + area * step, 0);
}
