import { lotsOf, progressOf, type RunEvent } from '../../batch/index.js';
import { exampleInputs } from '../exampleShop.js';
import { plan, spoilt, type OffSize } from '../index.js';

const inputs = exampleInputs(2);
const { parts } = plan(inputs.pattern, inputs.workshop, inputs.stock, inputs.order, inputs.schools);
const [part] = parts;
const at = (label: string) => part.stations.find((s) => s.label === label)!;

/** A piece on which everything is done up to a step. */
function upTo(stepId: string) {
  const last = part.steps.findIndex((s) => s.id === stepId);
  const events = part.steps.slice(0, last + 1).map(({ id }, i): RunEvent => ({
    id: `e${i}`,
    piece: 1,
    at: new Date(i).toISOString(),
    device: 'bench',
    sequence: i,
    planVersion: 1,
    body: { kind: 'done', stepId: id },
  }));
  return progressOf(lotsOf(parts), events, part.steps).pieces[0]!;
}
const stands = (off: OffSize[], stepId = 'shape:e2') =>
  spoilt(part.steps, part, inputs.pattern.parts[0], upTo(stepId), off)!;

describe('a piece that came out otherwise', () => {
  it('that is on size can still become what is drawn, and has the rest of the route before it', () => {
    const { lost, left } = stands([]);
    expect(lost).toEqual([]);
    const open = part.steps.slice(part.steps.findIndex((s) => s.id === 'shape:e2') + 1).map((s) => s.id);
    expect(left.map((s) => s.id)).toEqual(open);
  });

  it('whose neck is thin can no longer become that, and is told so by name', () => {
    const neck = at('neck');
    const { lost } = stands([{ station: neck, mm: neck.finished - 0.8 }]);
    expect(lost).toContain('Body, neck: cut deeper than it is drawn.');
    expect(lost.some((words) => words.includes('collar'))).toBe(false);
  });

  it('that is fat loses nothing: it is cut again', () => {
    const neck = at('neck');
    expect(stands([{ station: neck, mm: neck.finished + 0.8 }]).lost).toEqual([]);
  });

  it('of a plan without routes nothing is worked out', () =>
    expect(
      spoilt(
        part.steps.map(({ operation: _, ...old }) => old),
        part,
        inputs.pattern.parts[0],
        upTo('shape:e2'),
        [],
      ),
    ).toBeNull());
});
