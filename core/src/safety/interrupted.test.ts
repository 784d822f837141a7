import { dim } from '../measure/index.js';
import type { MountKind } from '../mounting/index.js';
import {
  HERE,
  hasWood,
  outOf,
  sameLine,
  skinRadius,
  STARTING_FORMS,
  type Part,
  type PatternBody,
} from '../pattern/index.js';
import { workshopFor } from '../../test/exampleRoute.js';
import { exampleInputs } from '../plan/exampleShop.js';
import { plan } from '../plan/index.js';
import { doesOf, play, type Operation, type Shop } from '../route/index.js';

const ANGLES = Array.from({ length: 48 }, (_, i) => (i * Math.PI) / 24);

/** Whether just outside of where a cut will be wood is met on one side of the axis and air on another, by feel. */
function isKnocked({ held, woods }: Shop, { effects, kind }: Operation): boolean {
  return effects.some((effect) => {
    const wood = woods.find((w) => 'wood' in effect && w.id === effect.wood);
    if (effect.do !== 'cut' || !effect.turning || doesOf(kind) === 'rough' || !held || !wood) return false;
    const { skin } = effect;
    const [x0, x1] = [skin.profile[0]!.x0, skin.profile.at(-1)!.x1];
    return Array.from({ length: 40 }, (_, i) => x0 + ((i + 0.5) / 40) * (x1 - x0)).some((x) => {
      const r = (skinRadius(skin, x) ?? 0) + (skin.side === 'outside' ? 0.15 : -0.15);
      if (r <= 0.2) return false;
      const met = ANGLES.map((a) =>
        hasWood(wood.body, outOf([x, r * Math.sin(a), r * Math.cos(a)], skin.axis)),
      );
      return met.includes(true) && met.includes(false);
    });
  });
}

const form = (id: string) => STARTING_FORMS.find((f) => f.id === id)!.body({}, 'maple');
const other = (part: Part): PatternBody => ({
  ...exampleInputs(1).pattern,
  kind: 'other',
  hardware: [],
  joins: [],
  parts: [part],
});
const rod = (rest: Partial<Part>): Part => ({
  id: 'p',
  name: 'Rod',
  perItem: 1,
  materialId: 'maple',
  turnings: [
    {
      id: 't',
      startDiameter: dim(24),
      elements: [
        { kind: 'cylinder', id: 'a', length: dim(30) },
        { kind: 'taper', id: 'b', length: dim(50), endDiameter: dim(16) },
      ],
    },
  ],
  holes: [],
  ...rest,
});
const crossed = rod({
  crossHoles: [
    { id: 'x', name: 'cord hole', from: 'far', at: dim(20), angle: 0, diameter: dim(5), through: true },
  ],
});
const hooked = rod({});
hooked.turnings.push({
  id: 't2',
  startDiameter: dim(14),
  axis: { shift: dim(3), direction: 0, tilt: 0, along: dim(10) },
  elements: [{ kind: 'cylinder', id: 'c', length: dim(8) }],
});

const ALL: [string, PatternBody, MountKind][] = [
  ['a leg whose square stays', form('leg'), 'between centres'],
  ['a rod with a hole across', other(crossed), 'between centres'],
  ['a rod with a hole across, in a chuck', other(crossed), 'chuck'],
  ['a hook', other(hooked), 'between centres'],
  ['a scoop', form('scoop'), 'between centres'],
  ['a launcher with its cross holes', form('launcher'), 'between centres'],
  ['a top', form('finger-top'), 'chuck'],
  ['a tool handle', { ...form('tool-handle'), hardware: [] }, 'between centres'],
];

describe('a step in which the tool meets wood on part of each turn', () => {
  it.each(ALL)('of %s has its caution, and no other step has', (_, body, mount) => {
    const { stock, order, schools } = exampleInputs(1);
    const [made] = plan(body, workshopFor(body), stock, { ...order, mount }, schools).parts;
    const operations = made.steps.flatMap((s) => s.operation ?? []);
    const { before } = play({ schema: 2, operations }, () => made.outline.length);
    const cautioned = new Set(
      made.cautions.filter((c) => ['off-axis', 'interrupted'].includes(c.id)).flatMap((c) => c.stepIds),
    );
    // what is faced or carved is no cut that swings past the tool
    const cuts = operations.flatMap((operation, i) =>
      operation.effects.some((e) => e.do === 'cut') ? [{ operation, shop: before[i]! }] : [],
    );
    const expected = cuts.filter(
      ({ operation, shop }) =>
        isKnocked(shop, operation) || (shop.held !== null && sameLine(HERE, shop.held.axis) === null),
    );
    const said = cuts.filter(({ operation }) => cautioned.has(operation.id));
    expect(said.map((c) => c.operation.id)).toEqual(expected.map((c) => c.operation.id));
  });

  it('about a further axis is cautioned from taking hold to its sanding', () => {
    const { stock, order, schools } = exampleInputs(1);
    const body = other(hooked);
    const [made] = plan(
      body,
      workshopFor(body),
      stock,
      { ...order, mount: 'between centres' },
      schools,
    ).parts;
    const at = made.cautions.find((c) => c.id === 'off-axis')!.stepIds;
    expect(at).toEqual(['hold:shifted centres:t2', 'shape:t2', 'sanded:t2:further axis']);
  });
});
