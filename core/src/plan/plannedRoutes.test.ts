import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { STARTING_FORMS } from '../pattern/index.js';
import { differences } from '../../test/byHand/all.js';
import { routeText } from '../route/index.js';
import { routed } from '../../test/exampleRoute.js';

/** Hard things as the planner makes them, judged, and kept as text that was read by a person. */
describe.each([
  { name: 'scoop with its bowl across', form: 'scoop', perBlank: 1, mount: 'between centres', pieces: 1 },
  {
    name: 'two rattles with rings from one green blank',
    form: 'rattle',
    perBlank: 2,
    mount: 'between centres',
    pieces: 6,
  },
  { name: 'two finials from one blank, in a chuck', form: 'finial', perBlank: 2, mount: 'chuck', pieces: 2 },
] as const)('the planned route of a $name', ({ name, form, perBlank, mount, pieces }) => {
  const body = STARTING_FORMS.find((f) => f.id === form)!.body({}, 'maple');
  const made = routed({ ...body, hardware: [] }, body.parts[0], mount, {
    perBlank,
    green: name.includes('green'),
  })!;

  it('plays, covers what is drawn, and makes it on a lathe that knows only what is said', () => {
    expect([made.stops, made.uncovered]).toEqual([[], []]);
    const found = differences(made.forJudge, made.route, 2.1);
    expect(found).toHaveLength(pieces);
    expect(found.every((d) => d.missing === 0 && d.extra === 0)).toBe(true);
  });

  it('reads as it was read by a person', () => {
    const file = join(__dirname, 'fixtures', 'routes', `${name}.txt`);
    const text = routeText(made.route, made.forJudge.lengths);
    if (process.env['WRITE_ROUTES'] !== undefined || !existsSync(file)) writeFileSync(file, text);
    expect(text).toBe(readFileSync(file, 'utf8'));
  });
});
