import type { Mount } from '../mounting/index.js';
import type { Part } from '../pattern/index.js';
import type { PartDraft } from './partPlan.js';

/** Ways of holding in which several pieces are turned from one blank. */
const IN_A_ROW: ReadonlySet<Mount['kind']> = new Set(['between centres', 'spur drive', 'chuck', 'screw']);

/** Why a piece cannot lie in one blank with others; null where it can. */
export function aloneInBlank({
  part,
  hardware,
  otherHardware = [],
  drilling,
  mount,
}: Pick<PartDraft, 'hardware' | 'otherHardware' | 'drilling' | 'mount'> & { part: Part }): string | null {
  if (drilling.length > 0)
    return 'A piece with a drilled end is drilled while its blank is square, and only the ends of a blank can be reached.';
  if (hardware !== null || otherHardware.length > 0)
    return 'Hardware is fitted at an end, and an end inside the blank cannot be reached.';
  if (part.turnings.length > 1) return 'A further axis is marked on both ends of its own blank.';
  if (!IN_A_ROW.has(mount.kind)) return `${mount.label}: each piece is held by itself.`;
  return null;
}
