import { dim, len } from '../measure/index.js';
import type { Material } from '../material/index.js';
import type { Hole, PartEnd, HoleStep } from '../pattern/index.js';
import type { Bit, GlueKind } from '../workshop/index.js';
import { holeForBody, holeForThread, type HoleRange } from './fit.js';
import { wayOf, type FittingWay } from './fittingWay.js';
import type { Kit, TangKit, TaperedShankKit } from './kit.js';
import type { NeededHole } from './neededHole.js';
import { tangBores } from './tangBores.js';
import { taperBores } from './taper.js';
import { threadOf } from './thread.js';

/** Full angle of the point of an ordinary twist bit, degrees. */
const TWIST_POINT = 118;

/** A diameter that must meet the hardware, at the end the hardware sits on. */
export interface MatingFace {
  label: string;
  diameter: number;
  /** ± mm */
  tolerance: number;
  /** for a tenon: how long the diameter runs from the end */
  length?: number;
  /** for a cone: the diameter it has grown to at its length */
  endDiameter?: number;
  transfer: string;
}

export interface KitNeeds {
  holes: NeededHole[];
  /** null when nothing of the kit meets the outside */
  mating: MatingFace | null;
  way?: FittingWay;
  glue?: GlueKind;
  /** thread of the mandrel the piece is turned on, when the kit gives one */
  mandrelThread?: string;
}

/** What the needs of a kit depend on beside its sizes. */
export interface KitPlace {
  end: PartEnd;
  material: Material;
  /** what the hole is deeper than the longest thing that enters, mm */
  room: number;
  bits: readonly Bit[];
  /** how it is to be fitted; its usual way when not said */
  way?: FittingWay;
}

/** Mating diameters are kept to a tenth; seen ones are free of it. */
const MATING_TOLERANCE = 0.1;

/** What a kit asks of the part it is fitted to: holes in their order, mating diameter, glue, mandrel. */
export function kitNeeds(kit: Kit, place: KitPlace): KitNeeds {
  const way = wayOf(kit, place.way);
  const glue = way === 'glued' && 'glue' in kit ? { glue: kit.glue } : {};
  const fit = way === 'pressed' ? 'press' : 'glue gap';
  const bore = boring(kit, place);
  switch (kit.kind) {
    case 'tapped-insert':
      return { way, mating: flush(kit), ...insertNeeds(kit, way, bore, place) };
    case 'self-tapping-stud': {
      const { studLength, rootDiameter, outsideDiameter } = kit;
      const deep = inWood(studLength.mm, kit);
      const range =
        way === 'glued'
          ? holeForBody(outsideDiameter.mm, 'glue gap')
          : holeForThread(rootDiameter.mm, outsideDiameter.mm, place.material);
      return {
        way,
        mating: flush(kit),
        holes: [bore('stud hole', range, outsideDiameter.mm, deep, 'the stud')],
        ...(way === 'glued' ? { glue: 'epoxy' as const } : { mandrelThread: kit.thread }),
      };
    }
    case 'glue-in-stud': {
      const { studDiameter, studLength } = kit;
      const range = holeForBody(studDiameter.mm, 'glue gap');
      const deep = inWood(studLength.mm, kit);
      return {
        way,
        ...glue,
        mating: flush(kit),
        holes: [bore('stud hole', range, studDiameter.mm, deep, 'the stud')],
      };
    }
    case 'ferrule': {
      const range = holeForBody(kit.tangDiameter.mm, fit);
      return {
        way,
        ...glue,
        mating: tenon('ferrule', kit.bore.mm, kit.length.mm),
        holes: [bore('tang hole', range, kit.tangDiameter.mm, kit.tangLength.mm, 'the tang')],
      };
    }
    case 'ring':
      return { way, ...glue, mating: tenon('ring', kit.bore.mm, kit.length.mm), holes: [] };
    case 'head': {
      const range = holeForBody(kit.stemDiameter.mm, fit);
      return {
        way,
        ...glue,
        mating: blends(kit.endDiameter.mm, 'the head'),
        holes: [bore('stem hole', range, kit.stemDiameter.mm, kit.stemLength.mm, 'the stem')],
      };
    }
    case 'tang':
      return {
        way,
        ...glue,
        mating: kit.bolsterDiameter ? blends(kit.bolsterDiameter.mm, 'the bolster') : null,
        holes: tangHoles(kit, place, way),
      };
    case 'tapered-shank':
      return { way, ...glue, mating: null, holes: socketHoles(kit, place) };
    case 'socket':
      return {
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
      };
    case 'rod': {
      const range = holeForBody(
        kit.diameter.mm,
        way === 'pressed' ? 'press' : kit.fit === 'press' ? 'glue gap' : kit.fit,
      );
      return {
        way,
        ...glue,
        mating: null,
        holes: [bore('rod hole', range, kit.diameter.mm, kit.length.mm, 'the rod')],
      };
    }
    case 'ball': {
      const range = holeForBody(kit.diameter.mm, way === 'pressed' ? 'press' : 'slip');
      return {
        way,
        ...glue,
        mating: null,
        holes: [bore('ball seat', range, kit.diameter.mm, kit.seatDepth.mm, 'the ball')],
      };
    }
    case 'screw-eye': {
      const range = holeForThread(kit.rootDiameter.mm, kit.outsideDiameter.mm, place.material);
      return {
        way,
        mating: null,
        holes: [bore('pilot', range, kit.outsideDiameter.mm, kit.threadLength.mm, 'the screw eye')],
      };
    }
    case 'threaded-insert': {
      const range = holeForThread(kit.rootDiameter.mm, kit.outsideDiameter.mm, place.material);
      const body = bore('insert hole', range, kit.outsideDiameter.mm, kit.insertLength.mm, 'the insert');
      return { way, mating: null, holes: [body], mandrelThread: kit.thread };
    }
    case 'cord':
      return { way, mating: null, holes: cordHoles(kit, place, bore) };
  }
}

