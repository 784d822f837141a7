import type { Step } from '../route/index.js';
import { lotsOf } from './lots.js';
import { progressOf } from './progress.js';
import { restOfRun } from './restOfRun.js';

const step = (id: string, rest: Partial<Step> = {}): Step =>
  ({ id, partId: 'p', measures: [], trialFit: false, locks: [], ...rest }) as unknown as Step;
const lots = (count: number) => lotsOf([{ partId: 'p', pieces: count }]);
const [piece] = progressOf(lots(1), [], []).pieces;
const ids = (steps: Step[], id: string, at = piece!) => restOfRun(steps, id, at).map((s) => s.id);

describe('what one tap ends', () => {
  const steps = [
    step('rough', { run: 0 }),
    step('mark', { run: 0 }),
    step('size', { run: 0, measures: ['start'] }),
    step('shape', { run: 0 }),
    step('cove', { run: 0 }),
    step('try', { run: 0, trialFit: true }),
    step('sand', { run: 1 }),
    step('wax', { run: 1, checks: ['shine'] }),
  ];

  it('goes up to what asks for something, or to the end of the run', () => {
    expect(ids(steps, 'rough')).toEqual(['rough', 'mark']);
    expect(ids(steps, 'shape')).toEqual(['shape', 'cove']);
    expect(ids(steps, 'sand')).toEqual(['sand']);
  });

  it('is the step alone where that asks for something itself, and where no runs are known', () => {
    expect(ids(steps, 'size')).toEqual(['size']);
    expect(ids([step('saw'), step('centres')], 'saw')).toEqual(['saw']);
  });

  it('leaves out what is done already', () => {
    const done = {
      id: 'e',
      piece: 1,
      at: '2026-03-02T08:00:00.000Z',
      device: 't',
      sequence: 1,
      planVersion: 1,
      body: { kind: 'done' as const, stepId: 'mark' },
    };
    const [marked] = progressOf(lots(1), [done], steps).pieces;
    expect(ids(steps, 'rough', marked)).toEqual(['rough']);
  });

  it('stops before what waits for another piece of the blank, until that is done or given up', () => {
    const share = (place: number | null) => ({ share: { place, of: 2 } });
    const blank = [
      step('nib', { run: 0, ...share(1) }),
      step('nib (2)', { run: 0, ...share(2) }),
      step('off', {
        run: 0,
        ...share(null),
        locks: ['nib', 'nib (2)'].map((stepId) => ({ stepId, reason: 'it is held until then.' })),
      }),
    ];
    const done = (piece: number, sequence: number, stepId: string) => ({
      id: `${sequence}`,
      piece,
      at: `2026-03-02T08:0${sequence}:00.000Z`,
      device: 't',
      sequence,
      planVersion: 1,
      body: { kind: 'done' as const, stepId },
    });
    const of = (...events: ReturnType<typeof done>[]) => progressOf(lots(2), events, blank).pieces;
    expect(ids(blank, 'nib', of()[0])).toEqual(['nib']);
    expect(ids(blank, 'nib', of(done(2, 1, 'nib (2)'))[0])).toEqual(['nib', 'off']);
    expect(ids(blank, 'nib (2)', of(done(1, 1, 'nib'))[1])).toEqual(['nib (2)', 'off']);
    // alone in the last blank nothing is waited for
    expect(ids(blank, 'nib', progressOf(lots(1), [], blank).pieces[0])).toEqual(['nib', 'off']);
  });
});
