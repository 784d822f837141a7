import { STARTING_FORMS } from '../pattern/index.js';
import { facesOf, standingBefore, type Step, type Surface } from '../route/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan, stepsOfPlan } from './index.js';

const { workshop, stock, order, schools } = exampleInputs(1);
const stepsFor = (id: string): Step[] => {
  const form = STARTING_FORMS.find((f) => f.id === id) ?? STARTING_FORMS[0];
  return stepsOfPlan(plan({ ...form.body({}, 'beech'), hardware: [] }, workshop, stock, order, schools));
};
const facesBefore = (steps: readonly Step[], step: Step) => {
  const standing = standingBefore(steps, step.id, 0.5);
  return standing && { standing, faces: facesOf(standing) };
};

it.each(STARTING_FORMS.map((f) => f.id))(
  '%s: every place of the wood has one face, and none is left out',
  (id) => {
    const steps = stepsFor(id);
    for (const step of steps.filter((s) => s.operation && !s.item)) {
      const found = facesBefore(steps, step);
      if (!found) continue;
      for (const run of found.standing.silhouette) {
        const own = found.faces.filter((f) => run.includes(f.run[0]!));
        expect(own[0]?.run[0]).toBe(run[0]);
        expect(own.at(-1)?.run.at(-1)).toBe(run.at(-1));
        // one begins where the one before it ends
        own.slice(1).forEach((f, i) => expect(own[i]?.run.at(-1)).toBe(f.run[0]));
      }
    }
  },
);

it('tells sawn from roughed, roughed from cut, cut from sanded, sanded from coated', () => {
  const steps = stepsFor('finial');
  const kinds = (doing: string): Surface[] => {
    const step = steps.find((s) => s.operation?.doing === doing || s.operation?.kind === doing)!;
    return [...new Set(facesBefore(steps, step)?.faces.map((f) => f.is))];
  };
  expect(kinds('rough')).toEqual(['sawn']);
  expect(kinds('shape')).toContain('roughed');
  expect(kinds('shape')).not.toContain('coated');
  expect(kinds('sanded')).toContain('cut');
  expect(kinds('coated')).toContain('sanded');
  const last = facesBefore(
    steps,
    steps.findLast((s) => !s.item)!,
  )!.faces;
  expect(last.some((f) => f.is === 'coated')).toBe(true);
});

it('a leg stays sawn where it stays square, beside what is round', () => {
  const steps = stepsFor('leg');
  const marked = steps.find((s) => s.id.startsWith('mark:stick'))!;
  expect(facesBefore(steps, marked)?.faces.map((f) => f.is)).toEqual(['sawn', 'roughed']);
  // the faces that stay are planed, and so is their whole blank
  const { standing } = facesBefore(steps, marked)!;
  expect(facesOf(standing, 'planed').map((f) => [f.is, f.flat])).toEqual([
    ['planed', true],
    ['roughed', false],
  ]);
  // and flat to the end, whatever is done beside it
  const last = facesBefore(
    steps,
    steps.findLast((s) => !s.item)!,
  )!.faces;
  expect(last.filter((f) => f.flat).map((f) => f.is)).toEqual(['sawn']);
  expect(last.filter((f) => !f.flat && f.is === 'sawn')).toEqual([]);
});
