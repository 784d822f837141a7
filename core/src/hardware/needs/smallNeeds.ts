import { holeForBody, holeForThread, type HoleRange } from '../fit.js';
import type { KitOf } from '../kit.js';
import type { NeededHole } from '../neededHole.js';
import { forMandrelToo, tenon, type Fitting, type KitNeeds } from './needs.js';

export const ringNeeds = (kit: KitOf<'ring'>, { way, glue }: Fitting): KitNeeds => ({
  way,
  ...glue,
  mating: tenon('ring', kit.bore.mm, kit.length.mm),
  holes: [],
});

export function rodNeeds(kit: KitOf<'rod'>, { way, glue, bore }: Fitting): KitNeeds {
  const looser = kit.fit === 'press' ? 'glue gap' : kit.fit;
  const range = holeForBody(kit.diameter.mm, way === 'pressed' ? 'press' : looser);
  return {
    way,
    ...glue,
    mating: null,
    holes: [bore('rod hole', range, kit.diameter.mm, kit.length.mm, 'the rod')],
  };
}

/** A ball must stand on the axis: it goes in without play, and glue finds its way beside it. */
const central = (diameter: number): HoleRange => ({
  fit: 'slip',
  least: diameter,
  best: diameter + 0.05,
  most: diameter + 0.1,
});

export function ballNeeds(kit: KitOf<'ball'>, { way, glue, bore }: Fitting): KitNeeds {
  const [diameter, sinks] = [kit.diameter.mm, kit.seatDepth.mm];
  const range = way === 'pressed' ? holeForBody(diameter, 'press') : central(diameter);
  const seat = bore('ball seat', range, diameter, sinks, 'the ball');
  return { way, ...glue, mating: null, holes: [{ ...seat, seats: { diameter, sinks } }] };
}

export function screwEyeNeeds(kit: KitOf<'screw-eye'>, { way, bore, place }: Fitting): KitNeeds {
  const range = holeForThread(kit.rootDiameter.mm, kit.outsideDiameter.mm, place.material);
  return {
    way,
    mating: null,
    holes: [bore('pilot', range, kit.outsideDiameter.mm, kit.threadLength.mm, 'the screw eye')],
  };
}

export function threadedInsertNeeds(kit: KitOf<'threaded-insert'>, { way, bore, place }: Fitting): KitNeeds {
  const range = holeForThread(kit.rootDiameter.mm, kit.outsideDiameter.mm, place.material);
  const body = bore('insert hole', range, kit.outsideDiameter.mm, kit.insertLength.mm, 'the insert');
  return { way, mating: null, holes: [forMandrelToo(body, kit.thread, place)], mandrelThread: kit.thread };
}

/** A recess for a knot is this much deeper than the knot is thick. */
const KNOT_ROOM = 1.2;

export function cordNeeds(kit: KitOf<'cord'>, { way, bore, place }: Fitting): KitNeeds {
  const along = bore('cord hole', holeForBody(kit.diameter.mm, 'clearance'), kit.diameter.mm, 0, 'the cord');
  const through: NeededHole = { ...along, hole: { ...along.hole, id: `${kit.id}:cord`, through: true } };
  if (!kit.knotDiameter) return { way, mating: null, holes: [through] };
  const { mm } = kit.knotDiameter;
  const recess = bore('knot recess', holeForBody(mm, 'slip'), mm, mm * KNOT_ROOM, 'the knot');
  // the recess first: a wide bit has no centre left in an open hole
  const first = { ...recess, hole: { ...recess.hole, id: `${kit.id}:knot:${place.end}` } };
  return { way, mating: null, holes: [first, through] };
}
