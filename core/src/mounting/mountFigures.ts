import type { Figure } from '../measure/index.js';
import { slimmestOf } from '../pattern/index.js';
import type { Workshop } from '../workshop/index.js';
import type { Mount } from './mount.js';
import { tapedHold, type HeldWork } from './mountFindings.js';
import { lengthOf } from './stack.js';
import { sweeps } from './swing.js';

/** The figures that decide how the work is held: what it sweeps, what it takes up, how slender it is. */
export function mountFigures(mount: Mount, work: HeldWork, { lathe }: Workshop): Figure[] {
  const { blank, outline, part } = work;
  const swept = Math.max(blank.diagonal, ...sweeps(part, outline, blank.diagonal / 2).map((s) => s.diameter));
  const taken = blank.length + mount.reach;
  const slender = blank.length / slimmestOf(outline).diameter;
  const tape = tapedHold(mount, work);
  return [
    {
      id: 'mount.left',
      label: 'Left between the centres',
      value: lathe.betweenCentres - taken,
      unit: 'mm',
      working: {
        rule: 'Between centres − blank − what the fixture takes up.',
        source: 'lathe and fixtures of the workshop',
        inputs: [
          { label: 'between centres', value: lathe.betweenCentres, unit: 'mm' },
          { label: 'blank', value: blank.length, unit: 'mm' },
          ...(mount.stack ?? []).map(({ what, length }) => ({
            label: what,
            value: length,
            unit: 'mm' as const,
          })),
          ...(lengthOf(mount.stack ?? []) === mount.reach
            ? []
            : [{ label: 'fixture in all', value: mount.reach, unit: 'mm' as const }]),
        ],
      },
    },
    {
      id: 'mount.swing',
      label: 'Sweeps',
      value: swept,
      unit: 'mm',
      working: {
        rule: `${blank.stock ? 'The widest way across the blank' : 'Corner to corner of the blank'}, or twice its farthest reach from a further axis.`,
        source: 'geometry of the blank',
        inputs: [
          {
            label: blank.stock ? 'widest way across, at most' : 'corner to corner',
            value: blank.diagonal,
            unit: 'mm',
          },
          { label: 'lathe swings', value: lathe.swing, unit: 'mm' },
          ...(lathe.overRest === undefined
            ? []
            : [{ label: 'over the rest', value: lathe.overRest, unit: 'mm' as const }]),
        ],
      },
    },
    {
      id: 'mount.slender',
      label: 'Length over its thinnest place',
      value: Math.round(slender * 10) / 10,
      unit: '',
      working: {
        rule: 'Length of the blank ÷ thinnest place that still carries wood.',
        source: 'bench practice: chatters above 4 when free, whips above 12 between centres',
        inputs: [
          { label: 'blank', value: blank.length, unit: 'mm' },
          { label: 'thinnest place', value: slimmestOf(outline).diameter, unit: 'mm' },
        ],
      },
    },
    ...(tape === null
      ? []
      : [
          {
            id: 'mount.tape',
            label: 'Tape holds, times a light cut',
            value: Math.round(tape.safety * 10) / 10,
            unit: '' as const,
            working: {
              rule: 'The smaller of πτd³/12 ÷ (F·D/2) and τπd²/4 ÷ (F + m·e·ω²).',
              source:
                'elementary mechanics; strength of the tape and force of a light cut typical, unchecked',
              inputs: [
                { label: 'taped face', value: mount.taped ?? 0, unit: 'mm' as const },
                { label: 'mass of the blank', value: work.mass, unit: 'g' as const },
                { label: 'speed', value: work.rpm ?? 0, unit: 'rpm' as const },
                { label: 'torque carried, N·m', value: Math.round(tape.carries * 100) / 100 },
                { label: 'torque asked, N·m', value: Math.round(tape.asks * 100) / 100 },
                { label: 'holds along the face', value: Math.round(tape.holds), unit: 'N' as const },
                { label: 'thrown outwards', value: Math.round(tape.throws * 10) / 10, unit: 'N' as const },
              ],
            },
          },
        ]),
  ];
}
