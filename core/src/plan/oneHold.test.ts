import { MOUNT_KINDS } from '../mounting/index.js';
import { dim } from '../measure/index.js';
import { hasWood, outOf, STARTING_FORMS, type Part, type PatternBody } from '../pattern/index.js';
import { shopBefore, stepDoes, type Step } from '../route/index.js';
import { workshopFor } from '../../test/exampleRoute.js';
import { exampleInputs } from './exampleShop.js';
import { plan, type PartPlan } from './index.js';

const { workshop, stock, order, schools } = exampleInputs(1);

/** What the wood is held by when a step begins, on the lathe. */
function heldIn({ steps }: PartPlan, step: Step) {
  const held = shopBefore(steps, step.id)?.held;
  if (!held || held.place !== 'lathe') throw new Error(`${step.id} turns what nothing holds.`);
  return held;
}

const ANGLES = Array.from({ length: 12 }, (_, i) => (i * Math.PI) / 6);

/** Whether a centre of a size that drives the wood lies on wood all round, by feeling a little way in from its end. */
function liesOnWood({ steps }: PartPlan, step: Step, diameter: number): boolean {
  const shop = shopBefore(steps, step.id);
  const { drive, axis, wood: id } = shop!.held!;
  const { body } = shop!.woods.find((w) => w.id === id)!;
  const low = drive.on.x0 < 30 ? drive.on.x1 + 0.5 : drive.on.x0 - 0.5;
  const r = diameter / 2 - 0.2;
  const at = {
    at: [0, axis.at[1], axis.at[2]] as [number, number, number],
    along: axis.along,
    facing: axis.facing,
  };
  return ANGLES.every((a) => hasWood(body, outOf([low, r * Math.sin(a), r * Math.cos(a)], at)));
}

const dowel = (across: number): PatternBody => {
  const rod = { kind: 'cylinder' as const, id: 'rod', length: dim(90) };
  const { pattern } = exampleInputs(1);
  const turnings: Part['turnings'] = [{ id: 't1', startDiameter: dim(across), elements: [rod] }];
  const part = { id: 'p', name: 'Rod', perItem: 1, materialId: 'maple', turnings, holes: [] };
  return { ...pattern, kind: 'other', parts: [part], hardware: [], joins: [] };
};

/** Steps in which it is shaped on the lathe. */
const shapedIn = ({ steps }: PartPlan): Step[] =>
  steps.filter(
    (s) =>
      stepDoes(s, 'shape') && s.setup.place === 'lathe' && s.operation?.kind !== 'turn about a further axis',
  );

const tailGoes = ({ steps }: PartPlan): boolean => steps.some((s) => s.operation?.kind === 'tail away');

describe('how it is held', () => {
  it('is by a centre that lies on wood all round, to the end, however thin the piece is drawn', () => {
    let looked = 0;
    const forms = STARTING_FORMS.map((f) => ({ ...f.body({}, 'maple'), hardware: [] }));
    for (const body of [...forms, ...[5, 8, 12, 15, 19].map(dowel)])
      for (const mount of ['between centres', 'spur drive', 'chuck'] as const)
        for (const part of plan(body, workshopFor(body), stock, { ...order, mount }, schools).parts)
          for (const step of part.steps) {
            const held = shopBefore(part.steps, step.id)?.held;
            const centre = workshop.centres.find((c) => c.name === held?.drive.words);
            if (!centre || held?.place !== 'lathe') continue;
            expect([body.parts[0].name, mount, step.id, liesOnWood(part, step, centre.diameter)]).toEqual([
              body.parts[0].name,
              mount,
              step.id,
              true,
            ]);
            looked++;
          }
    expect(looked).toBeGreaterThan(100);
  });

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
