import fc from 'fast-check';
import { dim } from '../../measure/index.js';
import { outlineOf } from '../outline.js';
import { radiusAt } from '../radius.js';
import type { Part } from '../pattern.js';
import type { Body, Skin } from './body.js';
import { drawnBody } from './drawnBody.js';
import { HERE, type Placement } from './space.js';
import { bodySilhouette, type SilhouettePoint } from './silhouette.js';

const square = (length = 100): Body => ({
  form: { kind: 'square', across: 40, length },
  skins: [],
  flats: [],
  drilled: [],
});
const round = (x0: number, x1: number, r: number, axis: Placement = HERE): Skin => ({
  id: `${x0}`,
  axis,
  side: 'outside',
  profile: [{ elementId: '', x0, r0: r, x1, r1: r, bulge: 0 }],
  fat: [],
});
const near = (points: readonly SilhouettePoint[], x: number) =>
  points.reduce((best, p) => (Math.abs(p.x - x) < Math.abs(best.x - x) ? p : best));

describe('wood as it is seen from the front', () => {
  it('a square blank is as high as half its side, from end to end', () => {
    const [run, ...others] = bodySilhouette(square(), 5);
    expect(others).toEqual([]);
    expect(run![0]!.x).toBeCloseTo(0, 3);
    expect(run!.at(-1)!.x).toBeCloseTo(100, 3);
    expect(new Set(run!.map((p) => p.outside))).toEqual(new Set([20]));
  });

  it('has both sides of each step, and what is left for sanding on top', () => {
    const skin = { ...round(30, 60, 12), fat: [{ x0: 30, x1: 60, mm: 0.5 }] };
    const [run] = bodySilhouette({ ...square(), skins: [skin] }, 5);
    expect(near(run!, 29.9999).outside).toBe(20);
    expect(near(run!, 30.0001).outside).toBe(12.5);
    expect(near(run!, 60.0001).outside).toBe(20);
  });

  it('ends where it was faced, and falls in two where it was cut through', () => {
    const faced = { id: 'f', at: { at: [10, 0, 0], along: [-1, 0, 0], facing: [0, 0, 1] } as const };
    const parted = round(50, 53, 0);
    const runs = bodySilhouette({ ...square(), flats: [faced], skins: [parted] }, 5);
    expect(runs.map((r) => [r[0]!.x, r.at(-1)!.x].map((x) => Math.round(x)))).toEqual([
      [10, 50],
      [53, 100],
    ]);
  });

  it('shows a blind hole with its cone, and none beyond its point', () => {
    const hole = { id: 'h', at: HERE, steps: [{ diameter: 10, depth: 20 }], pointAngle: 90 };
    const [run] = bodySilhouette({ ...square(), drilled: [hole] }, 1);
    expect(near(run!, 10).inside).toBe(5);
    expect(near(run!, 22).inside).toBeCloseTo(3, 6);
    expect(near(run!, 26).inside).toBe(0);
  });

  it('of a shifted axis is where that leaves wood straight up', () => {
    // the circle of 15 about an axis 5 higher reaches 20 up; about one 5 lower it reaches 10
    const about = (y: number): Placement => ({ at: [0, y, 0], along: [1, 0, 0], facing: [0, 0, 1] });
    const up = bodySilhouette({ ...square(), skins: [round(0, 100, 15, about(5))] }, 20)[0]!;
    const down = bodySilhouette({ ...square(), skins: [round(0, 100, 15, about(-5))] }, 20)[0]!;
    expect(Math.max(...up.map((p) => p.outside), ...down.map((p) => p.outside))).toBeCloseTo(20, 1);
    expect(Math.min(near(up, 50).outside, near(down, 50).outside)).toBeCloseTo(10, 1);
  });

  it('of what is drawn is its outline', () =>
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 40 }), fc.integer({ min: 8, max: 60 }), (thick, long) => {
        const part: Part = {
          id: 'p',
          name: 'Part',
          perItem: 1,
          materialId: 'ash',
          turnings: [
            {
              id: 't',
              startDiameter: dim(20),
              elements: [
                { kind: 'taper', id: 'a', length: dim(long), endDiameter: dim(thick) },
                { kind: 'bead', id: 'b', length: dim(8), crown: dim(thick + 4) },
              ],
            },
          ],
          holes: [],
        };
        const outline = outlineOf(part.turnings[0]);
        const [run] = bodySilhouette(drawnBody(part), 2);
        for (const { x, outside } of run!)
          if (x > 0.01 && x < outline.length - 0.01) expect(outside).toBeCloseTo(radiusAt(outline, x), 2);
      }),
      { numRuns: 20 },
    ));
});
