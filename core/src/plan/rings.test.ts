import { dim } from '../measure/index.js';
import {
  checkPattern,
  outlineOf,
  ringPlace,
  STARTING_FORMS,
  type CaptiveRing,
  type Part,
} from '../pattern/index.js';
import { differences } from '../../test/byHand/all.js';
import { play, standingBefore } from '../route/index.js';
import { routed } from '../../test/exampleRoute.js';
import { exampleInputs } from './exampleShop.js';
import { oddNumbers } from './judged/oddNumbers.js';
import { snapshotOf } from './snapshot.js';

const rattle = () => STARTING_FORMS.find((f) => f.id === 'rattle')!.body({}, 'maple');
const made = (perBlank = 1, mount: 'between centres' | 'chuck' = 'between centres') => {
  const body = rattle();
  return routed(body, body.parts[0], mount, { perBlank })!;
};

describe('rings that are turned round their shaft', () => {
  it.each([
    ['one rattle between centres', 1, 'between centres'],
    ['one in a chuck', 1, 'chuck'],
    ['two rattles from one blank', 2, 'between centres'],
  ] as const)('%s: shaft and rings are as drawn, by play and by the judge', (_, perBlank, mount) => {
    const found = made(perBlank, mount);
    expect([found.stops, found.uncovered]).toEqual([[], []]);
    const seen = differences(found.forJudge, found.route, 1.7);
    // the shaft and both rings of each
    expect(seen).toHaveLength(3 * perBlank);
    expect(seen.map((d) => [d.looked > 500, d.missing, d.extra])).toEqual(seen.map(() => [true, 0, 0]));
  });

  it('each is rounded, sanded and finished before it comes free; the shaft under it is cut after that', () => {
    const { route, forJudge } = made();
    const ids = route.operations.map((o) => o.id);
    const order = [
      'shape:ring1',
      'sanded:ring1',
      'coated:ring1',
      'part:ring1',
      'shape:e3:ring1',
      'sanded:all',
    ];
    const places = order.map((id) => ids.findIndex((own) => own.startsWith(id)));
    expect(places).not.toContain(-1);
    expect(places).toEqual([...places].sort((a, b) => a - b));
    const { locks } = play(route, forJudge.lengths);
    expect(locks.get('part:ring1')!.map((l) => l.op)).toContain('shape:ring1');
    // nothing is freed that was not turned: without its outside there is no ring
    const without = {
      ...route,
      operations: route.operations.filter((o) => !/^(rough|shape:ring1)/.test(o.id)),
    };
    expect(
      play(without, forJudge.lengths)
        .findings.map((f) => f.what)
        .join(),
    ).toContain('There is no ring here');
  });

  it('left out of the route it is missing from what is made', () => {
    const { route, forJudge } = made();
    const stay = route.operations.filter((o) => !o.id.includes('ring2'));
    expect(stay.length).toBeLessThan(route.operations.length - 3);
    const { end } = play({ ...route, operations: stay }, forJudge.lengths);
    expect(end.woods.flatMap((w) => w.pieces.map((p) => p.partId)).sort()).toEqual(['part1', 'ring1']);
  });

  it('hangs round its shaft on the screen at the lathe', () => {
    const inputs = exampleInputs(1);
    inputs.pattern = rattle();
    const [part] = snapshotOf(inputs).plan.parts;
    const before = standingBefore(part.steps, 'part:ring1', 0.5)!;
    expect(before.rings).toEqual([]);
    const { rings, pieceAt } = standingBefore(part.steps, 'shape:e3:ring1', 0.5)!;
    const place = ringPlace(inputs.pattern.parts[0].rings![0]!, part.outline);
    expect(rings).toHaveLength(1);
    expect(Math.max(...rings[0]!.map((p) => 2 * p.outside))).toBeCloseTo(place.outside, 0);
    expect(rings[0]!.every((p) => p.x >= pieceAt + place.x0 - 0.6 && p.x <= pieceAt + place.x1 + 0.6)).toBe(
      true,
    );
  });

  it.each([
    ['without width', { width: dim(0) }],
    ['before the part', { at: dim(-50) }],
    ['beyond it', { at: dim(9999) }],
    ['wider than it', { width: dim(500) }],
    ['without play', { play: dim(-5) }],
    ['larger than any ring', { play: dim(500) }],
  ])('half drawn, %s, it is planned without a number that is none', (_, change) => {
    for (const mount of ['between centres', 'chuck'] as const) {
      const inputs = exampleInputs(1);
      const body = rattle();
      const [ring] = body.parts[0].rings!;
      inputs.pattern = { ...body, parts: [{ ...body.parts[0], rings: [{ ...ring!, ...change }] }] };
      inputs.order.mount = mount;
      expect(checkPattern(inputs.pattern)).not.toEqual([]);
      expect(oddNumbers(snapshotOf(inputs).plan.parts[0].steps)).toEqual([]);
    }
  });

  it('is refused where it cannot be made, would slip off or come apart', () => {
    const why = (change: Partial<CaptiveRing>) => {
      const body = rattle();
      const [part]: [Part, ...Part[]] = body.parts;
      return checkPattern({
        ...body,
        parts: [{ ...part, rings: [{ ...part.rings![0]!, ...change }] }],
      }).map((p) => p.why)[0];
    };
    const { length } = outlineOf(rattle().parts[0].turnings[0]);
    expect(why({})).toBeUndefined();
    expect(why({ at: dim(length) })).toContain('Move it inwards');
    expect(why({ play: dim(0) })).toContain('would not come free');
    expect(why({ across: dim(16) })).toContain('nothing is left of it');
    expect(why({ across: dim(32) })).toContain('Make it wider');
    expect(why({ play: dim(10), across: dim(42) })).toContain('slip off');
    expect(why({ at: dim(33) })).toContain('a hooked tool needs');
  });
});
