import { MOUNT_KINDS } from '../mounting/index.js';
import { STARTING_FORMS } from '../pattern/index.js';
import { shopBefore, stepDoes, type Step } from '../route/index.js';
import { workshopFor } from '../../test/exampleRoute.js';
import { exampleInputs } from './exampleShop.js';
import { plan, type PartPlan } from './index.js';

const { stock, order, schools } = exampleInputs(1);

/** What the wood is held by when a step begins, on the lathe. */
function heldIn({ steps }: PartPlan, step: Step) {
  const held = shopBefore(steps, step.id)?.held;
  if (!held || held.place !== 'lathe') throw new Error(`${step.id} turns what nothing holds.`);
  return held;
}

/** Steps in which it is shaped on the lathe. */
const shapedIn = ({ steps }: PartPlan): Step[] =>
  steps.filter(
    (s) =>
      stepDoes(s, 'shape') && s.setup.place === 'lathe' && s.operation?.kind !== 'turn about a further axis',
  );

const tailGoes = ({ steps }: PartPlan): boolean => steps.some((s) => s.operation?.kind === 'tail away');

describe('how it is held', () => {
  it.each(STARTING_FORMS.map((f) => [f.name, f] as const))(
    'is one thing for %s, in every way: on the screen, in the set-up lines, and in the route',
    (_, form) => {
      const body = { ...form.body({}, 'maple'), hardware: [] };
      const said: unknown[] = [];
      const played: unknown[] = [];
      for (const mount of MOUNT_KINDS)
        for (const part of plan(body, workshopFor(body), stock, { ...order, mount }, schools).parts) {
          for (const step of shapedIn(part)) {
            const { drive, tail } = heldIn(part, step);
            const { holding, tailstock } = step.setup;
            said.push([mount, step.id, holding, tailstock === 'up']);
            played.push([mount, step.id, drive.words, tail !== null]);
          }
          // what the screen shows is what it is finished in: a ball is roughed between centres, its poles are cut in cups
          const last = shapedIn(part).at(-1);
          if (!last) continue;
          const { drive, tail } = heldIn(part, last);
          const { headstock, tailstock } = part.mount;
          said.push([mount, 'mount', headstock, tail === null && tailGoes(part) ? null : tailstock]);
          played.push([mount, 'mount', drive.words, tail?.words ?? null]);
        }
      expect(said.length).toBeGreaterThan(3);
      expect(said).toEqual(played);
    },
  );
});
