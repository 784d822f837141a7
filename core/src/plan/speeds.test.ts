import { materialById } from '../material/index.js';
import { dim } from '../measure/index.js';
import {
  hasWood,
  outlineOf,
  outOf,
  STARTING_FORMS,
  type Body,
  type Part,
  type PatternBody,
  type Placement,
  type Turning,
} from '../pattern/index.js';
import type { MountKind } from '../mounting/index.js';
import { play, type Shop } from '../route/index.js';
import { fastestSlender, keptBelt, speedFor } from '../turning/index.js';
import type { Drive } from '../workshop/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './index.js';
import { routed } from '../../test/exampleRoute.js';

const ANGLES = Array.from({ length: 8 }, (_, i) => (i * Math.PI) / 4);

/** Twice as far as wood is met from an axis, by feeling for it all round at many places; mm. */
function acrossByFeel(body: Body, axis: Placement): number {
  const met = (x: number, r: number) =>
    ANGLES.some((a) => hasWood(body, outOf([x, r * Math.sin(a), r * Math.cos(a)], axis)));
  let most = 0;
  for (let x = -40; x < 700; x += 5) for (let r = 60; r > most / 2; r -= 1) if (met(x, r)) most = 2 * r;
  return most;
}
const alongIt = ({ axis }: NonNullable<Shop['held']>): boolean => Math.abs(axis.along[0]) > 0.9;
const rpmOf = (words: string | undefined): number => Number(words?.split(' ')[0]);

const maple = materialById('maple')!;
const { workshop, schools } = exampleInputs(1);

const WAYS: MountKind[] = ['between centres', 'chuck'];
const PARTS = STARTING_FORMS.flatMap((form) => {
  const body = { ...form.body({}, 'maple'), hardware: [] };
  return body.parts.map((part) => ({ name: `${form.name}, ${part.name}`, body, part }));
});

describe('the speed of an operation', () => {
  it.each(PARTS)('of the form $name is right for the wood as it stands then', ({ body, part }) => {
    let looked = 0;
    for (const mount of WAYS) {
      const made = routed(body, part, mount);
      if (!made) continue;
      const { before } = play(made.route, made.forJudge.lengths);
      let last = '';
      for (const [i, { id, turns, speed }] of made.route.operations.entries()) {
        const { held, woods } = before[i]!;
        const wood = woods.find((w) => w.id === held?.wood);
        // wood only gets less: what was right for it stays right until another speed is set, or it is held anew
        const set = `${turns} ${speed} ${held?.by}`;
        if (!turns || !held || !wood || !alongIt(held) || speed === 'lathe stopped' || set === last) continue;
        last = set;
        // what is felt lies within a millimetre of the edge
        const across = acrossByFeel(wood.body, held.axis);
        const wished = speedFor(turns, Math.max(1, across - 1), maple, workshop, schools.speed, Infinity);
        expect([id, mount, across, speed, rpmOf(speed) <= (wished.rpm ?? 0)]).toEqual([
          id,
          mount,
          across,
          speed,
          true,
        ]);
        looked++;
      }
    }
    expect(looked).toBeGreaterThan(5);
  });

  it('is slower as long as the corners of a square that stays turn with it', () => {
    const leg = STARTING_FORMS.find((f) => f.id === 'leg')!.body({}, 'maple');
    const route = routed(leg, leg.parts[0], 'between centres')!.route.operations;
    const shaping = route.filter((o) => o.turns === 'shape').map((o) => rpmOf(o.speed));
    const [square] = outlineOf(leg.parts[0].turnings[0]).squares ?? [];
    const corners = speedFor('shape', square!.side * Math.SQRT2, maple, workshop, schools.speed, Infinity);
    expect(Math.max(...shaping)).toBeLessThanOrEqual(corners.rpm!);
  });

  it('is no faster than what is long and thin may turn', () => {
    expect([14, 16, 26].map(fastestSlender)).toEqual([Infinity, 2000, 1200]);
  });
});

