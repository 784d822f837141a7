import { hasWood, STARTING_FORMS, type Body, type Vector } from '../pattern/index.js';
import type { MountKind } from '../mounting/index.js';
import { play, type Operation, type OperationFigure, type Shop } from '../route/index.js';
import { routed } from '../../test/exampleRoute.js';

/**
 * Somebody who has nothing but the figure on the screen and the wood before and after: a rule laid on the end that is named,
 * a calliper at the place. Knows nothing of how a figure is made.
 */
const NEAR = 0.35;
const ANGLES = [7, 52, 97, 142, 187, 232, 277, 322].map((degrees) => (degrees * Math.PI) / 180);
const around = (x: number, r: number): Vector[] =>
  ANGLES.map((angle): Vector => [x, r * Math.sin(angle), r * Math.cos(angle)]);
/** Radius of the standing wood at a place, by closing a calliper over it. mm */
function calliper(body: Body, x: number): number {
  const stands = (r: number) => around(x, r).some((p) => hasWood(body, p));
  let r = 60;
  while (r > 0 && !stands(r)) r -= 1;
  let fine = r + 1;
  while (fine > r && !stands(fine)) fine -= 0.02;
  return Math.max(0, fine);
}
/** x of the wood's frame where it ends, by looking along it. mm */
function endOf(body: Body, side: 'low' | 'high'): number {
  const step = side === 'low' ? 1 : -1;
  const stands = (x: number) => [0, 2, 4, 7, 12].some((r) => around(x, r).some((p) => hasWood(body, p)));
  let x = side === 'low' ? -20 : 700;
  while (!stands(x) && Math.abs(x) < 720) x += step;
  let [air, wood] = [x - step, x];
  while (Math.abs(wood - air) > 1e-4) {
    const middle = (air + wood) / 2;
    if (stands(middle)) wood = middle;
    else air = middle;
  }
  return wood;
}
const woodIn = (shop: Shop, id: string | undefined) => shop.woods.find((w) => w.id === id);

interface Moment {
  operation: Operation;
  before: Shop;
  after: Shop;
}

/** x of the wood's frame of what a figure measures from an end. */
function ruled({ before, operation }: Moment, from: OperationFigure['from'], mm: number): number {
  const wood = woodIn(before, operation.on[0])!;
  if (from === 'first end') return endOf(wood.body, 'low') + mm;
  if (from === 'second end') return endOf(wood.body, 'high') - mm;
  throw new Error(`No rule is laid on ${from} here.`);
}

type Reading = (moment: Moment, figure: OperationFigure & { mm: number }) => boolean;
const close = (a: number, b: number, by = NEAR): boolean => Math.abs(a - b) < by;

/** So much is off the end that is named. */
const shortened: Reading = (moment, { at, mm }) => endsThere(moment, { is: 'cut off', from: at!.from, mm });
/** After it, the wood ends where the figure says, measured from the end it names. */
const endsThere: Reading = (moment, { from, mm }) => {
  const x = ruled(moment, from, mm);
  return moment.after.woods.some(({ body }) =>
    (['low', 'high'] as const).some((side) => close(endOf(body, side), x)),
  );
};
/** So far apart the calliper is closed over what was worked, mm. */
const APART = 0.3;

const EDGE = 0.002;

/** What the calliper reads over the stretch that is named. */
function readings(moment: Moment, { at }: OperationFigure): number[] {
  const { body } = woodIn(moment.after, moment.operation.on[0])!;
  if (!at) return [];
  const [x0, x1] = [at.mm, at.to ?? at.mm].map((mm) => ruled(moment, at.from, mm)).sort((a, b) => a - b) as [
    number,
    number,
  ];
  // where two features meet, just within this one: beside it the wood may be as steep as it likes
  const found = [x0 + EDGE, x1 - EDGE].map((x) => 2 * calliper(body, x));
  const inside = Math.min(0.15, (x1 - x0) / 4);
  for (let x = x0 + inside; x <= x1 - inside + 1e-9; x += Math.min(APART, Math.max(0.02, (x1 - x0) / 8)))
    found.push(2 * calliper(body, x));
  return found;
}
const thickest: Reading = (moment, figure) =>
  close(Math.max(...readings(moment, figure)), figure.mm, NEAR + 0.15);
