import type { FittingWay } from './fittingWay.js';
import type { Kit } from './kit.js';
import { threadOf } from './thread.js';

/** A round of the hardware along the axis, from the face inwards (outside it is below 0). mm */
export interface KitBand {
  from: number;
  /** Infinity goes right through */
  to: number;
  diameter: number;
  /** where it tapers: the diameter at `to` */
  endDiameter?: number;
  /** lies inside the wood: seen in the section only */
  inside: boolean;
}

const inside = (to: number, diameter: number, endDiameter?: number): KitBand => ({
  from: 0,
  to,
  diameter,
  inside: true,
  ...(endDiameter === undefined ? {} : { endDiameter }),
});
const outside = (from: number, to: number, diameter: number): KitBand => ({
  from,
  to,
  diameter,
  inside: false,
});

/** Drawn thickness of a base, bolster or head where only its face was measured. mm */
const FACE = 3;

/** How a kit is drawn where it sits: its rounds along the axis, as it is fitted. */
export function kitBands(kit: Kit, way: FittingWay | undefined): KitBand[] {
  switch (kit.kind) {
    case 'tapped-insert': {
      const stud = way === 'insert' || way === undefined ? null : threadOf(kit.thread);
      return [inside(kit.insertLength.mm, stud?.outside ?? kit.insertDiameter.mm), ...onBase(kit)];
    }
    case 'self-tapping-stud':
      return [inside(kit.studLength.mm, kit.outsideDiameter.mm), ...onBase(kit)];
    case 'glue-in-stud':
      return [inside(kit.studLength.mm, kit.studDiameter.mm), ...onBase(kit)];
    case 'ferrule':
      return [
        outside(0, kit.length.mm, kit.outsideDiameter.mm),
        inside(kit.tangLength.mm, kit.tangDiameter.mm),
      ];
    case 'ring':
      return [outside(0, kit.length.mm, kit.outsideDiameter.mm)];
    case 'head':
      return [inside(kit.stemLength.mm, kit.stemDiameter.mm), outside(-2 * FACE, 0, kit.endDiameter.mm)];
    case 'tang':
      return [
        inside(kit.tangLength.mm, kit.shoulderAcross.mm, kit.tipAcross.mm),
        ...(kit.bolsterDiameter ? [outside(-FACE, 0, kit.bolsterDiameter.mm)] : []),
      ];
    case 'tapered-shank':
      return [inside(kit.shankLength.mm, kit.mouthDiameter.mm, kit.tipDiameter.mm)];
    case 'socket':
      return [
        {
          ...outside(0, kit.socketDepth.mm, kit.bottomDiameter.mm + FACE),
          endDiameter: kit.mouthDiameter.mm + FACE,
        },
      ];
    case 'rod':
      return [inside(kit.length.mm, kit.diameter.mm)];
    case 'ball':
      return [
        inside(kit.seatDepth.mm, kit.diameter.mm),
        outside(kit.seatDepth.mm - kit.diameter.mm, 0, kit.diameter.mm),
      ];
    case 'screw-eye':
      return [
        inside(kit.threadLength.mm, kit.outsideDiameter.mm),
        outside(-3 * kit.outsideDiameter.mm, 0, 3 * kit.outsideDiameter.mm),
      ];
    case 'cord':
      return [inside(Infinity, kit.diameter.mm)];
    case 'threaded-insert':
      return [inside(kit.insertLength.mm, kit.outsideDiameter.mm)];
  }
}

type OnBase = Extract<Kit, { baseDiameter: unknown }>;

function onBase({ baseDiameter, discDiameter, discThickness }: OnBase): KitBand[] {
  const thick = discThickness?.mm ?? FACE;
  if (!discDiameter) return [outside(-FACE, 0, baseDiameter.mm)];
  return [outside(-thick, 0, discDiameter.mm), outside(-thick - FACE, -thick, baseDiameter.mm)];
}