describe('what does not run round', () => {
  const range: Drive = { kind: 'range', slowest: 250, fastest: 3600 };
  const onRange = { ...workshop, lathe: { ...workshop.lathe, drive: range } };
  const hooked = (shift: number): PatternBody => {
    const { pattern } = exampleInputs(1);
    const body = { kind: 'cylinder' as const, id: 'body', length: dim(70) };
    const hook: Turning = {
      id: 't2',
      startDiameter: dim(10),
      axis: { shift: dim(shift), direction: 0, tilt: 0, along: dim(20) },
      elements: [{ kind: 'cylinder', id: 'hook', length: dim(10) }],
    };
    const turnings: Part['turnings'] = [{ id: 't1', startDiameter: dim(18), elements: [body] }, hook];
    const [part] = pattern.parts;
    return { ...pattern, kind: 'other', hardware: [], joins: [], parts: [{ ...part, holes: [], turnings }] };
  };

  it('is turned off its axis at a thousand at most, however thin it is, and is rubbed no faster', () => {
    const { stock, order } = exampleInputs(1);
    const { steps } = plan(hooked(3), onRange, stock, { ...order, mount: null }, schools).parts[0];
    const off = steps.flatMap(({ operation: o }) => (o?.turns === 'turn off axis' ? [o] : []));
    expect(off.map((o) => o.kind)).toEqual(['turn about a further axis', 'sand a further axis']);
    expect(off.every((o) => (o.rpm ?? 0) > 0 && (o.rpm ?? 0) <= 1000)).toBe(true);
    expect(steps.find((s) => s.operation?.turns === 'shape')?.operation?.rpm).toBeGreaterThan(1000);
  });

  it('is switched on at the slowest that a lathe with a range goes, and the step says how slow', () => {
    const { stock, order } = exampleInputs(1);
    const said = (shop: typeof workshop) =>
      plan(hooked(3), shop, stock, { ...order, mount: null }, schools)
        .parts[0].steps.filter((s) => s.words.some((w) => w.startsWith('Switch on at 250 rpm')))
        .map((s) => s.operation?.kind);
    expect(said(onRange)).toEqual(['rough', 'turn about a further axis']);
    expect(said({ ...workshop, lathe: { ...workshop.lathe, drive: { kind: 'treadle' } } })).toEqual([]);
  });
});

describe('the belt of a lathe', () => {
  const belt: Drive = { kind: 'pulleys', speeds: [450, 800, 1250, 1900] };
  const on = (drive: Drive) => ({ ...workshop, lathe: { ...workshop.lathe, drive } });
  const choice = (fastest: number) => speedFor('shape', 20, maple, on(belt), schools.speed, fastest);

  it('stays where it is for a little less than is wished, and is changed for much less or for more', () => {
    expect(choice(1300).rpm).toBe(1250);
    expect(keptBelt(choice(1300), 1250, belt)).toMatchObject({ rpm: 1250, words: '1250 rpm' });
    // 800 is 0.64 of 1250: it is worth the change
    expect(keptBelt(choice(1300), 800, belt).rpm).toBe(1250);
    // 1250 is 0.66 of 1900: it is not
    expect(keptBelt(choice(1900), 1250, belt).rpm).toBe(1250);
    // what would be too fast is never kept
    expect(keptBelt(choice(1300), 1900, belt).rpm).toBe(1250);
  });

  it('is not changed to mark: there the lathe stands, and one with a range goes as slowly as it can', () => {
    const to = (drive: Drive) => speedFor('mark', 40, maple, on(drive), schools.speed, Infinity);
    expect(to(belt)).toMatchObject({ rpm: 0, words: 'lathe stopped' });
    expect(to({ kind: 'range', slowest: 120, fastest: 3000 })).toMatchObject({ rpm: 120, words: '120 rpm' });
    expect(to(belt).figure.working.rule).toContain('As slowly as the lathe goes');
    const dye = speedFor('dye', 20, maple, on(belt), schools.speed, Infinity);
    expect(dye.figure.working.inputs).toContainEqual({ label: 'at most', value: 300, unit: 'rpm' });
  });
});
