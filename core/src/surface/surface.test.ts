import { MATERIALS } from '../material/index.js';
import type { Abrasive } from '../workshop/index.js';
import { finishFindings, grainMicrons, gritLadder, protocolOf } from './index.js';

const paper = (...grits: number[]): Abrasive[] => grits.map((grit) => ({ id: `p${grit}`, grit, scale: 'P' }));
const ash = MATERIALS.find((m) => m.id === 'ash')!;

describe('grit ladder', () => {
  it('begins at the material’s grit, skips what may be skipped, and has no gap', () => {
    const ladder = gritLadder('p', ash, paper(80, 120, 150, 180, 220, 240, 320, 400), 5000);
    // grains 100, 82, 68, 58.5, 46.2, 35: from 100 the farthest within 0.6 is 68, from 68 it is 46.2
    expect(ladder.steps.map((s) => s.abrasive.grit)).toEqual([150, 220, 320, 400]);
    expect(ladder.findings).toEqual([]);
    expect(ladder.steps[0]?.minutes).toBeCloseTo(0.6, 9); // 0.5 + 50 cm² × 0.001, to the tenth
  });

  it('names a gap and a missing start', () => {
    const gap = gritLadder('p', ash, paper(150, 320, 400), 5000);
    expect(gap.findings[0]?.what).toBe('Gap between P150 and P320.');
    expect(gritLadder('p', ash, paper(400), 5000).findings[0]?.what).toContain('No abrasive near P150');
  });

  it('knows that the scales differ, and reads between their steps', () => {
    expect(grainMicrons({ grit: 400, scale: 'CAMI' })).toBeLessThan(grainMicrons({ grit: 400, scale: 'P' }));
    const between = grainMicrons({ grit: 200, scale: 'P' });
    expect(between).toBeLessThan(82);
    expect(between).toBeGreaterThan(68);
  });
});

describe('finishes', () => {
  it('lacquer is scuffed before its last coat and waits between', () => {
    const { coats, cureMinutes } = protocolOf({ id: 'f', name: 'Lacquer', kind: 'lacquer', coats: 3 });
    expect(coats.map((c) => c.waitMinutes)).toEqual([45, 45, 0, 0]);
    expect(coats[2]?.name).toContain('scuff');
    expect(cureMinutes).toBe(1440);
  });

  it('is questioned on food and on oily wood', () => {
    const olive = MATERIALS.find((m) => m.id === 'olive')!;
    const lacquer = { id: 'f', name: 'Lacquer', kind: 'lacquer' as const, coats: 2 };
    expect(finishFindings('p', lacquer, olive, 'food')).toHaveLength(2);
    expect(finishFindings('p', { ...lacquer, kind: 'wax' }, ash, 'food')).toHaveLength(0);
  });
});
