import { materialById, type Material } from '../material/index.js';
import type { Bore } from '../pattern/index.js';
import { newWorkshop, type Bit } from '../workshop/index.js';
import { planCrossDrilling } from './index.js';

const ash = materialById('ash') as Material;
const bit = (diameter: number, length = 90): Bit => ({
  id: `b${diameter}`,
  kind: 'brad point',
  diameter: { mm: diameter },
  length,
});
const shop = { ...newWorkshop('UTC', 'mm'), bits: [bit(4), bit(6), bit(11)] };

/** A bore in a round of 30: through it, or down to a height above the axis. */
const bore = (id: string, x: number, diameter: number, end = -15, angle = 0): Bore => ({
  id,
  name: id,
  x,
  radius: diameter / 2,
  angle,
  mouth: 15,
  end,
});
const planned = (bores: Bore[], workshop = shop) =>
  planCrossDrilling('p', bores, 33, { material: ash, workshop, choices: [] });

describe('cross holes', () => {
  it('are measured from the face of the square blank', () => {
    const { operations } = planned([bore('through', 20, 6), bore('blind', 60, 4, 5)]);
    const [through, blind] = operations;
    // the point of a 118° bit of 6 stands 3 ÷ tan 59° = 1.803 before its shoulder
    expect(through).toMatchObject({ through: true, toShoulder: 33 });
    expect(through?.tapeAt).toBeCloseTo(33 + 1.803 + 2, 2);
    expect(blind).toMatchObject({ through: false, toShoulder: 16.5 - 5 });
    expect(blind?.tapeAt).toBeCloseTo(11.5 + 2 / Math.tan((59 * Math.PI) / 180), 6);
    expect(blind?.rpm).toBe(2500); // 1000 × 45 ÷ (π × 4) is above the fastest
  });

  it('go from one end on, and of two that meet the smaller is first, with the reason', () => {
    const apart = planned([bore('far', 60, 4, -15, 90), bore('near', 20, 11)]);
    expect(apart.operations.map((o) => o.id)).toEqual(['near', 'far']);
    expect(apart.operations[0]?.order).toContain('moved one way only');
    expect(apart.operations[0]?.order).toContain('Clamp a board behind');
    const met = planned([bore('stem', 20, 11), bore('cord', 22, 4, -15, 90)]);
    expect(met.operations.map((o) => o.id)).toEqual(['cord', 'stem']);
    expect(met.operations[0]?.order).toContain('Before stem, which it meets');
    expect(met.operations[1]?.order).toContain('After cord');
  });

  it('that do not reach each other do not meet', () => {
    const blind = planned([bore('stem', 20, 11), bore('cord', 22, 4, 9, 90)]);
    expect(blind.operations.map((o) => o.id)).toEqual(['stem', 'cord']);
  });

  it('without a bit say what would do instead', () => {
    const { operations, findings } = planned([bore('stem', 20, 10.5)]);
    expect(operations[0]?.bit?.diameter.mm).toBe(11);
    expect(findings[0]).toMatchObject({ id: 'drill.bit.stem', severity: 'warn' });
    const short = planned([bore('stem', 20, 11)], { ...shop, bits: [bit(11, 25)] });
    expect(short.findings[0]?.severity).toBe('stop');
  });
});
