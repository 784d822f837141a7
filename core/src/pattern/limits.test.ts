import { dim } from '../measure/index.js';
import { checkPattern, STARTING_FORMS, type Element, type PatternBody } from './index.js';

const drawn = (elements: Element[], startDiameter = 20): PatternBody => {
  const body = STARTING_FORMS.find((f) => f.id === 'finial')!.body({}, 'maple');
  const [part] = body.parts;
  const turning = { ...part.turnings[0], startDiameter: dim(startDiameter), elements };
  return { ...body, parts: [{ ...part, holes: [], turnings: [turning] }], joins: [], hardware: [] };
};
const why = (elements: Element[], start?: number) => checkPattern(drawn(elements, start)).map((p) => p.why);
const stick = (length: number, id = 'a'): Element => ({ kind: 'cylinder', id, length: dim(length) });
const row = (times: number, each: number): Element => ({
  kind: 'repeat',
  id: 'row',
  times,
  elements: Array.from({ length: each }, (_, i) => stick(1, `r${i}`)),
});

describe('what is drawn larger than a lathe, or finer than can be turned', () => {
  it('is taken up to six metres long and a metre across', () => {
    expect(why([stick(6_000)])).toEqual([]);
    expect(why([stick(6_001)])).toEqual([
      expect.stringContaining('is ⟦6001⟧ long. No lathe here takes more than ⟦6000⟧.'),
    ]);
    expect(why([stick(100)], 1_000)).toEqual([]);
    expect(why([stick(100)], 1_001)[0]).toContain('is ⟦1001⟧ across');
  });

  it('has two hundred elements at most, rows counted as often as they are repeated', () => {
    expect(why([row(100, 2)])).toEqual([]);
    expect(why([row(100, 2), stick(1)])).toEqual([
      expect.stringContaining('201 elements, rows counted out. Draw it with 200 or fewer.'),
    ]);
  });

  it('comes to nothing only at its ends: amid them it would be cut in two', () => {
    const point: Element = { kind: 'taper', id: 't', length: dim(20), endDiameter: dim(0) };
    const again: Element = { kind: 'taper', id: 'u', length: dim(20), endDiameter: dim(20) };
    expect(why([stick(30), point])).toEqual([]);
    expect(why([again, stick(30)], 0)).toEqual([]);
    expect(why([stick(30)], 0)).toEqual([expect.stringContaining('is nothing thick from end to end')]);
    expect(why([stick(30), point, again])).toEqual([
      expect.stringContaining('is cut in two ⟦50⟧ from its beginning: nothing is left there.'),
    ]);
  });

  it('is refused before any of it is drawn, however much that would be', () => {
    const huge = Array.from({ length: 200 }, (_, i): Element => ({ ...row(200, 20), id: `row${i}` }));
    expect(why(huge)).toEqual([expect.stringContaining('800000 elements')]);
  });

  it('has four hundred points of fair curves at most', () => {
    const fair = (count: number): Element => ({
      kind: 'fair',
      id: 'f',
      length: dim(count + 1),
      endDiameter: dim(20),
      points: Array.from({ length: count }, (_, i) => ({ at: dim(i + 1), diameter: dim(20) })),
    });
    expect(why([fair(401)])).toEqual([expect.stringContaining('401 points of curves')]);
    expect(why([fair(12)])).toEqual([]);
  });
});
