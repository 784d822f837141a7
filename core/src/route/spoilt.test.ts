import { BY_HAND, differences, type ByHand } from '../../test/byHand/all.js';
import { covers } from './covers.js';
import type { Effect } from './effect.js';
import type { Operation, Route } from './operation.js';
import { play } from './play.js';

const [stopper, top, scoop] = BY_HAND;

const without = (id: string) => (ops: Operation[]) => ops.filter((o) => o.id !== id);
/** One operation moved to stand just before or after another. */
const moved = (id: string, where: 'before' | 'after', other: string) => (ops: Operation[]) => {
  const one = ops.find((o) => o.id === id)!;
  return without(id)(ops).flatMap((o) => (o.id !== other ? [o] : where === 'before' ? [one, o] : [o, one]));
};
const changed = (id: string, change: (o: Operation) => Operation) => (ops: Operation[]) =>
  ops.map((o) => (o.id === id ? change(o) : o));
const effects = (id: string, change: (e: Effect) => Effect) =>
  changed(id, (o) => ({ ...o, effects: o.effects.map(change) }));

/** A route with something wrong in it, and all that is said against it. */
function spoilt(one: ByHand, spoil: (ops: Operation[]) => Operation[]) {
  const route: Route = { schema: 2, operations: spoil(one.route().operations) };
  const played = play(route, one.lengths);
  const said = (findings: { what: string }[]) => findings.map((f) => f.what).join(' | ');
  return {
    route,
    played,
    stops: said(played.findings),
    uncovered: said(covers(played.end, one.pattern.parts)),
  };
}
const differ = (one: ByHand, route: Route) =>
  differences(one, route, 2.3).reduce((sum, d) => sum + d.missing + d.extra, 0);

describe('a spoilt route is caught', () => {
  it('that turns between centres with the tailstock away', () => {
    const { stops } = spoilt(
      top,
      effects('hold:centres:launcher blank', (e) =>
        e.do === 'hold' && e.held ? { ...e, held: { ...e.held, tail: null } } : e,
      ),
    );
    expect(stops).toContain('Rough to round: Tail away while between centres: nothing holds it.');
  });

  it('that grips a tenon which is turned one step later', () => {
    const { stops } = spoilt(top, moved('tenon:jaws', 'after', 'hold:chuck:top'));
    expect(stops).toContain('the 15 mm jaws grips what is not there.');
  });

  it('that forgets the waste before a cross hole', () => {
    const at = (e: Effect): Effect =>
      e.do === 'drill'
        ? { ...e, hole: { ...e.hole, at: { ...e.hole.at, at: [15, e.hole.at.at[1], e.hole.at.at[2]] } } }
        : e;
    const told = (o: Operation): Operation => ({
      ...o,
      said: o.said.map((s) => (s.name === 'across at' ? { ...s, mm: 15 } : s)),
      effects: o.effects.map(at),
    });
    const { route, uncovered } = spoilt(top, changed('bore:eye', told));
    expect(uncovered).toContain('Launcher, eye for the stem: drawn and not made');
    expect(differ(top, route)).toBeGreaterThan(20);
  });

  it('that drills from the wrong end', () => {
    const { uncovered } = spoilt(
      stopper,
      effects('bore:insert', (e) =>
        e.do === 'drill'
          ? { ...e, hole: { ...e.hole, at: { at: [78, 0, 0], along: [-1, 0, 0], facing: [0, 0, 1] } } }
          : e,
      ),
    );
    expect(uncovered).toContain('hole for the insert: drawn and not made');
    expect(uncovered).toContain('Stopper, top: cut deeper than it is drawn.');
  });

  it.each(['neck', 'ring', 'body', 'top', 'base'])('that leaves a cut out: %s', (id) => {
    const { route, uncovered } = spoilt(stopper, without(`shape:${id}`));
    expect(uncovered).toContain(`Stopper, ${id}: drawn and not made; wood still stands there.`);
    expect(differ(stopper, route)).toBeGreaterThan(5);
  });

  it('that leaves the bowl out, or its rim', () => {
    expect(spoilt(scoop, without('hollow:bowl')).uncovered).toContain('wall of the bowl');
    expect(spoilt(scoop, without('face:rim')).stops).toContain('measured from an end that is not there');
  });

  it('that sands before it cuts, or cuts through what is sanded', () => {
    const early = spoilt(stopper, moved('sanded:neck to body:P180', 'before', 'shape:neck'));
    expect(early.stops).toContain('Sand the neck to body P180: This surface is not there.');
    expect(early.stops).toContain('The cut goes through what is sanded already.');
  });

  it('that never sands away what was left for it, nor with its last grit only', () => {
    const all = spoilt(stopper, (ops) => ops.filter((o) => !o.id.startsWith('sanded:top')));
    expect(all.uncovered).toContain('wood still stands there');
    const last = stopper.route().operations.findLast((o) => o.id.startsWith('sanded:top'))!;
    expect(spoilt(stopper, without(last.id)).uncovered).toContain('wood still stands there');
  });

  it('that parts off between centres while it spins', () => {
    const { stops } = spoilt(top, moved('part:far nib', 'before', 'hold:off:launcher blank'));
    expect(stops).toContain('It is parted off between centres while it spins.');
  });

  it('that cuts through between centres', () => {
    const { stops } = spoilt(
      scoop,
      effects('shape:nose', (e) =>
        e.do === 'cut'
          ? { ...e, skin: { ...e.skin, profile: e.skin.profile.map((s) => ({ ...s, r0: 0 })) } }
          : e,
      ),
    );
    expect(stops).toContain('It is cut through between the centres.');
  });

  it('that cuts under the jaws, or coats there', () => {
    const { stops } = spoilt(
      top,
      effects('rough:top', (e) =>
        e.do === 'cut'
          ? {
              ...e,
              skin: {
                ...e.skin,
                profile: e.skin.profile.map((s) => (s.x1 === 84 ? { ...s, x1: 95, r0: 6, r1: 6 } : s)),
              },
            }
          : e,
      ),
    );
    expect(stops).toContain('The cut runs under the 15 mm jaws.');
    expect(spoilt(scoop, moved('coated:all:oil 1', 'before', 'hold:off:blank:wooden jaws')).stops).toContain(
      'Part of it lies under wooden jaws cut to the ball.',
    );
  });

  it('that shapes what was glued before it runs true', () => {
    expect(spoilt(top, without('rough:top')).stops).toContain('It is not round here yet.');
  });

  it('is one Stop where several operations lack the same: the first, with the others named under it', () => {
    const { played } = spoilt(stopper, without('hold:vise:blank'));
    const unheld = played.findings.filter((f) => f.what.endsWith('Nothing holds it.'));
    expect(unheld.map((f) => f.what)).toEqual(['Square the first end: Nothing holds it.']);
    expect(unheld[0]!.why).toContain('So it is at: Drill for the insert');
  });

  it('that drills what nothing holds, or holds two things at once', () => {
    expect(spoilt(stopper, without('hold:vise:blank')).stops).toContain(
      'Square the first end: Nothing holds it.',
    );
    expect(spoilt(top, without('hold:off:body blank:vise')).stops).toContain('body blank is still held.');
  });

  it('that names two operations alike', () => {
    const { stops } = spoilt(stopper, (ops) => [...ops, ops[0]!]);
    expect(stops).toContain('There are two of this.');
  });

  it('whose words and deeds differ', () => {
    const { route, uncovered } = spoilt(
      stopper,
      changed('shape:neck', (o) => ({
        ...o,
        said: o.said.map((s) => (s.name === 'hollow by' ? { ...s, mm: 3 } : s)),
      })),
    );
    expect(uncovered).toBe('');
    expect(differ(stopper, route)).toBeGreaterThan(5);
  });
});

