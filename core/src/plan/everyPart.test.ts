import fc from 'fast-check';
import { speak } from '../measure/index.js';
import type { MountKind } from '../mounting/index.js';
import { checkPattern } from '../pattern/index.js';
import { workshopFor } from '../../test/exampleRoute.js';
import { examplePart, type ExamplePart } from './exampleParts.js';
import { exampleInputs } from './exampleShop.js';
import { plan, type PartPlan, type Plan } from './index.js';

const { pattern, stock, order, schools } = exampleInputs(1);
/** So many parts are drawn from; each of them can be made. */
const PARTS = 2500;
const anyPart = fc
  .integer({ min: 1, max: PARTS })
  .map((seed) => ({ seed, ...examplePart(seed, pattern, 'kit') }));

const plannedIn = ({ body }: ExamplePart, mount: MountKind | null): Plan =>
  plan(body, workshopFor(body), stock, { ...order, materialId: body.parts[0].materialId, mount }, schools);

/** The plan as usual, and the plan in every way that lacks nothing. */
function plansOf(part: ExamplePart): { way: MountKind | null; made: Plan }[] {
  const usual = plannedIn(part, null);
  const ways = usual.parts[0].mounts.filter((m) => m.missing.length === 0).map((m) => m.kind);
  return [{ way: null, made: usual }, ...ways.map((way) => ({ way, made: plannedIn(part, way) }))];
}

/** Nothing is laid off nearer than so, mm. */
const NOTHING = 0.05;
/** A length of nothing, what is no number, and a speed without its figure. */
const NOTHING_SAID = /(^|[^\d.])0\.0\b|NaN|undefined|Infinity|\bslow/i;

/** Lines that nobody could do, or that say nothing. */
const strange = ({ steps }: PartPlan): string[] =>
  steps.flatMap(({ title, words, operation }) => {
    const figures = operation?.figure ? [operation.figure, ...(operation.figure.beside ?? [])] : [];
    return [
      ...[title, ...words].map((w) => speak(w, 'mm')).filter((w) => NOTHING_SAID.test(w)),
      ...figures.filter((f) => 'mm' in f && !(f.mm >= NOTHING)).map((f) => `${title}: ${f.is}`),
      ...(operation?.turns === 'turn off axis' && (operation.rpm ?? 0) > 1000 ? [`${title}: too fast`] : []),
    ];
  });

describe('a part as any turner could make it', () => {
  it('is one that the pattern bench takes, and there are parts of every hard sort', () => {
    const has = new Set<string>();
    for (let seed = 1; seed <= 300; seed++) {
      const part = examplePart(seed, pattern, 'kit');
      expect([seed, checkPattern(part.body)]).toEqual([seed, []]);
      part.has.forEach((what) => has.add(what));
    }
    expect([...has].sort()).toEqual([
      'a bore in the far end',
      'a bore in the reference end',
      'a bore right through',
      'a cross hole',
      'a leaning axis',
      'a shifted axis',
      'a square',
      'hardware in the far end',
      'hardware in the reference end',
      'knob',
      'peg',
      'pin',
      'spire',
    ]);
  });

  it('Stops in no way of holding that lacks nothing, is made as it is drawn, and each line of it says something', () => {
    fc.assert(
      fc.property(anyPart, (part) => {
        for (const { way, made } of plansOf(part)) {
          const stops = made.findings.filter((f) => f.severity === 'stop').map((f) => f.what);
          expect([part.seed, way, stops, made.parts.flatMap(strange)]).toEqual([part.seed, way, [], []]);
        }
      }),
      { numRuns: 240 },
    );
  });
});
