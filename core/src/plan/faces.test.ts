import { bodySilhouette, STARTING_FORMS } from '../pattern/index.js';
import {
  type Does,
  stepDoes,
  appliedAll,
  facesOf,
  standingBefore,
  type Step,
  type Surface,
} from '../route/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan, stepsOfPlan } from './index.js';

const { workshop, stock, order, schools } = exampleInputs(1);
const stepsFor = (id: string, finishId = order.finishId): Step[] => {
  const form = STARTING_FORMS.find((f) => f.id === id) ?? STARTING_FORMS[0];
  const pattern = { ...form.body({}, 'beech'), hardware: [] };
  return stepsOfPlan(plan(pattern, workshop, stock, { ...order, finishId }, schools));
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
  const kinds = (doing: Does): Surface[] => {
    const step = steps.find((s) => stepDoes(s, doing))!;
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

it.each([
  // what turns: the flats come after it, when the piece is off
  ['polish', ['coated:all:1', 'hold:off:blank part1', 'coated:flats:1']],
  ['oil', ['hold:off:blank part1', 'coated:all:1', 'coated:all:2', 'coated:all:3']],
])('the flats of a leg get their %s too, standing still', (finishId, expected) => {
  const steps = stepsFor('leg', finishId);
  expect(steps.map((s) => s.id).filter((id) => expected.includes(id))).toEqual(expected);
  expect(steps.map((s) => s.id).filter((id) => id.startsWith('coated:'))).toEqual(
    expected.filter((id) => id.startsWith('coated:')),
  );
  const end = appliedAll(steps.flatMap((s) => s.operation ?? []));
  const wood = end.woods.find((w) => w.pieces.length > 0)!;
  const seen = facesOf({ wood, silhouette: bodySilhouette(wood.body, 0.5) });
  const long = seen.filter(({ run }) => run.at(-1)!.x - run[0]!.x > 0.1);
  expect(long.map((f) => [f.is, f.flat])).toEqual([
    ['coated', true],
    ['coated', false],
  ]);
});

it('flats are kept off in sanding, and said so; nothing is said of what meets nothing', () => {
  const words = (id: string) =>
    stepsFor(id)
      .find((s) => s.id.startsWith('sanded:'))!
      .words.join(' ');
  expect(words('leg')).toContain('Keep off the flats: they stay as the plane left them.');
  expect(words('leg')).not.toContain('meets something else');
  expect(words('finial')).toContain('Keep off what meets something else.');
  expect(words('light-pull')).not.toContain('Keep off');
});

it('what has no flats has no step for them, and its words speak of none', () => {
  const coats = stepsFor('finial').filter((s) => s.id.startsWith('coated:'));
  expect(coats.map((s) => s.id)).toEqual(['coated:all:1']);
  expect(coats.flatMap((s) => s.words).join(' ')).not.toMatch(/flats/);
});
