import { createHash } from 'node:crypto';
import { STARTING_FORMS } from '../pattern/index.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './index.js';
import { ENGINE } from './plan.js';
import engines from './fixtures/engines.json' with { type: 'json' };

/** Six figures: beyond them machines may differ. */
const rounded = (_: string, value: unknown): unknown =>
  typeof value === 'number' ? Number(value.toPrecision(6)) : value;

/** Fingerprint of the plans of every starting form, by each school of speed, plain and with hardware. */
function fingerprint(): string {
  const hash = createHash('sha256');
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
