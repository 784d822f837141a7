import type { Finding } from '@compas/core';

/** A screen on which a finding is mended, and how it is called. */
interface MendPlace {
  path: string;
  words: string;
}

/** By the beginning of its id: what the workshop lacks is entered where it is listed. */
const LISTED: readonly (readonly [begins: string, path: string, words: string])[] = [
  ['mount.missing.', '/workshop/holding', 'To what the workshop holds with'],
  ['drill.bit.', '/workshop/bits', 'To the bits'],
  ['turn.tool.', '/workshop/tools', 'To the tools'],
  ['turn.nose.', '/workshop/tools', 'To the tools'],
  ['surface.missing.', '/workshop/surface', 'To the abrasives'],
  ['surface.gap.', '/workshop/surface', 'To the abrasives'],
  ['assemble.glue.', '/workshop/surface', 'To the glues'],
  ['assemble.kits.', '/workshop/kits', 'To the hardware'],
  ['stock.wood.', '/stock/drying', 'To the drying shelf'],
];

/** Where a finding is mended: the row of the pattern it is about, or the list that lacks something; null where neither. */
export function mendPlace({ id, elementId, stage }: Finding, patternId: string): MendPlace | null {
  if (elementId !== undefined)
    return {
      path: `/patterns/${patternId}?about=${encodeURIComponent(elementId)}`,
      words: 'To its row in the pattern',
    };
  const listed = LISTED.find(([begins]) => id.startsWith(begins));
  if (listed) return { path: listed[1], words: listed[2] };
  return stage === 'pattern' ? { path: `/patterns/${patternId}`, words: 'To the pattern' } : null;
}
