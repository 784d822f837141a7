import fc from 'fast-check';
import { dim } from '../measure/index.js';
import { MATERIALS } from '../material/index.js';
import { outlineOf } from '../pattern/index.js';
import type { Gauge } from '../workshop/index.js';
import { grainMicrons } from '../surface/index.js';
import { layoutOf, missingSlots, slotGauge } from './index.js';
import { gaugeFor } from './gauges.js';
import { sandingLeft } from './allowance.js';

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
/** A cut that is seen, not one that meets hardware. */
const seen = (cutTo: number) => ({ cutTo, tolerance: 0.5, mating: false });
const slots: Gauge[] = [
  { id: 's20', name: '20 slot', kind: 'slot', size: dim(20) },
  { id: 's265', name: '26.5 slot', kind: 'slot', size: dim(26.5) },
  { id: 'c', name: 'Dial calliper', kind: 'calliper' },
];

describe('layout', () => {
  const layout = layoutOf(outline, {
    faces: [{ face, x: 0 }],
    bores: [],
    material: ash,
    gauges: slots,
    firstGrain: grainMicrons({ grit: ash.startGrit, scale: 'P' }),
  });

  it('has one mark at each transition, with both diameters at a shoulder', () => {
    const tenths = (mm: number) => Number(mm.toFixed(6));
    expect(layout.marks.map((m) => [m.x, tenths(m.before), tenths(m.after)])).toEqual([
      [0, 0, 20],
      [18, 20, 26],
      [21, 30, 30],
      [24, 26, 26],
      [29, 20, 20],
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
    expect(gaugeFor(seen(20), slots).gauge?.id).toBe('s20');
    expect(gaugeFor(seen(26.2), slots).gauge?.id).toBe('s265');
    expect(gaugeFor(seen(20.2), slots)).toMatchObject({
      gauge: { id: 'c' },
      words: 'Set the dial calliper to ⟦20.2⟧.',
    });
    expect(gaugeFor(seen(20.2), []).gauge).toBeNull();
  });
});

describe('marks from a datum', () => {
  const bores = [{ id: 'x', name: 'cord hole', x: 30, radius: 2, angle: 0, mouth: 13, end: -13 }];
  const site = { faces: [], bores, material: ash, gauges: slots, firstGrain: null };
  const grooved = outlineOf({
    id: 't',
    startDiameter: dim(26),
    elements: [
      { kind: 'cylinder', id: 'a', length: dim(10) },
      { kind: 'v-groove', id: 'v', length: dim(2), depth: dim(1) },
      { kind: 'cylinder', id: 'b', length: dim(30) },
    ],
  });

  it('count from the mark that was chosen, below it backwards', () => {
    const { marks, datum, sizing } = layoutOf(grooved, { ...site, datum: 'v.end' });
    expect(datum).toMatchObject({ id: 'v.end', x: 12 });
    expect(marks.map((m) => [m.x, m.from, m.does])).toEqual([
      [0, -12, 'end'],
      [10, -2, 'change'],
      [11, -1, 'groove'],
      [12, 0, 'change'],
      [30, 18, 'hole'],
      [42, 30, 'end'],
    ]);
    expect(sizing.every((s) => s.from === s.x - 12)).toBe(true);
    expect(layoutOf(grooved, { ...site, datum: 'gone' }).datum?.id).toBe('start');
  });

  it('has a notch for every place that is sized: crowns and bottoms as well, none twice', () => {
    const beads = outlineOf({
      id: 't',
      startDiameter: dim(20),
      elements: [
        { kind: 'bead', id: 'b', length: dim(8), crown: dim(26) },
        { kind: 'cove', id: 'c', length: dim(10), bottom: dim(14) },
        { kind: 'taper', id: 't', length: dim(20), endDiameter: dim(30) },
      ],
    });
    const { marks, sizing } = layoutOf(beads, { ...site, bores: [] });
    expect(marks.map((m) => [m.x, m.does])).toEqual([
      [0, 'end'],
      [4, 'size'],
      [8, 'change'],
      [13, 'size'],
      [18, 'change'],
      [38, 'end'],
    ]);
    for (const { x } of sizing) expect(marks.some((m) => Math.abs(m.x - x) < 0.3)).toBe(true);
  });

  it('leave nothing for sanding when nothing is sanded, and more for a coarser start', () => {
    expect(layoutOf(grooved, site).sizing[0]?.cutTo).toBe(26);
    const usual = grainMicrons({ grit: ash.startGrit, scale: 'P' });
    expect(sandingLeft(ash, usual)).toBeCloseTo(ash.sandingAllowance, 6);
    expect(sandingLeft(ash, 1.5 * usual)).toBeCloseTo(1.5 * ash.sandingAllowance, 3);
    expect(sandingLeft(ash, 10 * usual)).toBeCloseTo(1.8 * ash.sandingAllowance, 3);
  });
});

describe('gauges', () => {
  const pairOf = (go: number, noGo: number): Gauge => ({
    id: `${go}`,
    name: 'Pair',
    kind: 'go and no-go',
    size: dim(go),
    noGo: dim(noGo),
  });
  const mating = (cutTo: number, tolerance: number) => ({ cutTo, tolerance, mating: true });

  it('of what meets hardware tell within its tolerance, or are none for it', () => {
    const flush = mating(20, 0.1);
    const fits = (gauge: Gauge) => gaugeFor(flush, [gauge]).gauge !== null;
    expect(fits(pairOf(20.1, 19.9))).toBe(true);
    // a piece that it lets through would be too thick, one that it refuses too thin
    expect(fits(pairOf(20.3, 19.9))).toBe(false);
    expect(fits(pairOf(20.1, 19.7))).toBe(false);
    expect(fits(slots.find((s) => s.id === 's20')!)).toBe(true);
    expect(fits({ id: 's', name: 'Slot', kind: 'slot', size: dim(20.25) })).toBe(false);
    expect(
      gaugeFor(seen(20), [{ id: 's', name: 'Slot', kind: 'slot', size: dim(20.25) }]).gauge,
    ).not.toBeNull();
  });

  it('that are cut because they lack serve what they were cut for, whatever its size', () =>
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            cutTo: fc.double({ min: 3, max: 90, noNaN: true }),
            tolerance: fc.double({ min: 0.1, max: 1, noNaN: true }),
            mating: fc.boolean(),
          }),
          { minLength: 1, maxLength: 8 },
        ),
        (cuts) => {
          const lacking = missingSlots(cuts.map((cut) => ({ ...cut, gauge: gaugeFor(cut, []) })));
          expect(lacking.length).toBeGreaterThan(0);
          const cutNow = lacking.map((slot, i) => slotGauge(slot, `${i}`, 'Slot'));
          expect(missingSlots(cuts.map((cut) => ({ ...cut, gauge: gaugeFor(cut, cutNow) })))).toEqual([]);
        },
      ),
    ));

  it('cut to tenths do not tell a size that is held closer: it is set by calliper', () => {
    const peg = mating(9.9, 0.05);
    expect(missingSlots([{ ...peg, gauge: gaugeFor(peg, []) }])).toEqual([]);
    // the hole itself as go, the size itself as no-go
    expect(gaugeFor(peg, [pairOf(10, 9.9)]).gauge).toBeNull();
    expect(gaugeFor(peg, [pairOf(9.95, 9.85)]).gauge).not.toBeNull();
  });

  it('of every fixed kind go before a calliper, each with its own words', () => {
    const wrench: Gauge = { id: 'w', name: '24 wrench', kind: 'open wrench', size: dim(24) };
    const pair: Gauge = { id: 'p', name: 'Pair 30', kind: 'go and no-go', size: dim(30.1), noGo: dim(29.8) };
    const all = [...slots, wrench, pair];
    expect(gaugeFor(seen(23.9), all).words).toBe('24 wrench drops over behind the parting tool: stop.');
    expect(gaugeFor(seen(30), all).words).toContain('the no-go of ⟦29.8⟧ does not');
  });

  it('that are missing are the sizes still set by calliper, each once, with both limits where it mates', () => {
    const [first] = layoutOf(outline, {
      faces: [],
      bores: [],
      material: ash,
      gauges: slots,
      firstGrain: null,
    }).sizing;
    const cut = (cutTo: number, mating = false) => ({
      ...first!,
      cutTo,
      mating,
      tolerance: 0.1,
      gauge: gaugeFor({ cutTo, tolerance: 0.1, mating }, slots),
    });
    expect(missingSlots([cut(20), cut(31.04), cut(31), cut(12), cut(18, true)])).toEqual([
      { go: 12, noGo: null },
      { go: 18.1, noGo: 17.9 },
      { go: 31, noGo: null },
    ]);
  });
});