type Boring = (
  name: string,
  range: HoleRange,
  entersDiameter: number,
  entersLength: number,
  enters: string,
) => NeededHole;

/** Holes of one kit at one end; each has its own name. */
const boring =
  (kit: Kit, { end, room }: KitPlace): Boring =>
  (name, range, entersDiameter, entersLength, enters) => ({
    hole: {
      id: `${kit.id}:${end}`,
      name,
      from: end,
      through: false,
      pointAngle: TWIST_POINT,
      steps: [{ diameter: dim(range.best), depth: dim(entersLength + room) }],
    },
    range,
    enters,
    entersDiameter,
    entersLength,
  });

function insertNeeds(
  kit: Extract<Kit, { kind: 'tapped-insert' }>,
  way: FittingWay,
  bore: Boring,
  { material }: KitPlace,
): Pick<KitNeeds, 'holes' | 'glue' | 'mandrelThread'> {
  const stud = threadOf(kit.thread);
  const deep = inWood(kit.insertLength.mm, kit);
  if (way === 'insert' || !stud) {
    const range = holeForBody(kit.insertDiameter.mm, 'glue gap');
    return {
      holes: [bore('insert hole', range, kit.insertDiameter.mm, kit.insertLength.mm, 'the insert')],
      glue: kit.glue,
      mandrelThread: kit.thread,
    };
  }
  if (way === 'glued')
    return {
      holes: [bore('stud hole', holeForBody(stud.outside, 'glue gap'), stud.outside, deep, 'the stud')],
      glue: kit.glue,
    };
  const range = holeForThread(stud.root, stud.outside, material);
  return {
    holes: [bore('stud hole', range, stud.outside, deep, 'the stud')],
    mandrelThread: kit.thread,
  };
}

type OnBase = Extract<Kit, { baseDiameter: unknown }>;

/** A disc between base and wood takes its thickness from what the stud has in the wood. */
const inWood = (stud: number, { discDiameter, discThickness }: OnBase): number =>
  Math.max(1, stud - (discDiameter ? (discThickness?.mm ?? 0) : 0));

const flush = ({ baseDiameter, discDiameter }: OnBase): MatingFace => {
  const on = discDiameter ? 'disc' : 'base';
  return {
    label: `flush with the ${on}`,
    diameter: (discDiameter ?? baseDiameter).mm,
    tolerance: MATING_TOLERANCE,
    transfer: `Set the calliper on the ${on} and cut to it.`,
  };
};

const blends = (diameter: number, what: string): MatingFace => ({
  label: `flush with ${what}`,
  diameter,
  tolerance: MATING_TOLERANCE,
  transfer: `Set the calliper on ${what} and cut to it.`,
});

const tenon = (what: string, diameter: number, length: number): MatingFace => ({
  label: `${what} tenon`,
  diameter,
  tolerance: MATING_TOLERANCE,
  length,
  transfer: `Set the calliper on the inside of the ${what} and cut to it.`,
});

/** The stairs of a tang: one hole for the drawing, a bore for each bit. */
function tangHoles(kit: TangKit, { end, room, bits }: KitPlace, way: FittingWay): NeededHole[] {
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
function socketHoles(kit: TaperedShankKit, { end, bits }: KitPlace): NeededHole[] {
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

/** Deep enough that a through hole goes through any spindle; the bit is picked by its reach. */
const CORD_RECESS = 1.2;

function cordHoles(kit: Extract<Kit, { kind: 'cord' }>, { end }: KitPlace, bore: Boring): NeededHole[] {
  const range = holeForBody(kit.diameter.mm, 'clearance');
  const way = bore('cord hole', range, kit.diameter.mm, 0, 'the cord');
  const through: NeededHole = { ...way, hole: { ...way.hole, id: `${kit.id}:cord`, through: true } };
  if (!kit.knotDiameter) return [through];
  const knot = holeForBody(kit.knotDiameter.mm, 'slip');
  const recess = bore(
    'knot recess',
    knot,
    kit.knotDiameter.mm,
    kit.knotDiameter.mm * CORD_RECESS,
    'the knot',
  );
  // the recess first: a wide bit has no centre left in an open hole
  return [{ ...recess, hole: { ...recess.hole, id: `${kit.id}:knot:${end}` } }, through];
}
