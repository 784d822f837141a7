import { dim } from '../measure/index.js';
import { ITEM_KINDS, outlineOf, STARTING_FORMS, type PatternBody } from '../pattern/index.js';
import { exampleInputs } from '../plan/exampleShop.js';
import { plan } from '../plan/index.js';
import { bodyOnKit, freshKit, givenByKit, KIT_KIND_LIST, kitsByUse, type Kit } from './index.js';

const kitOf = (kind: Kit['kind'], rest: object = {}): Kit => ({ ...freshKit(kind), id: kind, ...rest });
const formOf = (id: string) => STARTING_FORMS.find((f) => f.id === id) ?? STARTING_FORMS[0];
const made = (pattern: PatternBody, kits: Kit[]) => {
  const { workshop, stock, order, schools } = exampleInputs(2);
  return plan(pattern, workshop, { ...stock, kits }, order, schools);
};
const every = KIT_KIND_LIST.map((kind) => kitOf(kind));

describe('a form made for hardware', () => {
  const seated = STARTING_FORMS.flatMap((form) =>
    every
      .filter((kit) => givenByKit(form, kit) !== null)
      .map((kit) => [form.id, kit.kind, form, kit] as const),
  );

  it('there is one for every kind that goes on a handle or a stopper', () =>
    expect(new Set(seated.map(([, kind]) => kind)).size).toBe(8));

  it.each(seated)('%s on %s takes its sizes, asks no more for them, and bores one hole only', (...args) => {
    const [, , form, kit] = args;
    const given = givenByKit(form, kit) ?? {};
    expect(Object.keys(given).every((key) => form.questions.some((q) => q.key === key))).toBe(true);
    const body = bodyOnKit(form, kit, {}, 'ash');
    expect(body.hardware).toEqual([{ id: 'h1', kitId: kit.id, partId: 'part1', end: 'reference' }]);
    const planned = made(body, [kit]);
    const [part] = planned.parts;
    expect(part.drilling.every((o) => o.id.startsWith(kit.id))).toBe(true);
    expect(planned.findings.filter((f) => /^pattern\.(mating|tenon|cone)/.test(f.id))).toEqual([]);
  });

  it('is as thick where the hardware meets it as the hardware', () => {
    const on = (id: string, kit: Kit) =>
      outlineOf(bodyOnKit(formOf(id), kit, {}, 'ash').parts[0].turnings[0]);
    expect(on('stopper', kitOf('tapped-insert', { baseDiameter: dim(29) })).segments[0]?.r0).toBe(14.5);
    expect(on('stopper', kitOf('glue-in-stud', { discDiameter: dim(36) })).segments[0]?.r0).toBe(18);
    const ferrule = on(
      'tool-handle',
      kitOf('ferrule', { bore: dim(16), outsideDiameter: dim(18), length: dim(15) }),
    );
    expect(ferrule.segments[0]).toMatchObject({ r0: 8, x1: 15 });
    expect(ferrule.segments.find((s) => s.x0 === 15 && s.x1 > 15)?.r0).toBe(9);
  });

  it('that has no place on the form leaves the form as it is', () => {
    const form = formOf('ball');
    expect(givenByKit(form, kitOf('ferrule'))).toBeNull();
    expect(bodyOnKit(form, kitOf('ferrule'), {}, 'ash')).toEqual(form.body({}, 'ash'));
  });
});

describe('hardware in a list', () => {
  it.each(ITEM_KINDS)('of a %s comes with what is usual first, and nothing is left out', (kind) => {
    const { usual, others } = kitsByUse(every, kind);
    expect([...usual, ...others].map((k) => k.kind).sort()).toEqual([...KIT_KIND_LIST].sort());
    if (kind === 'handle') expect(usual[0]?.kind).toBe('ferrule');
  });
});

describe('two kits on one end', () => {
  it('a ring outside and a rod within are both made', () => {
    const [ring, rod] = [kitOf('ring', { bore: dim(20), length: dim(18) }), kitOf('rod')];
    const body = bodyOnKit(formOf('tool-handle'), ring, {}, 'ash');
    const both = { ...body, hardware: [...body.hardware, { ...body.hardware[0]!, id: 'h2', kitId: rod.id }] };
    const planned = made(both, [ring, rod]);
    const words = planned.parts[0].steps.map((s) => s.title).join(' ');
    expect(words).toContain('rod');
    expect(words).toContain('ring');
    expect(planned.parts[0].drilling).toHaveLength(1);
    expect(planned.findings.filter((f) => f.severity === 'stop')).toEqual([]);
  });
});