describe('locks', () => {
  it('hold what is turned until the glue has cured, and what is only handled for less', () => {
    const { locks } = play(stopper.route(), stopper.lengths);
    const waits = (id: string) => locks.get(id)?.find((l) => l.op === 'join:insert');
    expect(waits('hold:mandrel:blank')).toEqual({ op: 'join:insert', need: 'the epoxy cures', minutes: 720 });
    expect(waits('try:base')?.minutes).toBe(60);
    expect(waits('face:first end')).toBeUndefined();
  });

  it('let go on with what does not need what waits', () => {
    const { locks } = play(top.route(), top.lengths);
    const named = (id: string) => locks.get(id)?.map((l) => l.op);
    expect(named('saw:launcher blank')).toEqual([]);
    expect(named('bore:eye')).toEqual(['saw:launcher blank', 'hold:vise:launcher blank']);
  });

  it('keep a hold until all that was done in it is done', () => {
    const { locks } = play(stopper.route(), stopper.lengths);
    const before = locks.get('hold:tail away:blank')!.map((l) => l.op);
    expect(before).toEqual(expect.arrayContaining(['shape:neck', 'shape:base', 'sanded:neck to body:P320']));
  });

  it('every lock names an operation that stands before', () => {
    for (const one of BY_HAND) {
      const { operations } = one.route();
      const { locks } = play({ schema: 2, operations }, one.lengths);
      const order = operations.map((o) => o.id);
      for (const [id, own] of locks)
        for (const lock of own) expect(order.indexOf(lock.op)).toBeLessThan(order.indexOf(id));
    }
  });
});

describe('playing', () => {
  it('leaves what an operation does not touch as it was, object for object', () => {
    const { before } = play(top.route(), top.lengths);
    const at = (i: number, wood: string) => before[i]?.woods.find((w) => w.id === wood);
    // the body's blank lies on the bench while the stem is turned
    expect(at(10, 'body blank')).toBe(at(5, 'body blank'));
  });

  it.each(BY_HAND)('goes on from any state of the $name as if it had begun there', (one) => {
    const { operations } = one.route();
    const whole = play(one.route(), one.lengths);
    for (const cut of [3, 7, operations.length - 2]) {
      const rest = play({ schema: 2, operations: operations.slice(cut) }, one.lengths, whole.before[cut]);
      expect(rest.findings).toEqual([]);
      expect(rest.end).toEqual(whole.end);
    }
  });
});
