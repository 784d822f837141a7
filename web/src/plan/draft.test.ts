import { newWorkshop, STARTING_FORMS } from '@compas/core';
import { draftFrom, drillChoices, keyFor, withDrillChoice } from './draft.js';

const pattern = STARTING_FORMS[0].body({}, 'maple');
const workshop = {
  ...newWorkshop('Europe/Berlin', 'mm'),
  finishes: [
    { id: 'polish', name: 'Polish', kind: 'friction polish' as const, coats: 1 },
    { id: 'wax', name: 'Wax', kind: 'wax' as const, coats: 1 },
  ],
};
const noon = Date.UTC(2026, 2, 2, 11, 20);
const draft = (search: string) => draftFrom(new URLSearchParams(search), pattern, workshop, noon);

describe('a draft read from the address', () => {
  it('is as the workshop usually does it when nothing is said', () => {
    expect(draft('')).toEqual({
      order: {
        pieces: 12,
        start: '2026-03-02T13:00',
        due: null,
        materialId: 'maple',
        finishId: 'polish',
        perBlank: 1,
        mount: null,
      },
      schools: { speed: 'rpm-diameter', batching: 'by-operation' },
    });
  });

  it('takes every choice that is there', () => {
    const { order, schools } = draft(
      'pieces=30&for=Inn&due=2026-04-01&material=walnut&finish=wax&speed=surface-speed&by=piece&mount=chuck&per=2&start=2026-03-09T08:00',
    );
    expect(order).toEqual({
      pieces: 30,
      start: '2026-03-09T08:00',
      due: '2026-04-01',
      materialId: 'walnut',
      finishId: 'wax',
      perBlank: 2,
      mount: 'chuck',
    });
    expect(schools).toEqual({ speed: 'surface-speed', batching: 'by-piece' });
  });

  it('knows that it is turned green only where that is said', () => {
    expect(draft('green=yes').order.green).toBe(true);
    expect(draft('green=perhaps').order).not.toHaveProperty('green');
  });

  it('tells no finish from the usual one', () => {
    expect(draft('finish=none').order.finishId).toBeNull();
    expect(draft('finish=gone').order.finishId).toBe('polish');
  });

  it.each(['pieces=0', 'pieces=-3', 'pieces=1.5', 'pieces=many'])('does not believe %s', (search) =>
    expect(draft(search).order.pieces).toBe(12),
  );

  it('keeps to what the server takes', () => {
    expect(draft('pieces=999999').order.pieces).toBe(2000);
    expect(draft('material=unobtainium&mount=magnet').order).toMatchObject({
      materialId: 'maple',
      mount: null,
    });
  });
});

describe('a draft of an item of several parts', () => {
  const top = STARTING_FORMS.find((f) => f.id === 'launched-top')!.body({}, 'maple');
  const of = (search: string) => draftFrom(new URLSearchParams(search), top, workshop, noon).order;

  it('makes whole items, each part with choices of its own', () => {
    const { others, ...first } = of('material=ash&material.part2=walnut&finish.part2=none&per.part2=2');
    expect(first).toMatchObject({ materialId: 'ash', finishId: 'polish', perBlank: 1 });
    expect(first).not.toHaveProperty('partId');
    expect(others).toEqual([
      { partId: 'part2', materialId: 'walnut', finishId: null, perBlank: 2, mount: null },
    ]);
  });

  it('makes one part alone where that is said, by the choices of the first', () => {
    const order = of('part=part2&material=walnut');
    expect(order).toMatchObject({ partId: 'part2', materialId: 'walnut' });
    expect(order).not.toHaveProperty('others');
    expect(of('part=lid')).toHaveProperty('others');
  });

  it('keeps apart in the address what belongs to a part, and not what belongs to the order', () => {
    expect(keyFor('mount', 'part2', 'part1')).toBe('mount.part2');
    expect(keyFor('mount', 'part1', 'part1')).toBe('mount');
    expect(keyFor('pieces', 'part2', 'part1')).toBe('pieces');
    expect(of('mount.part2=chuck').others?.[0]?.mount).toBe('chuck');
  });
});

describe('choices for single holes', () => {
  const bored = { holeId: 'kit:reference', moment: 'after rounding' as const, setup: 'tailstock' as const };

  it('come back from the address as they went in, one for each hole', () => {
    const text = withDrillChoice([{ holeId: 'cord', moment: 'after parting' }, bored], {
      ...bored,
      setup: 'headstock',
    });
    expect(drillChoices(text)).toEqual([
      { holeId: 'cord', moment: 'after parting' },
      { ...bored, setup: 'headstock' },
    ]);
  });

  it('that nobody knows are left out', () => {
    expect(drillChoices('x!at noon!by hand;y!after shaping!')).toEqual([
      { holeId: 'y', moment: 'after shaping' },
    ]);
    expect(drillChoices(null)).toEqual([]);
  });

  it('stand in the order with the way of fitting, the form of the stock and the datum', () => {
    const { order } = draft(
      'fit=glued&form=round&datum=e3.end&holes=h!after%20shaping!tailstock&mount=dowel',
    );
    expect(order).toMatchObject({
      fitting: 'glued',
      stockForm: 'round',
      datum: 'e3.end',
      drilling: [{ holeId: 'h', moment: 'after shaping', setup: 'tailstock' }],
      mount: 'dowel',
    });
    expect(draft('fit=nailed&form=wet').order).not.toHaveProperty('fitting');
  });
});

describe('what is chosen for good', () => {
  const way = (decides: object) =>
    ({ id: 'w', decides, why: '', by: 'Ines', at: '2026-03-01T08:00:00.000Z' }) as never;
  const [part] = pattern.parts;
  const lasting = {
    ...pattern,
    parts: [
      {
        ...part,
        ways: [
          way({ kind: 'hold', mount: 'chuck' }),
          way({ kind: 'drill', holeId: 'h1', moment: 'after shaping', setup: 'tailstock' }),
        ],
      },
    ],
  } as typeof pattern;
  const orderOf = (search: string, ways: never[] = []) =>
    draftFrom(new URLSearchParams(search), lasting, { ...workshop, ways }, Date.UTC(2026, 2, 2, 12)).order;

  it('is chosen by every order that says nothing', () => {
    const none = way({ kind: 'finish', finishId: null });
    expect(orderOf('')).toMatchObject({ mount: 'chuck', finishId: 'polish' });
    expect(orderOf('', [none])).toMatchObject({ mount: 'chuck', finishId: null });
    expect(orderOf('').drilling).toEqual([{ holeId: 'h1', moment: 'after shaping', setup: 'tailstock' }]);
  });

  it('gives way to what the order says', () => {
    const none = way({ kind: 'finish', finishId: null });
    const said = orderOf('mount=screw&finish=wax&holes=h1!square blank!drill press', [none]);
    expect(said).toMatchObject({ mount: 'screw', finishId: 'wax' });
    expect(said.drilling).toEqual([{ holeId: 'h1', moment: 'square blank', setup: 'drill press' }]);
  });
});
