import { progressOf, type RunEvent } from '../batch/index.js';
import { dim } from '../measure/index.js';
import { carriedOver } from './carriedOver.js';
import { exampleInputs } from './exampleShop.js';
import { snapshotOf } from './snapshot.js';

const stepsOf = (neck: number, waste = 10) => {
  const inputs = exampleInputs(3);
  const [cylinder, cove, ...rest] = inputs.pattern.parts[0].turnings[0].elements;
  if (cove?.kind !== 'cove') throw new Error('The example has no cove.');
  inputs.pattern.parts[0].turnings[0].elements = [cylinder!, { ...cove, bottom: dim(neck) }, ...rest];
  inputs.workshop.allowances.wasteTail = waste;
  return snapshotOf(inputs).plan.parts[0].steps;
};

describe('what is done, in a plan made anew', () => {
  const before = stepsOf(19);
  const progress = (done: Record<number, string[]>) => {
    const events = Object.entries(done).flatMap(([piece, ids]) =>
      ids.map((stepId, i): RunEvent => ({
        id: `${piece}/${i}`,
        piece: Number(piece),
        at: new Date(Date.UTC(2026, 2, 2, 8, i)).toISOString(),
        device: 'bench',
        sequence: i,
        planVersion: 1,
        body: { kind: 'done', stepId },
      })),
    );
    return progressOf(3, events, before).pieces;
  };
  const upTo = (id: string) => before.slice(0, before.findIndex((s) => s.id === id) + 1).map((s) => s.id);

  it('is not spoken of where nothing that is done changes', () => {
    const all = before.map((s) => s.id);
    expect(carriedOver(before, before, progress({ 1: all, 2: upTo('rough:round') }))).toEqual([]);
    // the neck gets thinner: who has not cut it yet goes on with the new figure
    expect(carriedOver(before, stepsOf(17), progress({ 2: upTo('rough:round') }))).toEqual([]);
  });

  it('names each piece on which a cut that is done would be another one now', () => {
    const cove = before.find((s) => s.operation?.doing === 'shape' && s.title === 'Neck')!;
    const found = carriedOver(before, stepsOf(17), progress({ 1: upTo(cove.id), 2: upTo('rough:round') }));
    expect(found.map((f) => f.piece)).toEqual([1]);
    const words = found[0]!.otherwise.map((o) => o.words);
    expect(words.some((w) => w.startsWith('Neck: '))).toBe(true);
    expect(words.every((w) => w.includes(' instead of '))).toBe(true);
    expect(found[0]!.gone).toEqual([]);
  });

  it('names what is done and gone, and what would have had to come before', () => {
    const fewer = before.filter((s) => s.id !== 'rough:round');
    const lost = carriedOver(before, fewer, progress({ 1: upTo('rough:round') }));
    expect(lost[0]!.gone.map((s) => s.id)).toEqual(['rough:round']);
    const back = carriedOver(
      fewer,
      before,
      progress({ 1: before.map((s) => s.id).filter((id) => id !== 'rough:round') }),
    );
    expect(back[0]!.passed.map((s) => s.id)).toEqual(['rough:round']);
  });

  it('leaves rejected pieces and those that nobody has begun alone', () => {
    const [one, ...others] = progress({ 1: before.map((s) => s.id) });
    const rejected = { ...one!, rejected: { stepId: 'x', cause: 'check', at: '' } };
    expect(carriedOver(before, stepsOf(17), [rejected, ...others])).toEqual([]);
  });
});
