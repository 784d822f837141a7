import { stepDoes } from '../../route/index.js';
import { lotsOf, progressOf, type RunEvent } from '../../batch/index.js';
import { dim } from '../../measure/index.js';
import { carriedOver } from './carriedOver.js';
import { exampleInputs } from '../exampleShop.js';
import { snapshotOf } from '../snapshot.js';

/** The example stopper with a neck of so much, made with so much waste at the tail. */
function planned(neck: number, waste = 10) {
  const inputs = exampleInputs(3);
  const [part] = inputs.pattern.parts;
  const [turning] = part.turnings;
  turning.elements = turning.elements.map((e) => (e.kind === 'cove' ? { ...e, bottom: dim(neck) } : e));
  inputs.workshop.allowances.wasteTail = waste;
  return { part, after: snapshotOf(inputs).plan.parts[0] };
}

describe('a piece under way, in a plan made anew', () => {
  const { part, after: old } = planned(19);
  const before = old.steps;
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
    return progressOf(lotsOf([{ partId: before[0]!.partId, pieces: 3 }]), events, before).pieces;
  };
  const upTo = (id: string) => before.slice(0, before.findIndex((s) => s.id === id) + 1).map((s) => s.id);
  const thinner = planned(17);
  const neck = before.find((s) => stepDoes(s, 'shape') && s.title === 'Neck')!.id;
  const sanded = before.findLast((s) => stepDoes(s, 'sanded'))!.id;

  it('is not spoken of where nothing that is done changes', () => {
    const all = before.map((s) => s.id);
    expect(carriedOver(before, old, part, progress({ 1: all, 2: upTo('rough:round') }))).toEqual([]);
    // who has not cut the neck yet goes on with the new figure
    expect(carriedOver(before, thinner.after, thinner.part, progress({ 2: upTo('rough:round') }))).toEqual(
      [],
    );
  });

  it('whose neck is to be thinner has that cut and what was sanded over it before it again, and no more', () => {
    const [found, ...others] = carriedOver(
      before,
      thinner.after,
      thinner.part,
      progress({ 1: upTo(sanded), 2: upTo('rough:round') }),
    );
    expect(others).toEqual([]);
    expect(found).toMatchObject({ piece: 1, gone: [], lost: [] });
    const again = found!.again.map((s) => s.id);
    expect(again).toContain(neck);
    expect(again).toContain(sanded);
    expect(again.filter((id) => id.startsWith('shape:'))).toEqual([neck]);
    expect(found!.otherwise.map((o) => o.words).some((w) => w.startsWith('Neck: '))).toBe(true);
    expect(found!.left).toBeGreaterThanOrEqual(again.length);
  });

  it('whose neck is to be thicker can no longer become it, and that is said by name', () => {
    const thicker = planned(22);
    const [found] = carriedOver(before, thicker.after, thicker.part, progress({ 1: upTo(neck) }));
    expect(found!.lost.join()).toContain('neck: cut deeper than it is drawn');
    expect(found!.again.map((s) => s.id)).not.toContain(neck);
  });

  it('is answered for among others as it is alone, however alike they stand', () => {
    const all = progress({ 1: upTo(neck), 2: upTo(sanded), 3: upTo(neck) });
    const together = carriedOver(before, thinner.after, thinner.part, all);
    expect(together.map((c) => c.piece)).toEqual([1, 2, 3]);
    expect(together).toEqual(all.flatMap((one) => carriedOver(before, thinner.after, thinner.part, [one])));
    expect(together[0]!.again).not.toEqual(together[1]!.again);
  });

  it('names what is done and gone', () => {
    const steps = before.filter((s) => s.id !== 'rough:round');
    const [found] = carriedOver(before, { ...old, steps }, part, progress({ 1: upTo('rough:round') }));
    expect(found!.gone.map((s) => s.id)).toEqual(['rough:round']);
  });

  it('is left alone where it was rejected, nobody has begun it, or its plan knows no wood', () => {
    const [one, ...others] = progress({ 1: upTo(neck) });
    const rejected = { ...one!, rejected: { eventId: 'e', stepId: 'x', cause: 'check', at: '' } };
    expect(carriedOver(before, thinner.after, thinner.part, [rejected, ...others])).toEqual([]);
    const bare = before.map(({ operation: _, ...step }) => step);
    expect(carriedOver(bare, thinner.after, thinner.part, [one!])).toEqual([]);
  });
});
