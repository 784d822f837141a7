import { checkWorkshop, newWorkshop, type Workshop } from './index.js';

const changed = (change: (workshop: Workshop) => void): string[] => {
  const workshop = newWorkshop('UTC', 'mm');
  change(workshop);
  return checkWorkshop(workshop).map((p) => p.field);
};

describe('a new workshop', () => {
  it('contradicts itself nowhere and owns nothing', () => {
    const workshop = newWorkshop('UTC', 'inch');
    expect(checkWorkshop(workshop)).toEqual([]);
    expect([workshop.bits, workshop.tools, workshop.centres].flat()).toEqual([]);
    expect(workshop.units).toBe('inch');
  });

  it('works a forty-hour week', () => {
    const { windows } = newWorkshop('UTC', 'mm').hours;
    expect(windows.reduce((sum, w) => sum + w.to - w.from, 0)).toBe(40 * 60);
  });
});

describe('contradictions', () => {
  it('a working span that ends before it begins, or in which nothing is done', () => {
    const span = (from: number, to: number) => changed((w) => (w.hours.windows = [{ weekday: 1, from, to }]));
    expect(span(480, 480 + 5)).toEqual([]);
    for (const [from, to] of [
      [480, 480],
      [720, 480],
      [480, 480 + 1e-9],
      [480, 484.9],
    ] as const)
      expect(span(from, to)).toEqual(['hours.windows']);
  });

  it('a lathe whose fastest is its slowest, or that has no speed', () => {
    expect(changed((w) => (w.lathe.drive = { kind: 'range', slowest: 900, fastest: 900 }))).toEqual([
      'lathe.drive.fastest',
    ]);
    expect(changed((w) => (w.lathe.drive = { kind: 'pulleys', speeds: [] }))).toEqual(['lathe.drive.speeds']);
    expect(changed((w) => (w.lathe.drive = { kind: 'treadle' }))).toEqual([]);
  });

  it('jaws whose best grip lies outside of their range', () => {
    const jaws = { id: 'j', name: 'J', gripLeast: 30, gripBest: 60, gripMost: 50, depth: 12 };
    expect(changed((w) => (w.chucks = [{ id: 'c', name: 'C', fastest: 2000, jaws: [jaws] }]))).toEqual([
      'chucks.c.jaws.j',
    ]);
  });

  it('recesses, step bits, limit gauges and a banjo that cannot be', () => {
    const jaws = { id: 'j', name: 'J', gripLeast: 30, gripBest: 35, gripMost: 50, depth: 12 };
    const recess = { ...jaws, recessLeast: 40, recessMost: 30 };
    expect(changed((w) => (w.chucks = [{ id: 'c', name: 'C', fastest: 2000, jaws: [recess] }]))).toEqual([
      'chucks.c.jaws.j',
    ]);
    const step = { id: 's', kind: 'step' as const, diameter: { mm: 8 }, length: 90, pilot: { mm: 12 } };
    expect(changed((w) => (w.bits = [step]))).toEqual(['bits.s.pilot']);
    const limit = { id: 'g', name: 'G', kind: 'go and no-go' as const, size: { mm: 20 }, noGo: { mm: 20.2 } };
    expect(changed((w) => (w.gauges = [limit]))).toEqual(['gauges.g.noGo']);
    expect(changed((w) => (w.lathe.overRest = w.lathe.swing + 1))).toEqual(['lathe.overRest']);
    expect(changed((w) => (w.lathe.overRest = w.lathe.swing - 40))).toEqual([]);
  });

  it('hours that end before they begin, a band turned round', () => {
    expect(changed((w) => (w.hours.windows = [{ weekday: 1, from: 600, to: 540 }]))).toEqual([
      'hours.windows',
    ]);
    expect(changed((w) => (w.speedBand = { low: 9, high: 8 }))).toEqual(['speedBand.high']);
  });
});
