import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { BY_HAND, differences } from '../../test/byHand/all.js';
import { covers } from './covers.js';
import { play } from './play.js';
import { routeText } from './routeText.js';

describe.each(BY_HAND)('the route of a $name written by hand', (one) => {
  const route = one.route();

  it('plays without a Stop, and what is left is what is drawn', () => {
    const played = play(route, one.lengths);
    expect(played.findings).toEqual([]);
    expect(covers(played.end, one.pattern.parts)).toEqual([]);
  });

  it('makes the drawn piece on a lathe that knows only what is said', () => {
    for (const { looked, missing, extra } of differences(one, route, 1.7)) {
      expect(looked).toBeGreaterThan(2_000);
      expect({ missing, extra }).toEqual({ missing: 0, extra: 0 });
    }
  });

  it('reads as it was read by a person', () => {
    const file = join(__dirname, 'fixtures', `${one.name}.txt`);
    const text = routeText(route, one.lengths);
    if (process.env['WRITE_ROUTES'] !== undefined || !existsSync(file)) writeFileSync(file, text);
    expect(text).toBe(readFileSync(file, 'utf8'));
  });
});
