import { dim, newElement, STARTING_FORMS, type PatternBody } from '@compas/core';
import fc from 'fast-check';
import { merged, withChoice } from './merge.js';

const ABSENT = { requiredKeys: [] };
/** Things as they are stored: fields, nested fields, lengths, lists of things with ids. */
const thing = fc.record(
  {
    name: fc.constantFrom('a', 'b', 'c'),
    size: fc.record({ mm: fc.integer({ min: 0, max: 3 }) }),
    hours: fc.record({ from: fc.integer({ min: 0, max: 2 }), to: fc.integer({ min: 0, max: 2 }) }, ABSENT),
    tags: fc.array(fc.constantFrom('x', 'y'), { maxLength: 2 }),
  },
  ABSENT,
);
const shop = fc.record({
  ...{ name: fc.constantFrom('one', 'two') },
  tools: fc.uniqueArray(fc.record({ id: fc.constantFrom('p', 'q', 'r', 's'), of: thing }), {
    selector: (t) => t.id,
    maxLength: 4,
  }),
  air: thing,
});

describe('two changes of one thing', () => {
  it('when only one changed, are that change', () =>
    fc.assert(
      fc.property(shop, shop, (base, mine) => {
        expect(merged(base, mine, base)).toEqual({ value: mine, conflicts: [] });
        expect(merged(base, base, mine)).toEqual({ value: mine, conflicts: [] });
        expect(merged(base, mine, mine)).toEqual({ value: mine, conflicts: [] });
      }),
    ));

  it('ask of the same fields whoever was faster, with the sides changed over', () =>
    fc.assert(
      fc.property(shop, shop, shop, (base, mine, theirs) => {
        const here = merged(base, mine, theirs).conflicts.map((c) => [c.path.join('/'), c.mine, c.theirs]);
        const there = merged(base, theirs, mine).conflicts.map((c) => [c.path.join('/'), c.theirs, c.mine]);
        expect(new Set(here.map((c) => JSON.stringify(c)))).toEqual(
          new Set(there.map((c) => JSON.stringify(c))),
        );
      }),
    ));

  it('never lose a field that one of the two set', () => {
    const base = { a: dim(1), b: dim(2), c: dim(3) };
    const { value, conflicts } = merged(base, { ...base, a: dim(9) }, { ...base, b: dim(8) });
    expect(conflicts).toEqual([]);
    expect(value).toEqual({ a: dim(9), b: dim(8), c: dim(3) });
  });

  it('take a length with its typed text as one', () => {
    const base = { length: { mm: 10, typed: '10' } };
    const mine = { length: { mm: 12.7, typed: '1/2"' } };
    const theirs = { length: { mm: 11, typed: '11' } };
    expect(merged(base, mine, theirs).conflicts).toEqual([
      { path: ['length'], base: base.length, mine: mine.length, theirs: theirs.length },
    ]);
  });
});

const body = (): PatternBody => STARTING_FORMS[0].body({}, 'maple');
const elementsOf = (b: PatternBody) => b.parts[0].turnings[0].elements;
const withElements = (b: PatternBody, elements: ReturnType<typeof elementsOf>): PatternBody => {
  const [part, ...rest] = b.parts;
  const [turning, ...others] = part.turnings;
  return { ...b, parts: [{ ...part, turnings: [{ ...turning, elements }, ...others] }, ...rest] };
};

describe('a pattern that two edit', () => {
  const base = body();
  const elements = elementsOf(base);

  it('keeps an element that each of them added, each where it was put', () => {
    const [first, ...rest] = elements;
    const mine = withElements(base, [first!, newElement('cove', 'mine', 30), ...rest]);
    const theirs = withElements(base, [...elements, newElement('bead', 'theirs', 30)]);
    const { value, conflicts } = merged(base, mine, theirs);
    expect(conflicts).toEqual([]);
    expect(elementsOf(value).map((e) => e.id)).toEqual([
      first!.id,
      'mine',
      ...rest.map((e) => e.id),
      'theirs',
    ]);
  });

  it('keeps a new order by one and a size by the other', () => {
    const mine = withElements(base, [...elements].reverse());
    const theirs = withElements(
      base,
      elements.map((e, i) => (i === 0 ? { ...e, name: 'foot of theirs' } : e)),
    );
    const { value, conflicts } = merged(base, mine, theirs);
    expect(conflicts).toEqual([]);
    expect(elementsOf(value).map((e) => e.id)).toEqual([...elements].reverse().map((e) => e.id));
    expect(elementsOf(value).at(-1)?.name).toBe('foot of theirs');
  });

  it('asks when one took away what the other changed, and does as is chosen', () => {
    const gone = elements[1]!.id;
    const mine = withElements(
      base,
      elements.filter((e) => e.id !== gone),
    );
    const theirs = withElements(
      base,
      elements.map((e) => (e.id === gone ? { ...e, name: 'changed' } : e)),
    );
    const { value, conflicts } = merged(base, mine, theirs);
    expect(conflicts).toHaveLength(1);
    const [field] = conflicts;
    expect(field?.path.at(-1)).toBe(gone);
    const kept = withChoice(value, field!.path, field!.theirs);
    expect(elementsOf(kept).find((e) => e.id === gone)?.name).toBe('changed');
    const taken = withChoice(value, field!.path, field!.mine);
    expect(elementsOf(taken).some((e) => e.id === gone)).toBe(false);
  });

  it('does not bring back what one took away because the same id is asked about elsewhere', () => {
    const one = { id: 'x', name: 'old' };
    const other = { id: 'y', name: 'new' };
    const both = merged(
      { bits: [one], tools: [one] },
      { bits: [], tools: [] },
      { bits: [{ ...one, name: 'theirs' }], tools: [one, other] },
    );
    expect(both.conflicts.map((c) => c.path)).toEqual([['bits', 'x']]);
    expect(both.value.tools).toEqual([other]);
  });

  it('does not mix an element that became another kind with sizes of the old one', () => {
    const id = elements[0]!.id;
    const mine = withElements(
      base,
      elements.map((e) => (e.id === id ? newElement('ogee', id, 30) : e)),
    );
    const theirs = withElements(
      base,
      elements.map((e) => (e.id === id ? { ...e, length: dim(9) } : e)),
    );
    const { value, conflicts } = merged(base, mine, theirs);
    expect(conflicts.map((c) => c.path.at(-1))).toEqual([id]);
    expect(elementsOf(value)[0]).toEqual(newElement('ogee', id, 30));
  });
});
