import type { Placement, Skin } from '../../pattern/index.js';
import type { CutKind } from '../kinds/cutting.js';
import { kindRow } from '../kinds/operationKinds.js';
import type { Lengths, Operation } from '../operation.js';
import { saying } from '../said.js';
import { profileFigures, segmentsOf, type SaidProfile } from '../saidProfile.js';
import type { Shop } from '../shop.js';
import { idOf, operationOf, type Manner } from './operationOf.js';
import { placeOf, woodFor } from './place.js';

interface Cutting extends Manner {
  wood: string;
  kind: Exclude<CutKind, 'face a rim' | 'face an end'>;
  subject: string;
  pass?: string;
  profile: SaidProfile;
  /** left on the radius for sanding, mm */
  leave?: number;
  /** the mark that a place is sized at: nobody lays off the edge of the tool; mm from the profile's datum */
  mark?: number;
  /** a fresh surface through what is sanded, textured or coated is meant */
  fresh?: boolean;
  /** by light cuts, where such a cut presses hard as a rule */
  lightly?: true;
}

/** Wood turned away about the axis that the work turns about. What is cut is what is said. */
export function cut(
  shop: Shop,
  { wood: id, kind, subject, pass, profile, leave = 0, mark, fresh = false, lightly, ...manner }: Cutting,
  lengths: Lengths,
): Operation {
  const wood = woodFor(shop, id);
  const { does, leaves } = kindRow(kind);
  const byHand = kind === 'carve a tip';
  const side = does === 'hollow' ? 'inside' : 'outside';
  const lies = placeOf(wood, profile.from, lengths);
  // lengths run along the axis of the hold; the datum says where they begin and which way they go
  const axis: Placement = shop.held?.wood === id && !byHand ? along(shop.held.axis, lies) : lies;
  const segments = segmentsOf(profile);
  const skin: Skin = {
    id: idOf(does, subject, pass),
    axis,
    side,
    profile: segments,
    fat: leave === 0 ? [] : [{ x0: profile.x, x1: segments.at(-1)?.x1 ?? profile.x, mm: leave }],
    ...(leaves ? { leaves } : {}),
  };
  return operationOf(
    {
      kind,
      subject,
      ...(pass === undefined ? {} : { pass }),
      on: [id],
      said: [
        ...profileFigures(profile, leave),
        ...(mark === undefined ? [] : [saying('at the mark', mark, profile.from)]),
      ],
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
    },
    manner,
  );
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
