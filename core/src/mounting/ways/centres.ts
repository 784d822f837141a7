import { len } from '../../measure/index.js';
import type { Centre, Workshop } from '../../workshop/index.js';
import { widestOf } from '../../pattern/index.js';
import {
  awayFromHole,
  BITING,
  drilledEnd,
  drivingCentre,
  fitsOf,
  liveCentre,
  plainMount,
  SLIPPING,
  type Mount,
  type MountWish,
  type WayOfHolding,
} from '../mount.js';
import { isBall, showsTip } from './ends.js';
import { DRIVE_CENTRE, fixture, lacking, LIVE_CENTRE, SPUR_CENTRE } from '../lack.js';

/** Between centres on a centre that slips rather than catches; a spur where there is no other. */
export const betweenCentres: WayOfHolding = (wish, workshop) => {
  const width = widestOf(wish.outline).diameter;
  const ring = drivingCentre(workshop, width, SLIPPING);
  const spur = drivingCentre(workshop, width, BITING);
  const drive = ring ?? spur;
  const drilled = drilledEnd(wish);
  const base = driven(wish, workshop, drive);
  const plain: Mount = {
    ...base,
    kind: 'between centres',
    label: 'Between centres',
    why: drilled
      ? 'The live centre sits in the drilled hole, so that the outside runs true with it; it can be taken off and put back.'
      : ring
        ? 'It slips instead of catching, can be taken off, turned end for end and put back, and still runs true.'
        : 'It can be taken off, turned end for end and put back, and still runs true.',
  };
  const onSpur: Mount = {
    ...base,
    kind: 'spur drive',
    label: 'Between centres on a spur',
    why: 'It bites and does not slip in roughing; but it splits fine ends, and it only goes back into its own marks.',
    headstock: spur?.name ?? 'spur centre',
    ...bearsOf(spur),
    ...fitsOf(spur, liveCentre(workshop)),
    reversal: 'Mark one spur and its slot: turned end for end it does not run true any more.',
  };
  return [
    { mount: plain, suits: showsTip(wish.outline) ? 3 : 2 },
    ...(ring && spur ? [{ mount: onSpur, suits: 4 }] : []),
  ];
};

function driven(wish: MountWish, workshop: Workshop, drive: Centre | undefined): Mount {
  const live = liveCentre(workshop);
  return plainMount({
    kind: 'between centres',
    label: '',
    why: '',
    headstock: drive?.name ?? 'drive centre',
    tailstock: live?.name ?? null,
    headstockEnd: awayFromHole(wish),
    wasteDrive: workshop.allowances.wasteDrive,
    wasteTail: drilledEnd(wish) ? 0 : workshop.allowances.wasteTail,
    ...lacking(!drive && DRIVE_CENTRE, !live && LIVE_CENTRE),
    ...bearsOf(drive),
    ...fitsOf(drive, live),
    reversal: 'Take it off, turn it end for end on the same two centre marks.',
  });
}

const bearsOf = (drive: Centre | undefined): Pick<Mount, 'bears'> =>
  drive === undefined ? {} : { bears: drive.diameter };

/** Radius of an end that can be held by its face, mm. */
const LEAST_FACE = 3;

const FRICTION_PAIR = fixture('a friction pair', {
  name: 'Friction pair',
  kind: 'friction pair',
  diameter: 25,
  length: 30,
});

/** Two padded faces that squeeze the work: nothing enters it, so finished ends stay whole. */
export const frictionPair: WayOfHolding = (wish, workshop) => {
  const pair = workshop.fixtures?.find((f) => f.kind === 'friction pair');
  const ball = isBall(wish.outline);
  if (!pair && !ball) return [];
  const { segments } = wish.outline;
  // a rounded end is not squeezed between flat faces
  if (!ball && Math.min(segments[0]?.r0 ?? 0, segments.at(-1)?.r1 ?? 0) < LEAST_FACE) return [];
  const live = liveCentre(workshop);
  const mount = plainMount({
    kind: 'friction pair',
    label: 'Between two friction faces',
    why: 'Nothing enters the ends: for finished ends and light cuts. It slips when a cut is too heavy.',
    headstock: pair?.name ?? 'friction pair',
    tailstock: live?.name ?? null,
    headstockEnd: awayFromHole(wish),
    reach: 2 * (pair?.length ?? 0),
    stack: pair ? [{ what: `${pair.name}, both faces`, length: 2 * pair.length }] : [],
    ...lacking(!pair && FRICTION_PAIR, !live && LIVE_CENTRE),
    reversal: 'Loosen, turn it end for end, squeeze again: it runs as true as its ends are square.',
  });
  return [{ mount, suits: ball ? 3.5 : 7 }];
};

/** A further axis is turned with the centre marks shifted at both ends. */
export const shiftedCentre: WayOfHolding = (wish, workshop) => {
  const axis = wish.part.turnings[1]?.axis;
  if (!axis) return [];
  const spur = drivingCentre(workshop, widestOf(wish.outline).diameter, BITING);
  const mount: Mount = {
    ...driven(wish, workshop, spur),
    kind: 'shifted centre',
    label: 'On shifted centres',
    why: 'Second marks beside the first: the further axis is turned on them, after everything on the first axis.',
    ...lacking(!spur && SPUR_CENTRE, !liveCentre(workshop) && LIVE_CENTRE),
    reversal:
      'Mark the direction of the shift on both ends before the first cut: both marks lie in one plane.',
  };
  return [{ mount, suits: 2.2 }];
};

/** A plate that carries the work beside the spindle: its hole and its turn are written down for each cut. */
export const onOffsetPlate: WayOfHolding = (wish, workshop) => {
  const axis = wish.part.turnings[1]?.axis;
  const plate = workshop.fixtures?.find((f) => f.kind === 'offset plate');
  // a plate shifts the work, it does not lean it
  if (!axis || !plate || axis.tilt !== 0) return [];
  const mount = plainMount({
    kind: 'offset plate',
    label: 'On the offset plate',
    why: `The plate carries it ${len(axis.shift.mm)} beside the spindle, and its numbered holes find the same place on every piece.`,
    headstock: plate.name,
    wasteDrive: workshop.allowances.wasteDrive,
    reach: plate.length,
    stack: [{ what: plate.name, length: plate.length }],
    fixtures: [
      `hole for ${len(axis.shift.mm)}, turned to ${axis.direction}°: write both beside the cut, so that the pattern can be made again`,
    ],
    ...lacking(
      axis.shift.mm > plate.diameter / 2 &&
        fixture(`an offset plate that reaches ${len(axis.shift.mm)}`, {
          name: 'Larger offset plate',
          kind: 'offset plate',
          diameter: Math.ceil(2 * axis.shift.mm),
          length: plate.length,
        }),
    ),
    ...fitsOf(plate),
    reversal: 'Nothing is reversed: the plate is turned to its next hole.',
  });
  return [{ mount, suits: 2.4 }];
};
