import { dim } from '../measure/index.js';
import { MATERIALS } from '../material/index.js';
import { outlineOf } from '../pattern/index.js';
import type { Gauge } from '../workshop/index.js';
import { gaugeFor, layoutOf } from './index.js';

const ash = MATERIALS.find((m) => m.id === 'ash')!;
const outline = outlineOf({
  id: 't',
  startDiameter: dim(20),
  elements: [
    { kind: 'cylinder', id: 'a', name: 'tenon', length: dim(18) },
    { kind: 'shoulder', id: 'b', name: 'shoulder', endDiameter: dim(26) },
    { kind: 'bead', id: 'c', name: 'collar', length: dim(6), crown: dim(30), tolerance: 0.8 },
    { kind: 'cove', id: 'd', name: 'neck', length: dim(10), bottom: dim(20) },
  ],
});
const face = {
  label: 'ferrule tenon',
  diameter: 20,
  tolerance: 0.1,
  transfer: 'Set the calliper on the ferrule.',
};
const slots: Gauge[] = [
  { id: 's20', name: '20 slot', kind: 'slot', size: dim(20) },
  { id: 's265', name: '26.5 slot', kind: 'slot', size: dim(26.5) },
  { id: 'c', name: 'Dial calliper', kind: 'calliper' },
];

describe('layout', () => {
  const layout = layoutOf(outline, { face, x: 0 }, ash, slots);

  it('has one mark at each transition, with both diameters at a shoulder', () => {
    expect(layout.marks.map((m) => [m.x, m.before, m.after])).toEqual([
      [0, 0, 20],
      [18, 20, 26],
      [24, 26, 26],
      [34, 26, 26],
    ]);
  });

  it('sizes the start, each new diameter, crests and bottoms, and nothing twice', () => {
    expect(layout.sizing.map((s) => [s.id, Number(s.finished.toFixed(9))])).toEqual([
      ['start', 20],
      ['b.end', 26],
      ['c.crest', 30],
      ['d.bottom', 20],
    ]);
  });

  it('leaves wood for sanding but not on a mating face', () => {
    expect(layout.sizing.map((s) => s.cutTo)).toEqual(
      [20, 26.2, 30.2, 20.2].map((mm): unknown => expect.closeTo(mm, 9)),
    );
    expect(layout.sizing[0]).toMatchObject({ mating: true, tolerance: 0.1, label: 'ferrule tenon' });
    expect(layout.sizing.map((s) => s.tolerance)).toEqual([0.1, 0.5, 0.8, 0.5]);
  });

  it('takes a fixed gauge that is right or a little over, never under, else the calliper', () => {
    expect(gaugeFor(20, slots).gauge?.id).toBe('s20');
    expect(gaugeFor(26.2, slots).gauge?.id).toBe('s265');
    expect(gaugeFor(20.2, slots)).toMatchObject({
      gauge: { id: 'c' },
      words: 'Set the dial calliper to ⟦20.2⟧.',
    });
    expect(gaugeFor(20.2, []).gauge).toBeNull();
  });
});
