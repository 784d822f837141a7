import { dim } from '../measure/index.js';
import type { Material } from '../material/index.js';
import type { Hole, PartEnd, HoleStep } from '../pattern/index.js';
import type { GlueKind } from '../workshop/index.js';
import { holeForBody, holeForThread, type HoleRange } from './fit.js';
import type { Kit } from './kit.js';

/** Full angle of the point of an ordinary twist bit, degrees. */
const TWIST_POINT = 118;

/** A hole that a kit asks for: the range of bits that will do and the longest thing that enters. */
export interface NeededHole {
  hole: Hole;
  range: HoleRange;
  enters: string;
  entersDiameter: number;
  entersLength: number;
  /** what the bore becomes, when it is reamed to a taper afterwards; null for bores that vanish in it */
  becomes?: HoleStep | null;
  /** what is done when it is drilled */
  after?: string;
}

/** A diameter that must meet the hardware, at the end the hardware sits on. */
export interface MatingFace {
  label: string;
  diameter: number;
  /** ± mm */
  tolerance: number;
  /** for a tenon: how long the diameter runs from the end */
  length?: number;
  transfer: string;
}

export interface KitNeeds {
  holes: NeededHole[];
  mating: MatingFace;
  glue?: GlueKind;
  /** thread of the mandrel the piece is turned on, when the kit gives one */
  mandrelThread?: string;
}

/** Mating diameters are kept to a tenth; seen ones are free of it. */
const MATING_TOLERANCE = 0.1;

/**
 * What a kit asks of the part it is fitted to: holes, mating diameter, glue, mandrel.
 * @param room what the hole is deeper than the longest thing that enters, mm
 */
export function kitNeeds(kit: Kit, end: PartEnd, material: Material, room: number): KitNeeds {
  switch (kit.kind) {
    case 'tapped-insert': {
      const range = holeForBody(kit.insertDiameter.mm, 'glue gap');
      return {
        holes: [
          needed(
            kit,
            end,
            'insert hole',
            range,
            kit.insertDiameter.mm,
            kit.insertLength.mm,
            room,
            'the insert',
          ),
        ],
        mating: flush(kit.baseDiameter.mm),
        glue: kit.glue,
        mandrelThread: kit.thread,
      };
    }
    case 'self-tapping-stud': {
      const range = holeForThread(kit.rootDiameter.mm, kit.outsideDiameter.mm, material);
      return {
        holes: [
          needed(kit, end, 'stud hole', range, kit.outsideDiameter.mm, kit.studLength.mm, room, 'the stud'),
        ],
        mating: flush(kit.baseDiameter.mm),
        mandrelThread: kit.thread,
      };
    }
    case 'ferrule': {
      const range = holeForBody(kit.tangDiameter.mm, 'glue gap');
      return {
        holes: [
          needed(kit, end, 'tang hole', range, kit.tangDiameter.mm, kit.tangLength.mm, room, 'the tang'),
        ],
        mating: {
          label: 'ferrule tenon',
          diameter: kit.bore.mm,
          tolerance: MATING_TOLERANCE,
          length: kit.length.mm,
          transfer: 'Set the calliper on the inside of the ferrule and cut to it.',
        },
        glue: kit.glue,
      };
    }
  }
}

const flush = (diameter: number): MatingFace => ({
  label: 'flush with the base',
  diameter,
  tolerance: MATING_TOLERANCE,
  transfer: 'Set the calliper on the base and cut to it.',
});

function needed(
  kit: Kit,
  end: PartEnd,
  name: string,
  range: HoleRange,
  entersDiameter: number,
  entersLength: number,
  room: number,
  enters: string,
): NeededHole {
  const depth = dim(entersLength + room);
  return {
    hole: {
      id: `${kit.id}:${end}`,
      name,
      from: end,
      through: false,
      pointAngle: TWIST_POINT,
      steps: [{ diameter: dim(range.best), depth }],
    },
    range,
    enters,
    entersDiameter,
    entersLength,
  };
}
