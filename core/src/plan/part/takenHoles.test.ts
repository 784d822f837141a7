import { dim } from '../../measure/index.js';
import type { Hole } from '../../pattern/index.js';
import { exampleInputs } from '../exampleShop.js';
import { plan } from '../plan.js';

const { pattern, workshop, stock, order, schools } = exampleInputs(6);
const [body] = pattern.parts;
const [fitted] = pattern.hardware;
const bare = plan(pattern, workshop, stock, order, schools).parts[0];
const asked = bare.hardware!.needs.holes.flatMap((h) => h.hole.steps);
const widest = Math.max(...asked.map((s) => s.diameter.mm));
const deepest = Math.max(...asked.map((s) => s.depth.mm));

/** The example with a hole drawn as well. */
function planned(rest: Partial<Hole> & { diameter: number; depth: number }) {
  const { diameter, depth, ...own } = rest;
  const hole: Hole = {
    id: 'own',
    name: 'socket',
    from: fitted!.end,
    through: false,
    pointAngle: 118,
    steps: [{ diameter: dim(diameter), depth: dim(depth) }],
    ...own,
  };
  const parts = [{ ...body, holes: [hole] }, ...pattern.parts.slice(1)] as typeof pattern.parts;
  return plan({ ...pattern, parts }, workshop, stock, order, schools);
}
const drilled = (made: ReturnType<typeof planned>) => made.parts[0].drilling.map((o) => o.name);

describe('a hole that was drawn where hardware has its own', () => {
  it('is bored once, as the hardware needs it, and said so', () => {
    const made = planned({ diameter: widest - 0.2, depth: deepest });
    expect(drilled(made)).toEqual(bare.drilling.map((o) => o.name));
    const note = made.findings.find((f) => f.id === `drill.taken.${body.id}.own`);
    expect(note?.what).toContain('The drawn socket');
    expect(note?.severity).toBe('note');
    expect(made.parts[0].steps.map((s) => s.title)).toEqual(bare.steps.map((s) => s.title));
  });

  it.each([
    ['wider', { diameter: widest * 1.5, depth: deepest / 3 }],
    ['deeper', { diameter: widest / 2, depth: deepest * 1.6 }],
    ['from the other end', { diameter: widest - 0.2, depth: deepest / 2, from: 'far' as const }],
  ])('%s it is a hole of its own', (_, hole) => {
    const made = planned(hole);
    expect(drilled(made)).toContain('socket');
    expect(made.findings.some((f) => f.id.startsWith('drill.taken'))).toBe(false);
  });
});
