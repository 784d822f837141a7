import { dim } from '../measure/index.js';
import { MATERIALS } from '../material/index.js';
import { outlineOf, type Turning } from '../pattern/index.js';
import { newWorkshop, type Drive, type Tool, type Workshop } from '../workshop/index.js';
import { orderOfCuts, speedFor } from './index.js';

const ash = MATERIALS.find((m) => m.id === 'ash')!;
const workshop = (drive: Drive): Workshop => {
  const base = newWorkshop('UTC', 'mm');
  return { ...base, lathe: { ...base.lathe, drive } };
};
const pulleys: Drive = { kind: 'pulleys', speeds: [500, 900, 1400, 2100, 3000] };

describe('speeds', () => {
  it('school A roughs at the low end of the band: 150 000 / 40 = 3750, pulley below is 3000', () => {
    const choice = speedFor('rough', 40, ash, workshop(pulleys), 'rpm-diameter', Infinity);
    expect(choice).toMatchObject({ wish: 3750, rpm: 3000, tooFast: false });
    expect(speedFor('rough', 100, ash, workshop(pulleys), 'rpm-diameter', Infinity).rpm).toBe(1400);
  });

  it('school B follows v = π d n / 1000', () => {
    const choice = speedFor(
      'shape',
      50,
      ash,
      workshop({ kind: 'range', slowest: 200, fastest: 4000 }),
      'surface-speed',
      Infinity,
    );
    expect(choice.wish).toBe(3820); // 600 m/min on 50 mm
    expect(choice.surfaceSpeed).toBeCloseTo((3810 * Math.PI * 50) / 1000, 6);
  });

  it('never passes the fixture’s limit, and says when the lathe cannot go slow enough', () => {
    expect(speedFor('shape', 30, ash, workshop(pulleys), 'rpm-diameter', 1500).rpm).toBe(1400);
    expect(speedFor('finish slow', 150, ash, workshop(pulleys), 'rpm-diameter', Infinity)).toMatchObject({
      rpm: 500,
      tooFast: true,
    });
  });

  it('a treadle lathe has no rpm', () => {
    expect(speedFor('rough', 40, ash, workshop({ kind: 'treadle' }), 'rpm-diameter', Infinity)).toMatchObject(
      { rpm: null, words: 'tread slowly and evenly' },
    );
  });
});

describe('order of cuts', () => {
  const turning: Turning = {
    id: 't',
    startDiameter: dim(30),
    elements: [
      { kind: 'cylinder', id: 'a', length: dim(10) },
      { kind: 'cove', id: 'b', length: dim(8), bottom: dim(24) },
      { kind: 'taper', id: 'c', length: dim(20), endDiameter: dim(10) },
    ],
  };
  const gouge: Tool = { id: 'g', name: 'gouge', kind: 'spindle gouge', width: 10, nose: 4 };
  const skew: Tool = { id: 's', name: 'skew', kind: 'skew', width: 20 };

  it('takes the end far from the drive first, downhill', () => {
    const order = orderOfCuts('p', outlineOf(turning), [gouge, skew], 'reference');
    expect(order.cuts.map((c) => c.elementId)).toEqual(['c', 'b', 'a']);
    expect(order.cuts[0]?.words).toContain('from ⟦30⟧ to ⟦10⟧');
    expect(order.toolChanges).toBe(2);
    expect(orderOfCuts('p', outlineOf(turning), [gouge, skew], 'far').cuts[0]?.elementId).toBe('a');
  });

  it('finds a hollow that no nose reaches', () => {
    // sagitta 3 over 8: radius (16 + 9) / 6 = 4.1667
    const blunt = orderOfCuts('p', outlineOf(turning), [{ ...gouge, nose: 5 }, skew], 'reference');
    expect(blunt.findings[0]?.why).toContain('⟦4.1667⟧');
  });
});
