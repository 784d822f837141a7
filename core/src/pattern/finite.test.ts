import fc from 'fast-check';
import { dim } from '../measure/index.js';
import type { Element } from './element.js';
import { dimensionFields, ELEMENT_KIND_NAMES, fieldsOf, newElement } from './kinds/elementKinds.js';
import { outlineOf } from './outline.js';

const START = 20;
/** What a person can type and does not mean: nothing, next to nothing, the same as before, and what is too much. */
const size = fc.oneof(
  fc.constantFrom(0, 1e-9, 1e-4, 0.5, START / 2, START, START + 1e-9, 2 * START, 300),
  fc.double({ min: 0, max: 100, noNaN: true }),
);
const element = (id: string): fc.Arbitrary<Element> =>
  fc.constantFrom(...ELEMENT_KIND_NAMES.filter((kind) => kind !== 'repeat')).chain((kind) =>
    fc
      .record({
        sizes: fc.array(fc.option(size, { nil: null }), { minLength: 8, maxLength: 8 }),
        choice: fc.nat(5),
      })
      .map(({ sizes, choice }) => {
        const fresh = newElement(kind, id, START) as Element & Record<string, unknown>;
        for (const [i, [name]] of dimensionFields(kind).entries()) {
          const mm = sizes[i];
          if (mm !== null && mm !== undefined) Object.assign(fresh, { [name]: dim(mm) });
        }
        for (const [name, field] of fieldsOf(kind))
          if (field.is === 'choice') {
            const ways = Object.keys(field.words);
            Object.assign(fresh, { [name]: ways[choice % ways.length] });
          }
        return fresh;
      }),
  );

it('no outline ever holds what is no number, whatever is drawn: it is drawn, or refused with a sentence', () => {
  fc.assert(
    fc.property(fc.tuple(element('a'), element('b'), element('c')), (elements) => {
      const turning = {
        id: 't',
        axis: { kind: 'own' },
        startDiameter: dim(START),
        elements,
      } as unknown as Parameters<typeof outlineOf>[0];
      const { segments, problems } = outlineOf(turning);
      for (const { x0, r0, x1, r1, bulge } of segments)
        expect([x0, r0, x1, r1, bulge].every(Number.isFinite)).toBe(true);
      for (const { why } of problems) expect(why).not.toMatch(/NaN|Infinity|undefined/);
    }),
    { numRuns: 3_000 },
  );
});

it.each(['round', 'ellipse'] as const)(
  'a %s bead whose crown is where it begins is a plain stretch',
  (form) => {
    const bead: Element = { kind: 'bead', id: 'a', length: dim(6), crown: dim(START), form };
    const { segments, problems } = outlineOf({
      startDiameter: dim(START),
      elements: [bead],
    } as unknown as Parameters<typeof outlineOf>[0]);
    expect(problems).toEqual([]);
    expect(segments.at(0)).toMatchObject({ x0: 0, r0: START / 2 });
    expect(segments.at(-1)?.x1).toBeCloseTo(6, 9);
    for (const { r0, r1, bulge } of segments) expect([r0, r1, bulge]).toEqual([START / 2, START / 2, 0]);
  },
);
