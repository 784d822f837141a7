import { dim } from '../measure/index.js';
import type { MountKind } from '../mounting/index.js';
import type { Element, Part, PatternBody } from '../pattern/index.js';
import { routed, workshopFor } from '../../test/exampleRoute.js';
import { exampleInputs } from './exampleShop.js';
import { planPart } from './part/planPart.js';
import { routeWork } from './part/routeWork.js';

describe('single hard things', () => {
  const body: PatternBody = { ...exampleInputs(1).pattern, hardware: [], kind: 'other' };
  const shaft = (elements: Element[], start: number, rest: Partial<Part> = {}): Part => ({
    id: 'p',
    name: 'Part',
    perItem: 1,
    materialId: 'maple',
    turnings: [{ id: 't1', startDiameter: dim(start), elements }],
    holes: [],
    ...rest,
  });
  const cone: Element = { kind: 'taper', id: 'a', length: dim(60), endDiameter: dim(20) };
  const good = (part: Part, mount: MountKind) => {
    const made = routed({ ...body, parts: [part] }, part, mount)!;
    expect([made.stops, made.uncovered]).toEqual([[], []]);
    return made;
  };

  it.each([0, 45, 100])('a blind hole across a cone, at %i°, is as deep as it is drawn', (angle) => {
    const hole = {
      id: 'x',
      name: 'cross',
      from: 'reference' as const,
      at: dim(30),
      angle,
      diameter: dim(4),
      through: false,
      depth: dim(6),
    };
    const { route } = good(shaft([cone], 34, { crossHoles: [hole] }), 'between centres');
    const bored = route.operations.find((o) => o.id === 'bore:x')!;
    const deep = bored.said.find((s) => s.name === 'deep from the surface')!.mm;
    // the cone is 27 thick there; in the diagonal of the square there is more to turn away
    expect(deep).toBeGreaterThan(6);
    if (angle === 45) expect(deep).toBeGreaterThan(6 + 5);
  });

  it('a second axis that leans, also on a piece that is not sanded', () => {
    const axis = { shift: dim(2), direction: 30, tilt: 1.5, along: dim(20) };
    const further = {
      id: 't2',
      startDiameter: dim(27),
      axis,
      elements: [{ kind: 'cylinder' as const, id: 'f', length: dim(15) }],
    };
    const part = shaft([{ kind: 'cylinder', id: 'c', length: dim(60) }], 30);
    part.turnings.push(further);
    const { operations } = good(part, 'between centres').route;
    const order = operations.map((o) => o.id);
    // the second marks lie where the axis it turns about meets both end faces
    const taken = operations.find((o) => o.id.startsWith('hold:shifted centres'))!;
    const { at, along } = taken.effects.flatMap((e) => (e.do === 'hold' && e.held ? [e.held.axis] : []))[0]!;
    const blank = operations.flatMap((o) =>
      o.effects.flatMap((e) =>
        e.do === 'stock' && e.wood.body.form.kind !== 'joined' ? [e.wood.body.form] : [],
      ),
    )[0] as { length: number };
    const off = (x: number) =>
      Math.hypot(...([1, 2] as const).map((i) => at[i] + ((x - at[0]) / along[0]) * along[i]));
    const told = [...taken.words[0]!.matchAll(/⟦([\d.]+)⟧/g)].map((m) => Number(m[1]));
    expect(told).toHaveLength(2);
    // they are laid off with the first ones, while both ends are square
    expect(operations.find((o) => o.id === 'mark:centres')!.words).toContain(taken.words[0]);
    [off(0), off(blank.length)].forEach((mm, i) => expect(told[i]).toBeCloseTo(mm, 2));
    // what comes after the further axis is about the first again
    const again = order.indexOf('hold:centres:again');
    expect(again).toBeGreaterThan(order.findIndex((id) => id.startsWith('shape:t2')));
    expect(again).toBeLessThan(order.findIndex((id) => id.startsWith('nib:')));
  });

  it('a tip at the jaws is turned after everything else: it is all that holds the piece', () => {
    const pointed = shaft(
      [
        { kind: 'taper', id: 'p1', length: dim(20), endDiameter: dim(26) },
        { kind: 'cylinder', id: 'c', length: dim(40) },
      ],
      0,
    );
    const order = good(pointed, 'chuck').route.operations.map((o) => o.id);
    const tip = order.findIndex((id) => id.startsWith('shape:reference tip'));
    expect(tip).toBeGreaterThan(order.findIndex((id) => id.startsWith('coated:')));
    expect(order[tip + 1]).toBe('part:reference end');
  });

  it('each kit goes into its own end', () => {
    const base = exampleInputs(1);
    const kits = [base.stock.kits[0]!, { ...base.stock.kits[0]!, id: 'other' }];
    const part = shaft([{ kind: 'cylinder', id: 'c', length: dim(90) }], 32);
    const hardware = [
      { id: 'h1', kitId: kits[0]!.id, partId: 'p', end: 'reference' as const },
      { id: 'h2', kitId: 'other', partId: 'p', end: 'far' as const },
    ];
    const inputs = {
      ...base,
      stock: { kits },
      workshop: workshopFor(body),
      pattern: { ...body, parts: [part] as [Part], hardware },
    };
    const { fits } = routeWork(part, planPart(part, inputs).plan, inputs);
    expect(new Set(fits.map((f) => `${f.kitId} ${f.end}`))).toEqual(new Set(['kit reference', 'other far']));
    expect(new Set(fits.map((f) => f.id)).size).toBe(fits.length);
  });
});
