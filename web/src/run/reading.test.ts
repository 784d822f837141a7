import {
  dim,
  plan,
  shopBefore,
  STARTING_FORMS,
  stepsOfPlan,
  type MountKind,
  type PatternBody,
  type Units,
} from '@compas/core';
import { workshopFor } from '../../../core/test/exampleRoute.js';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { isRead, misread } from '../../test/reading/misread.js';
import type { Moment } from '../../test/reading/moment.js';
import { printed, type Printed } from '../../test/reading/printed.js';

const WAYS: MountKind[] = ['between centres', 'chuck', 'dowel', 'friction pair', 'cups'];
/** So many pieces that their corners are clipped. */
const PIECES = 4;
const { stock, order, schools } = exampleInputs(1);

const plain = ({ body }: (typeof STARTING_FORMS)[number]): PatternBody => ({
  ...body({}, 'maple'),
  hardware: [],
});
const handle = plain(STARTING_FORMS.find((f) => f.id === 'tool-handle')!);
const [part] = handle.parts;
const element = part.turnings[0].elements.find((e) => 'length' in e && e.length.mm > 25)!;

/** What no form has: a tapered hole, holes across, decorations, an axis beside the first. */
const DRESSED: PatternBody = {
  ...handle,
  parts: [
    {
      ...part,
      holes: [
        {
          id: 'bore',
          name: 'tang hole',
          from: 'reference',
          through: false,
          pointAngle: 118,
          steps: [{ diameter: dim(9), depth: dim(40), endDiameter: dim(6) }],
        },
      ],
      crossHoles: [
        {
          id: 'cord',
          name: 'cord hole',
          from: 'far',
          at: dim(14),
          angle: 90,
          diameter: dim(4),
          through: true,
        },
      ],
      decorations: [
        { id: 'line', kind: 'burnt line', elementId: element.id, from: dim(3), width: dim(1) },
        { id: 'knurl', kind: 'texture', elementId: element.id, from: dim(6), width: dim(5) },
        { id: 'band', kind: 'colour', elementId: element.id, from: dim(12), width: dim(4) },
      ],
    },
  ],
};

/** A hook: its end is turned about an axis beside the first. */
const HOOK: PatternBody = {
  ...handle,
  kind: 'other',
  parts: [
    {
      ...part,
      holes: [],
      turnings: [
        {
          id: 't',
          startDiameter: dim(24),
          elements: [
            { kind: 'cylinder', id: 'a', length: dim(30) },
            { kind: 'taper', id: 'b', length: dim(50), endDiameter: dim(16) },
          ],
        },
        {
          id: 't2',
          startDiameter: dim(14),
          axis: { shift: dim(3), direction: 0, tilt: 0, along: dim(10) },
          elements: [{ kind: 'cylinder', id: 'c', length: dim(8) }],
        },
      ],
    },
  ],
};

const BODIES: { name: string; body: PatternBody; ways: MountKind[] }[] = [
  ...STARTING_FORMS.map((form) => ({ name: form.name, body: plain(form), ways: WAYS })),
  { name: 'Tool handle with holes and decorations', body: DRESSED, ways: WAYS },
  { name: 'Hook', body: HOOK, ways: ['between centres'] },
];

function momentsOf(body: PatternBody, mount: MountKind): Moment[] {
  const planned = plan(body, workshopFor(body), stock, { ...order, mount, pieces: PIECES }, schools);
  return planned.parts.flatMap(({ outline, partId }) => {
    const steps = stepsOfPlan(planned).filter((s) => s.partId === partId);
    return steps.flatMap((step) => {
      const before = shopBefore(steps, step.id);
      return before ? [{ step, before, length: outline.length }] : [];
    });
  });
}

const another = { mm: 'mm', inch: '"', 'decimal-inch': '"' } as const;

