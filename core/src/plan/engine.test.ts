import { createHash } from 'node:crypto';
import { freshKit, KIT_KIND_LIST } from '../hardware/index.js';
import { dim } from '../measure/index.js';
import { STARTING_FORMS, type Hole, type PartEnd } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './index.js';
import { ENGINE } from './plan.js';
import engines from './fixtures/engines.json' with { type: 'json' };

/** Six figures: beyond them machines may differ. */
const rounded = (_: string, value: unknown): unknown =>
  typeof value === 'number' ? Number(value.toPrecision(6)) : value;

const socketAt = (from: PartEnd, i: number): Hole => ({
  id: `drawn${i}`,
  name: 'drawn hole',
  from,
  through: false,
  pointAngle: 118,
  steps: [{ diameter: dim(6), depth: dim(10) }],
});

/** Plans of a handle on every kind of hardware: what each asks of the wood. */
function* onEveryKit(): Generator<object> {
  const { workshop, stock, order, schools } = exampleInputs(4);
  const [form] = STARTING_FORMS.filter((f) => f.id === 'tool-handle');
  for (const kind of KIT_KIND_LIST) {
    const kit = { ...freshKit(kind), id: 'k' };
    const body = form?.body({}, 'ash') ?? exampleInputs(4).pattern;
    const hardware = [{ id: 'h1', kitId: 'k', partId: body.parts[0].id, end: 'reference' as const }];
    const { engine: _, ...made } = plan(
      { ...body, hardware },
      workshop,
      { ...stock, kits: [kit] },
      order,
      schools,
    );
    yield made;
  }
}

/**
 * Fingerprint of the plans of every starting form, by each school of speed, plain and with hardware, of a
 * handle on every kind of hardware, and of one whose hardware bores a hole that is drawn as well.
 */
function fingerprint(): string {
  const hash = createHash('sha256');
  for (const made of onEveryKit()) hash.update(JSON.stringify(made, rounded));
  const { pattern, workshop, stock, order, schools } = exampleInputs(12);
  for (const form of STARTING_FORMS)
    for (const speed of ['rpm-diameter', 'surface-speed'] as const) {
      const body = form.body({}, 'maple');
      const { engine: _, ...made } = plan(
        { ...body, hardware: form.id === 'stopper' ? pattern.hardware : [] },
        workshop,
        stock,
        order,
        { ...schools, speed },
      );
      hash.update(JSON.stringify(made, rounded));
    }
  const drawn = pattern.hardware.map(({ end }, i) => socketAt(end, i));
  const [body, ...others] = pattern.parts;
  const parts: typeof pattern.parts = [{ ...body, holes: [...body.holes, ...drawn] }, ...others];
  const { engine: _, ...bored } = plan({ ...pattern, parts }, workshop, stock, order, schools);
  hash.update(JSON.stringify(bored, rounded));
  return hash.digest('hex').slice(0, 16);
}

// the one place where what the rules gave is what they must give: it only says that they changed
it('the engine has a number of its own for the rules as they are', () => {
  const known: Record<string, string> = engines;
  const now = fingerprint();
  const made = { engine: ENGINE, fingerprint: now };
  expect(made).toEqual({ engine: ENGINE, fingerprint: known[ENGINE] });
  const numbers = Object.keys(known);
  expect(numbers.filter((n) => known[n] === now)).toEqual([ENGINE]);
  expect(Math.max(...numbers.map(Number))).toBe(Number(ENGINE));
});