const thinnest: Reading = (moment, figure) =>
  close(Math.min(...readings(moment, figure)), figure.mm, NEAR + 0.25);
/** A place that is parted down is as thick as that on one side of its mark. */
const beside: Reading = (moment, { at, mm }) => {
  const x = ruled(moment, at!.from, at!.mm);
  const { body } = woodIn(moment.after, moment.operation.on[0])!;
  return [-1.2, -0.6, 0.6, 1.2].some((dx) => close(2 * calliper(body, x + dx), mm, 0.15));
};

/** How each figure is held against the wood; those that are not a length of the wood are read elsewhere. */
const READ: Partial<Record<OperationFigure['is'], Reading>> = {
  'cut off': endsThere,
  'off the end': shortened,
  crown: thickest,
  straight: thickest,
  bottom: thinnest,
  'thinner end': thinnest,
  'parted down': beside,
};

const PARTS = STARTING_FORMS.flatMap((form) => {
  const body = { ...form.body({}, 'maple'), hardware: [] };
  return body.parts.map((part) => ({ name: `${form.name}, ${part.name}`, body, part }));
});
const WAYS: MountKind[] = ['between centres', 'chuck'];

function momentsOf(body: (typeof PARTS)[number]['body'], part: (typeof PARTS)[number]['part']): Moment[] {
  return WAYS.flatMap((mount) => {
    const made = routed(body, part, mount);
    if (!made) return [];
    const { before, end } = play(made.route, made.forJudge.lengths);
    return made.route.operations.map((operation, i) => ({
      operation,
      before: before[i]!,
      after: before[i + 1] ?? end,
    }));
  });
}
const holds = (moment: Moment, figure: OperationFigure): boolean =>
  'mm' in figure && (READ[figure.is]?.(moment, figure) ?? true);

describe('the one figure of an operation, read by somebody who has only the wood', () => {
  it.each(PARTS)('of the form $name is what is done, and nothing is 0.0', ({ body, part }) => {
    const moments = momentsOf(body, part);
    expect(moments.length).toBeGreaterThan(20);
    for (const moment of moments) {
      const { figure, id } = moment.operation;
      if (!figure || 'text' in figure) continue;
      expect([id, figure.mm > 0.05 || figure.to !== undefined]).toEqual([id, true]);
      expect([id, figure, holds(moment, figure)]).toEqual([id, figure, true]);
    }
  });

  it('is not what is done when its number, its end or its place is another', () => {
    const { body, part } = PARTS.find(({ name }) => name.startsWith('Tool handle'))!;
    const caught = new Set<string>();
    const read = new Set<string>();
    for (const moment of momentsOf(body, part)) {
      const { figure } = moment.operation;
      if (!figure || 'text' in figure || !READ[figure.is]) continue;
      read.add(figure.is);
      const { from } = figure;
      const other = from === 'first end' ? ('second end' as const) : ('first end' as const);
      const wrong: OperationFigure[] = [
        { ...figure, mm: figure.mm + 1.5 },
        { ...figure, mm: figure.mm - 1.5 },
        ...(from ? [{ ...figure, from: other }] : []),
      ];
      if (wrong.every((w) => !holds(moment, w))) caught.add(figure.is);
    }
    expect([...caught].sort()).toEqual([...read].sort());
    expect(read.size).toBeGreaterThan(4);
  });

  it('is there wherever something is set, cut or drilled', () => {
    for (const { body, part } of PARTS)
      for (const { operation } of momentsOf(body, part))
        if (operation.effects.some((e) => ['stock', 'cut', 'flat', 'drill', 'split', 'free'].includes(e.do)))
          expect([operation.id, operation.figure !== undefined]).toEqual([operation.id, true]);
  });
});