/** The same step with one number, one end or one side of a mark printed wrong. */
function misprints(shown: Printed, units: Units): [string, Printed][] {
  const more = (text: string) =>
    text.replace(/\d+(?:\.\d+)?(?= mm|"|$)/, (n) => (Number(n) + (units === 'mm' ? 1.6 : 1)).toFixed(1));
  const turned = (text: string) =>
    text.replace(/first end|second end|reference end|far end/, (end) => OTHER_END[end] ?? end);
  const sides = (text: string) =>
    text.replace(/just beyond|just before|across the mark/, (side) => OTHER_SIDE[side] ?? side);
  const isLength = new RegExp(`${another[units]}( |$)`).test(shown.value);
  const all: [string, Printed][] = [
    ['its number', isLength ? { ...shown, value: more(shown.value) } : shown],
    ['the end it is measured from', { ...shown, from: turned(shown.from) }],
    ['its place', { ...shown, at: more(shown.at) }],
    ['the end of its place', { ...shown, at: turned(shown.at) }],
    ['its side of the mark', { ...shown, words: sides(shown.words) }],
    ['a number of its profile', { ...shown, words: shown.words.replace(/⌀ \d+/, (n) => `${n}9`) }],
    [
      'what stands beside it',
      { ...shown, beside: shown.beside.map((s) => ({ ...s, value: more(s.value), from: turned(s.from) })) },
    ],
  ];
  return all.filter(([, wrong]) => JSON.stringify(wrong) !== JSON.stringify(shown));
}
const OTHER_END: Record<string, string> = {
  'first end': 'second end',
  'second end': 'first end',
  'reference end': 'far end',
  'far end': 'reference end',
};
const OTHER_SIDE: Record<string, string> = {
  'just beyond': 'just before',
  'just before': 'just beyond',
  'across the mark': 'just beyond the mark',
};

describe('a step, read by somebody who has only what is printed and the wood', () => {
  it.each(BODIES)('of “$name” is what is done to the wood, in mm and in inches', ({ body, ways }) => {
    for (const mount of ways)
      for (const moment of momentsOf(body, mount))
        for (const units of ['mm', 'inch', 'decimal-inch'] as const) {
          const shown = printed(moment.step, units);
          const at = [mount, moment.step.id, units, shown];
          expect([...at, misread(moment, shown, units)]).toEqual([...at, []]);
          expect(`${shown.value} ${shown.at}`).not.toMatch(/(^| )0(\.0+)?( mm|")/);
          expect(shown.words).not.toMatch(/(^|[^.\d])0\.0+ mm/);
        }
  });

  it('is not what is done when one number, one end or one side of a mark is another', () => {
    const tried = new Map<string, { caught: number; missed: string[] }>();
    for (const { body, ways } of BODIES)
      for (const mount of ways)
        for (const moment of momentsOf(body, mount)) {
          const { operation } = moment.step;
          const shown = printed(moment.step, 'mm');
          if (!operation || !isRead(shown.label)) continue;
          for (const [what, wrong] of misprints(shown, 'mm')) {
            const key = `${operation.kind}: ${what}`;
            const known = tried.get(key) ?? { caught: 0, missed: [] };
            tried.set(key, known);
            if (misread(moment, wrong, 'mm').length > 0) known.caught++;
            else known.missed.push(JSON.stringify(wrong));
          }
        }
    // a place amid the wood is as far from either end
    const slips = [...tried].filter(([, t]) => t.missed.length > t.caught / 10);
    expect(slips.map(([key, t]) => [key, t.missed[0]])).toEqual([]);
    expect([...new Set([...tried.keys()].map((key) => key.split(':')[0]))].sort()).toEqual([
      ...['burn', 'carve a tip', 'clip the corners', 'cut waste away', 'drill', 'drill across', 'dye'],
      ...['face a rim', 'free a ring', 'hollow', 'mark centres', 'part off', 'part to a nib', 'ream'],
      ...['rough', 'rough beside a square', 'rough down', 'round a ring', 'sand', 'saw a nib', 'saw out'],
      ...['saw to length', 'scrape the poles', 'shape', 'size', 'square an end', 'take hold', 'texture'],
      ...['true up', 'turn a stub', 'turn a tenon', 'turn a tip', 'turn about a further axis'],
      'turn where a ring was',
    ]);
  });
});
