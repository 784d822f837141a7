import type { Tool, Workshop } from '@compas/core';

/** Something a workshop cannot do without, and the usual thing to begin with. */
export interface Need {
  id: string;
  words: string;
  met: (workshop: Workshop) => boolean;
  usual: (workshop: Workshop) => Workshop;
}

const USUAL_TOOLS: Tool[] = [
  { id: 'rg', name: 'Roughing gouge 25', kind: 'roughing gouge', width: 25 },
  { id: 'sg', name: 'Spindle gouge 10', kind: 'spindle gouge', width: 10, nose: 4 },
  { id: 'sk', name: 'Skew 19', kind: 'skew', width: 19 },
  { id: 'pt', name: 'Parting tool 3', kind: 'parting tool', width: 3 },
];

/** The guided minimum: with these a first plan comes out whole. */
export const MINIMUM: Need[] = [
  {
    id: 'drive',
    words: 'A drive centre for the headstock',
    met: (w) => w.centres.some((c) => c.kind !== 'live'),
    usual: (w) => ({
      ...w,
      centres: [...w.centres, { id: 'spur', name: 'Four-spur centre', kind: 'spur', diameter: 20 }],
    }),
  },
  {
    id: 'live',
    words: 'A live centre for the tailstock',
    met: (w) => w.centres.some((c) => c.kind === 'live'),
    usual: (w) => ({
      ...w,
      centres: [...w.centres, { id: 'live', name: 'Live centre', kind: 'live', diameter: 20 }],
    }),
  },
  {
    id: 'tools',
    words: 'Four tools: roughing gouge, spindle gouge, skew, parting tool',
    met: (w) =>
      (['roughing gouge', 'spindle gouge', 'skew', 'parting tool'] as const).every((kind) =>
        w.tools.some((t) => t.kind === kind),
      ),
    usual: (w) => ({
      ...w,
      tools: [...w.tools, ...USUAL_TOOLS.filter((t) => !w.tools.some((own) => own.kind === t.kind))],
    }),
  },
  {
    id: 'calliper',
    words: 'A calliper',
    met: (w) => w.gauges.some((g) => g.kind === 'calliper'),
    usual: (w) => ({
      ...w,
      gauges: [...w.gauges, { id: 'calliper', name: 'Dial calliper', kind: 'calliper' }],
    }),
  },
  {
    id: 'bits',
    words: 'Some bits, 4 to 12 mm',
    met: (w) => w.bits.length > 0,
    usual: (w) => ({
      ...w,
      bits: [4, 5, 6, 8, 10, 12].map((d) => ({
        id: `brad${d}`,
        kind: 'brad point',
        diameter: { mm: d },
        length: 90,
      })),
    }),
  },
  {
    id: 'abrasives',
    words: 'Abrasives without a gap, P120 to P400',
    met: (w) => w.abrasives.length > 0,
    usual: (w) => ({
      ...w,
      abrasives: [120, 150, 180, 240, 320, 400].map((grit) => ({ id: `p${grit}`, grit, scale: 'P' })),
    }),
  },
  {
    id: 'finish',
    words: 'One finish',
    met: (w) => w.finishes.length > 0,
    usual: (w) => ({ ...w, finishes: [{ id: 'wax', name: 'Wax', kind: 'wax', coats: 1 }] }),
  },
];
