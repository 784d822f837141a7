import fc from 'fast-check';
import { toldApart } from './toldApart.js';

const called = (...places: [id: string, label: string][]) =>
  toldApart(places.map(([id, label]) => ({ id, label }))).map((p) => p.label);

describe('places that are sized', () => {
  it('keep their names where no other has it', () =>
    expect(called(['a.end', 'collar'], ['b.crest', 'bead'])).toEqual(['collar', 'bead']));

  it('of one feature say which place of it they are', () =>
    expect(called(['start', 'knob'], ['k.crest', 'knob'], ['k.end', 'knob'])).toEqual([
      'knob, beginning',
      'knob, crown',
      'knob, end',
    ]));

  it('of features that are called alike are counted from the first', () =>
    expect(called(['a.crest', 'bead'], ['b.end', 'neck'], ['c.crest', 'bead'])).toEqual([
      'bead, crown 1',
      'neck',
      'bead, crown 2',
    ]));

  it('never share a name', () => {
    const place = fc.record({
      id: fc.constantFrom('start', 'a.crest', 'a.end', 'b.crest', 'b.bottom', 'seat'),
      label: fc.constantFrom('bead', 'bead 1', 'knob', 'bead, crown'),
    });
    fc.assert(
      fc.property(fc.array(place), (places) => {
        const labels = toldApart(places).map((p) => p.label);
        expect(new Set(labels).size).toBe(labels.length);
      }),
    );
  });
});
