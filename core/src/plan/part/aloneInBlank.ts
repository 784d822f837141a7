import { len } from '../../measure/index.js';
import type { Mount } from '../../mounting/index.js';
import type { Part } from '../../pattern/index.js';
import { STRENGTHS, tenonStress, weightOf } from '../../stiffness/index.js';
import type { PartDraft } from './partPlan.js';

/** Ways of holding in which several pieces are turned from one blank. */
const IN_A_ROW: ReadonlySet<Mount['kind']> = new Set(['between centres', 'spur drive', 'chuck', 'screw']);

type Drafted = Pick<
  PartDraft,
  'hardware' | 'otherHardware' | 'drilling' | 'mount' | 'outline' | 'material' | 'largestDiameter'
>;

/** A piece that would lie in a row with others, and the waste between two of them, mm. */
interface InRow extends Drafted {
  part: Part;
  perBlank: number;
  parting: number;
}

/** Why a piece cannot lie in one blank with others; null where it can. */
export function aloneInBlank(row: InRow): string | null {
  const { part, hardware, otherHardware = [], drilling, mount } = row;
  if (drilling.length > 0)
    return 'A piece with a drilled end is drilled while its blank is square, and only the ends of a blank can be reached.';
  if (hardware !== null || otherHardware.length > 0)
    return 'Hardware is fitted at an end, and an end inside the blank cannot be reached.';
  if (part.turnings.length > 1) return 'A further axis is marked on both ends of its own blank.';
  if (!IN_A_ROW.has(mount.kind)) return `${mount.label}: each piece is held by itself.`;
  return rocksInJaws(row);
}

/** In a chuck the tail leaves for the end of each piece: the first one stands out with all the others behind it. */
function rocksInJaws({ mount, outline, material, largestDiameter, perBlank, parting }: InRow): string | null {
  const { tenon, wasteDrive, wasteTail } = mount;
  if (mount.kind !== 'chuck' || !tenon) return null;
  const out = perBlank * (outline.length + parting) + wasteDrive + wasteTail - tenon.length;
  const weight = weightOf((Math.PI / 4) * largestDiameter ** 2 * out, material.density);
  return tenonStress(tenon, weight, out) <= STRENGTHS[material.class].rocking
    ? null
    : `${perBlank} in a row stand ${len(out)} out of the chuck: the tenon does not hold them when the tail leaves for the first one’s end.`;
}
