import type { Step } from '../route/index.js';
import { progressOf } from './progress.js';
import { restOfRun } from './restOfRun.js';

const step = (id: string, rest: Partial<Step> = {}): Step =>
  ({ id, measures: [], trialFit: false, ...rest }) as unknown as Step;
const [piece] = progressOf(1, [], []).pieces;
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
    const [marked] = progressOf(1, [done], steps).pieces;
    expect(ids(steps, 'rough', marked)).toEqual(['rough']);
  });
});
