import { stepDoes } from '../route/index.js';
import fc from 'fast-check';
import { freshKit, KIT_KIND_LIST } from '../hardware/index.js';
import { MATERIALS } from '../material/index.js';
import { DRILL_MOMENTS } from '../measure/index.js';
import { STARTING_FORMS } from '../pattern/index.js';
import { plan } from '../plan/index.js';
import { exampleInputs } from '../plan/exampleShop.js';
import { GLUE_KINDS, type Glue } from '../workshop/index.js';

const wished = fc.record({
  form: fc.constantFrom(...STARTING_FORMS),
  material: fc.constantFrom(...MATERIALS),
  kits: fc.uniqueArray(fc.constantFrom(...KIT_KIND_LIST), { maxLength: 2 }),
  finish: fc.constantFrom('polish', 'oil', 'wax', null),
  moment: fc.constantFrom(...DRILL_MOMENTS),
  pieces: fc.integer({ min: 1, max: 40 }),
});
const glues: Glue[] = GLUE_KINDS.map((kind) => ({ id: kind, name: kind, kind, cureMinutes: 60 }));

/** Any plan that the shop of the examples can make. */
const planned = wished.map(({ form, material, kits, finish, moment, pieces }) => {
  const { workshop, stock, order, schools } = exampleInputs(pieces);
  const owned = kits.map((kind, i) => ({ ...freshKit(kind), id: `k${i}`, onHand: 99 }));
  const hardware = owned.map((kit, i) => ({
    id: `h${i}`,
    kitId: kit.id,
    partId: 'part1',
    end: i === 0 ? ('reference' as const) : ('far' as const),
  }));
  const [part] = plan(
    { ...form.body({}, material.id), hardware },
    { ...workshop, glues },
    { ...stock, kits: owned },
    { ...order, materialId: material.id, finishId: finish },
    { ...schools, drilling: moment },
  ).parts;
  return part;
});

it('cautions stand once each, at steps that are there, with whole sentences', () =>
  fc.assert(
    fc.property(planned, ({ cautions, steps }) => {
      const ids = new Set(steps.map((s) => s.id));
      expect(new Set(cautions.map((c) => c.id)).size).toBe(cautions.length);
      for (const caution of cautions) {
        expect(caution.stepIds.length).toBeGreaterThan(0);
        for (const id of caution.stepIds) expect(ids.has(id)).toBe(true);
        expect(caution.words).toMatch(/^[A-Z].*\.$/);
      }
    }),
    { numRuns: 60 },
  ));

it('each step that glues has the caution of its glue, and no other step has one', () =>
  fc.assert(
    fc.property(planned, ({ cautions, joins, steps }) => {
      const at = (id: string) => cautions.find((c) => c.id === id)?.stepIds ?? [];
      const with_ = (...kinds: string[]) =>
        joins
          .filter((j) => kinds.includes(j.glueKind ?? ''))
          .map((j) => `join:${j.id}`)
          .filter((id) => steps.some((s) => s.id === id));
      expect([...at('glue-gloves')].sort()).toEqual(with_('epoxy', 'foaming').sort());
      expect([...at('glue-fumes')].sort()).toEqual(with_('cyanoacrylate').sort());
    }),
    { numRuns: 60 },
  ));

it('whatever is mounted asks for the shield before it is roughed', () =>
  fc.assert(
    fc.property(planned, ({ cautions, steps }) => {
      const shield = cautions.find((c) => c.id === 'shield')?.stepIds ?? [];
      const roughed = steps.filter((s) => stepDoes(s, 'rough'));
      for (const { id } of roughed) expect(shield).toContain(id);
    }),
    { numRuns: 30 },
  ));
