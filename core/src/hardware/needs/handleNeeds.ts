import { dim, len } from '../../measure/index.js';
import type { Hole, HoleStep } from '../../pattern/index.js';
import { holeForBody } from '../fit.js';
import type { FittingWay } from '../fittingWay.js';
import type { KitOf } from '../kit.js';
import type { NeededHole } from '../neededHole.js';
import { tangBores } from '../tangBores.js';
import { taperBores } from '../taper.js';
import {
  blends,
  bodyFit,
  MATING_TOLERANCE,
  tenon,
  TWIST_POINT,
  type Fitting,
  type KitNeeds,
  type KitPlace,
} from './needs.js';

export function ferruleNeeds(kit: KitOf<'ferrule'>, { way, glue, bore }: Fitting): KitNeeds {
  const range = holeForBody(kit.tangDiameter.mm, bodyFit(way));
  return {
    way,
    ...glue,
    mating: tenon('ferrule', kit.bore.mm, kit.length.mm),
    holes: [bore('tang hole', range, kit.tangDiameter.mm, kit.tangLength.mm, 'the tang')],
  };
}

export function headNeeds(kit: KitOf<'head'>, { way, glue, bore }: Fitting): KitNeeds {
  const range = holeForBody(kit.stemDiameter.mm, bodyFit(way));
  return {
    way,
    ...glue,
    mating: blends(kit.endDiameter.mm, 'the head'),
    holes: [bore('stem hole', range, kit.stemDiameter.mm, kit.stemLength.mm, 'the stem')],
  };
}

export const tangNeeds = (kit: KitOf<'tang'>, { way, glue, place }: Fitting): KitNeeds => ({
  way,
  ...glue,
  mating: kit.bolsterDiameter ? blends(kit.bolsterDiameter.mm, 'the bolster') : null,
  holes: tangHoles(kit, place, way),
});

export const taperedShankNeeds = (kit: KitOf<'tapered-shank'>, { way, glue, place }: Fitting): KitNeeds => ({
  way,
  ...glue,
  mating: null,
  holes: socketHoles(kit, place),
});

export const socketNeeds = (kit: KitOf<'socket'>, { way }: Fitting): KitNeeds => ({
  way,
  holes: [],
  mating: {
    label: 'cone for the socket',
    diameter: kit.bottomDiameter.mm,
    endDiameter: kit.mouthDiameter.mm,
    length: kit.socketDepth.mm,
    tolerance: MATING_TOLERANCE,
    transfer: `Set one calliper on the socket's bottom, one on its mouth, ${len(kit.socketDepth.mm)} apart, and cut the cone to both.`,
  },
});

/** The stairs of a tang: one hole for the drawing, a bore for each bit. */
function tangHoles(kit: KitOf<'tang'>, { end, room, bits }: KitPlace, way: FittingWay): NeededHole[] {
  const bores = tangBores(kit, bits, way === 'pressed' ? -0.1 : 0.15, room);
  const driven = kit.section === 'square' ? 'its corners cut their own way: drive it straight' : 'push it in';
  return bores.map((bore, i) => {
    const last = i === bores.length - 1;
    return {
      hole: {
        id: `${kit.id}:${end}.${i + 1}`,
        name: bores.length === 1 ? 'tang hole' : `tang hole, step ${i + 1}`,
        from: end,
        through: false,
        pointAngle: TWIST_POINT,
        steps: [{ diameter: dim(bore.range.best), depth: dim(bore.depth) }],
      },
      range: bore.range,
      enters: 'the tang',
      entersDiameter: bore.across,
      entersLength: last ? kit.tangLength.mm : bore.depth,
      ...(last ? { after: `Try the tang: it goes in to ${len(kit.tangLength.mm)}, ${driven}.` } : {}),
    };
  });
}

/** A socket for a tapered shank: bored in steps inside the taper, then reamed to two calliper settings. */
function socketHoles(kit: KitOf<'tapered-shank'>, { end, bits }: KitPlace): NeededHole[] {
  const step: HoleStep = {
    diameter: kit.mouthDiameter,
    endDiameter: kit.tipDiameter,
    depth: kit.shankLength,
  };
  const hole: Hole = {
    id: `${kit.id}:${end}`,
    name: 'socket',
    from: end,
    through: false,
    pointAngle: TWIST_POINT,
    steps: [step],
  };
  return taperBores(hole, step, 0, `${hole.id}.1`, bits).map((bore) => ({ ...bore, enters: 'the shank' }));
}
