import fc from 'fast-check';
import { profileCsv, profileDxf, profileSvg, batchSheet, patternDrawing } from '../files/index.js';
import { checkPattern, outlineOf, STARTING_FORMS, type PatternBody } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './plan.js';

type Path = (string | number)[];

/** Where something has a place that a person types a size in. */
function sizesIn(value: unknown, at: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [];
  if ('mm' in value && typeof value.mm === 'number') return [at];
  return Object.entries(value).flatMap(([key, within]) =>
    sizesIn(within, [...at, Array.isArray(value) ? Number(key) : key]),
  );
}

function set(value: object, [key, ...rest]: Path, mm: number): void {
  const within = value as Record<string | number, object>;
  if (key === undefined) return;
  if (rest.length === 0) within[key] = { mm, typed: String(mm) };
  else set(within[key]!, rest, mm);
}

/** Where something holds what is no number, or words that tell of one. */
function unfinite(value: unknown, at = ''): string[] {
  if (typeof value === 'number')
    return Number.isFinite(value) || at.endsWith('.fastest') ? [] : [`${at} is ${value}`];
  if (typeof value === 'string') return /NaN|Infinity|undefined/.test(value) ? [`${at}: ${value}`] : [];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, within]) => unfinite(within, `${at}.${key}`));
}

/** What a person can type and does not mean. */
const size = fc.oneof(
  fc.constantFrom(0, 1e-6, 0.01, 0.5, 1, 3, 300, 999),
  fc.double({ min: 0, max: 120, noNaN: true }),
);

/** A starting form in which some sizes are others. */
const body = fc
  .record({
    form: fc.constantFrom(...STARTING_FORMS),
    changes: fc.array(fc.tuple(fc.nat(200), size), { minLength: 1, maxLength: 4 }),
  })
  .map(({ form, changes }): PatternBody => {
    const made = structuredClone(form.body({}, 'maple'));
    const places = sizesIn(made.parts);
    for (const [which, mm] of changes) set(made.parts, places[which % places.length]!, mm);
    return made;
  });

it('whatever can be made is planned and given out without anything that is no number', () => {
  let planned = 0;
  fc.assert(
    fc.property(body, (pattern) => {
      if (checkPattern(pattern).length > 0) return;
      planned += 1;
      const { workshop, order, schools, stock } = exampleInputs(2);
      const made = plan({ ...pattern, hardware: [] }, workshop, stock, { ...order, finishId: null }, schools);
      expect(unfinite(made).slice(0, 5)).toEqual([]);
      const outline = outlineOf(pattern.parts[0].turnings[0]);
      for (const text of [profileSvg(outline, 'x'), profileDxf(outline), profileCsv(outline)])
        expect(/NaN|Infinity|undefined/.exec(text)?.input).toBeUndefined();
      const paper = { title: 'x', units: 'mm', paper: 'A4' } as const;
      expect(unfinite(batchSheet({ ...paper, orderedBy: 'x', plan: made })).slice(0, 5)).toEqual([]);
      expect(unfinite(patternDrawing({ ...paper, revision: 1, body: pattern })).slice(0, 5)).toEqual([]);
    }),
    { numRuns: Number(process.env['RUNS'] ?? 180) },
  );
  expect(planned).toBeGreaterThan(5);
});
