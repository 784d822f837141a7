import { withWay, type Decision, type Habit } from '../../workshop/index.js';
import { base, way } from '../../../test/exampleWays.js';
import { plan, usualChoices } from '../index.js';

const [part] = base.pattern.parts;
const { workshop, pattern } = base;
const chosen = (habits: Habit[], ofPattern: Habit[] = [], materialId = 'maple') =>
  usualChoices({ ...part, ways: ofPattern }, pattern, materialId, { ...workshop, ways: habits });

const CHUCK: Decision = { kind: 'hold', mount: 'chuck' };
const SCREW: Decision = { kind: 'hold', mount: 'screw' };

describe('what is always chosen', () => {
  it('is nothing where nothing was decided', () => {
    expect(chosen([])).toEqual({ choices: {}, from: [] });
  });

  it('is what is decided narrowest: pattern, kind of item, wood, workshop', () => {
    const everywhere = way(CHUCK);
    const inMaple = way(SCREW, { materialId: 'maple' });
    const stoppers = way({ kind: 'hold', mount: 'collet' }, { itemKind: pattern.kind });
    const own = way({ kind: 'hold', mount: 'cups' });
    expect(chosen([everywhere]).choices.mount).toBe('chuck');
    expect(chosen([everywhere, inMaple]).choices.mount).toBe('screw');
    expect(chosen([everywhere, inMaple], [], 'ash').choices.mount).toBe('chuck');
    expect(chosen([everywhere, inMaple, stoppers]).choices.mount).toBe('collet');
    const all = chosen([everywhere, inMaple, stoppers], [own]);
    expect(all.choices.mount).toBe('cups');
    expect(all.from.map((f) => f.scope)).toEqual(['pattern', 'kind', 'material', 'workshop']);
  });

  it('is of every kind of choice, the holes each for itself', () => {
    const finish = workshop.finishes[0]!.id;
    const { choices } = chosen(
      [way({ kind: 'finish', finishId: finish }), way({ kind: 'form', stockForm: 'oval' })],
      [
        way({ kind: 'fitting', way: 'glued' }),
        way({ kind: 'datum', markId: 'e2.end' }),
        way({ kind: 'drill', holeId: 'a', moment: 'after rounding', setup: 'tailstock' }),
        way({ kind: 'drill', holeId: 'b', moment: 'square blank', setup: 'drill press' }),
      ],
    );
    expect(choices).toEqual({
      finishId: finish,
      stockForm: 'oval',
      fitting: 'glued',
      datum: 'e2.end',
      drilling: expect.arrayContaining([
        { holeId: 'a', moment: 'after rounding', setup: 'tailstock' },
        { holeId: 'b', moment: 'square blank', setup: 'drill press' },
      ]) as unknown,
    });
    expect(chosen([way({ kind: 'finish', finishId: null })]).choices).toEqual({ finishId: null });
  });

  it('passes over what the workshop no longer has, and takes the wider one', () => {
    const gone = way({ kind: 'finish', finishId: 'sold out' });
    const wider = way({ kind: 'finish', finishId: null });
    expect(chosen([wider], [gone]).choices).toEqual({ finishId: null });
    expect(chosen([way({ kind: 'hold', mount: 'a nail' })]).choices).toEqual({});
  });

  it('is not looked for by the plan itself: an order says what it chose, and nothing is without a place', () => {
    const made = plan(
      { ...pattern, parts: [{ ...part, ways: [way(CHUCK)] }] },
      workshop,
      base.stock,
      base.order,
      base.schools,
    );
    expect(made.parts[0].homeless).toBeUndefined();
    expect(made.parts[0].mount.kind).toBe(
      plan(pattern, workshop, base.stock, base.order, base.schools).parts[0].mount.kind,
    );
  });
});

describe('one habit in the place of another', () => {
  const NONE: Decision = { kind: 'grits', grits: [], burnish: false };
  it('is that of the same wood and kind of item, and leaves the others', () => {
    const [maple, ash, all] = [
      way(NONE, { materialId: 'maple' }),
      way(NONE, { materialId: 'ash' }),
      way(NONE),
    ];
    const newer = way({ ...NONE, burnish: true }, { materialId: 'maple' });
    const kept = [maple, ash, all].reduce<Habit[]>((ways, one) => withWay(ways, one), []);
    expect(kept).toEqual([maple, ash, all]);
    expect(withWay(kept, newer)).toEqual([ash, all, newer]);
    const handles = way(NONE, { itemKind: 'handle' });
    expect(withWay(kept, handles)).toEqual([maple, ash, all, handles]);
  });
});
