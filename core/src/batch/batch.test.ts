import fc from 'fast-check';
import type { WorkingHours } from '../workshop/index.js';
import {
  contradictions,
  holdsOn,
  localTime,
  lotsOf,
  nextAction,
  progressOf,
  scheduleBatch,
  wallMinutes,
  type RunEvent,
  type RunEventBody,
} from './index.js';
import type { Step } from '../route/index.js';
import { workFrom } from './workingTime.js';

const hours: WorkingHours = {
  timeZone: 'UTC',
  windows: [1, 2, 3, 4, 5].map((weekday) => ({ weekday, from: 480, to: 960 })),
};
const lots = (count: number) => lotsOf([{ partId: 'p', pieces: count }]);
const monday = wallMinutes('2026-03-02T08:00');

const step = (id: string, minutes: number, rest: Partial<Step> = {}): Step => ({
  id,
  partId: 'p',
  stage: 'turn',
  title: id,
  words: [],
  setup: { place: 'bench', holding: '', tailstock: 'not used' },
  speed: null,
  setupMinutes: 0,
  minutes,
  remountMinutes: 0,
  wait: null,
  locks: [],
  timers: [],
  measures: [],
  against: 'finished',
  trialFit: false,
  ...rest,
});

describe('working time', () => {
  it('waits for the next span when the work does not fit in what is left of this one', () => {
    const friday = wallMinutes('2026-03-06T15:30');
    expect(localTime(workFrom(hours, friday, 45).from)).toBe('2026-03-09T08:00');
    expect(localTime(workFrom(hours, friday, 30).to)).toBe('2026-03-06T16:00');
  });

  it('carries over what is longer than a whole span', () => {
    expect(localTime(workFrom(hours, monday, 600).to)).toBe('2026-03-03T10:00');
  });

  it('never works outside the hours', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000 }), fc.integer({ min: 1, max: 480 }), (later, minutes) => {
        const { from, to } = workFrom(hours, monday + later, minutes);
        const inside = (t: number) => ((t % 1440) + 1440) % 1440;
        return inside(from) >= 480 && inside(from) < 960 && inside(to) <= 960 && to - from === minutes;
      }),
    );
  });
});

describe('schedule', () => {
  // by hand: saw 5 set-up + 3 × 2; glue 3 × 1, cures 60; turn 4 set-up + 3 × 10
  const cured = { stepId: 'glue', reason: 'the glue cures.' };
  const steps = [
    step('saw', 2, { setup: { place: 'saw', holding: '', tailstock: 'not used' }, setupMinutes: 5 }),
    step('glue', 1, { wait: { minutes: 60, what: 'glue cures' } }),
    step('turn', 10, {
      setup: { place: 'lathe', holding: 'centres', tailstock: 'up' },
      setupMinutes: 4,
      remountMinutes: 1,
      locks: [cured],
    }),
  ];

  it('by operation: all sawn, all glued, then turned as each cures', () => {
    const plan = scheduleBatch(steps, lots(3), hours, monday, 'by-operation');
    // 11 saw, 14 glued (first at 12), first ready at 72, 4 + 1 + 10 = 87, then 98, 109
    expect(plan.elapsedMinutes).toBe(109);
    expect(plan.handsOnMinutes).toBe(5 + 6 + 3 + 4 + 33);
    expect(plan.setups).toBe(3);
  });

  it('by piece: goes on with the next piece while the first cures', () => {
    const plan = scheduleBatch(steps, lots(3), hours, monday, 'by-piece');
    // 5+2+1 = 8 glued, ready at 68; pieces 2 and 3 glued at 11, 14; turn 68 → 83, 94, 105
    expect(plan.elapsedMinutes).toBe(105);
  });

  it('a wait keeps back only what is locked by it, and only as long as that needs', () => {
    const label = step('label', 3);
    const free = scheduleBatch([...steps.slice(0, 2), label], lots(1), hours, monday, 'by-piece');
    // 5 + 2 + 1 + 3; the cure itself runs on to 68
    expect(free.spans.find((s) => s.stepId === 'label')?.to).toBe('2026-03-02T08:11');
    expect(free.elapsedMinutes).toBe(68);
    const handled = { ...label, locks: [{ ...cured, minutes: 20 }] };
    const sooner = scheduleBatch([...steps.slice(0, 2), handled], lots(1), hours, monday, 'by-piece');
    expect(sooner.spans.find((s) => s.stepId === 'label')?.to).toBe('2026-03-02T08:31');
  });

  it('is over when somebody is there to take the last piece in hand, not in the night in which it cures', () => {
    const cure = (minutes: number, start: string) =>
      scheduleBatch(
        [step('glue', 10, { wait: { minutes, what: 'glue cures' } })],
        lots(1),
        hours,
        wallMinutes(start),
        'by-piece',
      ).end;
    // glued at 15:40 on a Friday; 20 min are the end of the day, 21 are Monday morning
    expect(cure(20, '2026-03-06T15:30')).toBe('2026-03-06T16:00');
    expect(cure(21, '2026-03-06T15:30')).toBe('2026-03-09T08:00');
    // a day on Monday is Tuesday at the same hour; two thirds of one is Tuesday morning
    expect(cure(1440, '2026-03-02T09:00')).toBe('2026-03-03T09:10');
    expect(cure(960, '2026-03-02T09:00')).toBe('2026-03-03T08:00');
    // without a wait the day may end with the work
    expect(cure(0, '2026-03-06T15:50')).toBe('2026-03-06T16:00');
  });

  it('steps of one run are done in one go, and what prepares is done on all pieces first', () => {
    const at = (holding: string) => ({ place: 'lathe' as const, holding, tailstock: 'up' as const });
    const runs = [
      step('drill', 1, { run: 0, prepares: true }),
      step('rough', 1, { run: 1, setup: at('centres') }),
      step('shape', 1, { run: 1, setup: at('centres') }),
      step('oil', 1, { run: 2 }),
    ];
    const order = (school: 'by-operation' | 'by-piece' | 'prepare-all') =>
      scheduleBatch(runs, lots(2), hours, monday, school).spans.map(
        (s) => `${s.stepId} ${s.from.slice(-2)}-${s.to.slice(-2)}`,
      );
    expect(order('by-operation')).toEqual(['drill 00-02', 'rough 02-05', 'shape 03-06', 'oil 06-08']);
    expect(order('by-piece')).toEqual(['drill 00-05', 'rough 01-06', 'shape 02-07', 'oil 03-08']);
    expect(order('prepare-all')).toEqual(['drill 00-02', 'rough 02-06', 'shape 03-07', 'oil 04-08']);
  });

  it('hands-on time is never more than elapsed, and set-ups are fewest by operation', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 30 }), (n) => {
        const a = scheduleBatch(steps, lots(n), hours, monday, 'by-operation');
        const b = scheduleBatch(steps, lots(n), hours, monday, 'by-piece');
        return (
          a.handsOnMinutes <= a.elapsedMinutes && b.handsOnMinutes <= b.elapsedMinutes && a.setups <= b.setups
        );
      }),
    );
  });
});

describe('progress', () => {
  const steps = [
    step('glue', 1, { wait: { minutes: 60, what: 'glue cures' } }),
    step('turn', 10, { locks: [{ stepId: 'glue', reason: 'turning tears out wet glue.' }] }),
  ];
  const t0 = Date.parse('2026-03-02T08:00:00.000Z');
  let count = 0;
  const event = (piece: number, minute: number, body: RunEventBody): RunEvent => ({
    id: `e${++count}`,
    piece,
    at: new Date(t0 + minute * 60_000).toISOString(),
    device: 'tablet',
    sequence: count,
    planVersion: 1,
    body,
  });

  it('keeps a step locked until the one before is done and its wait is over', () => {
    const before = progressOf(lots(1), [], steps).pieces[0]!;
    expect(holdsOn(steps[1]!, steps, before, t0)[0]).toMatchObject({ kind: 'lock' });
    const glued = progressOf(lots(1), [event(1, 0, { kind: 'done', stepId: 'glue' })], steps).pieces[0]!;
    expect(holdsOn(steps[1]!, steps, glued, t0 + 59 * 60_000)[0]).toMatchObject({
      kind: 'wait',
      until: t0 + 3_600_000,
    });
    expect(holdsOn(steps[1]!, steps, glued, t0 + 60 * 60_000)).toEqual([]);
    const forced = progressOf(
      lots(1),
      [event(1, 0, { kind: 'overridden', stepId: 'turn', why: 'fast glue' })],
      steps,
    ).pieces[0]!;
    expect(holdsOn(steps[1]!, steps, forced, t0)).toEqual([]);
  });

  it('a wait that was gone past once does not hold the next step again', () => {
    const cure = { stepId: 'glue', reason: 'the glue cures.', minutes: 60 };
    const held = [
      step('glue', 1, { wait: { minutes: 60, what: 'glue cures' } }),
      step('mount', 1, { locks: [cure] }),
      step('rough', 1, { locks: [cure] }),
      step('rub', 1, { locks: [{ ...cure, minutes: 600 }] }),
    ];
    const of = (...bodies: RunEventBody[]) =>
      progressOf(
        lots(1),
        bodies.map((body, i) => event(1, i, body)),
        held,
      ).pieces[0]!;
    const glued: RunEventBody = { kind: 'done', stepId: 'glue' };
    const at = t0 + 5 * 60_000;
    expect(holdsOn(held[2]!, held, of(glued), at)).toHaveLength(1);
    const gone = of(glued, { kind: 'overridden', stepId: 'mount', why: 'quick glue' });
    expect(holdsOn(held[2]!, held, gone, at)).toEqual([]);
    expect(holdsOn(held[2]!, held, of(glued, { kind: 'done', stepId: 'mount' }), at)).toEqual([]);
    // what must wait longer still waits
    expect(holdsOn(held[3]!, held, gone, at)).toHaveLength(1);
  });

  it('says what is next: another piece, the wait that ends first, or finished', () => {
    const one = [event(1, 0, { kind: 'done', stepId: 'glue' })];
    expect(nextAction(steps, progressOf(lots(2), one, steps), 'by-piece', t0)).toMatchObject({
      kind: 'do',
      piece: 2,
      step: { id: 'glue' },
    });
    const both = [...one, event(2, 5, { kind: 'done', stepId: 'glue' })];
    expect(nextAction(steps, progressOf(lots(2), both, steps), 'by-piece', t0 + 600_000)).toMatchObject({
      kind: 'wait',
      piece: 1,
      until: t0 + 3_600_000,
    });
    const gone = [
      ...both,
      event(1, 6, { kind: 'rejected', stepId: 'turn', cause: 'split' }),
      event(2, 90, { kind: 'done', stepId: 'turn' }),
    ];
    expect(nextAction(steps, progressOf(lots(2), gone, steps), 'by-piece', t0 + 9e6)).toEqual({
      kind: 'finished',
    });
  });

  it('takes a rejection back, whichever of the two comes first by the clocks', () => {
    const rejected = event(1, 6, { kind: 'rejected', stepId: 'turn', cause: 'split' });
    for (const minute of [9, 2]) {
      const spared = event(1, minute, { kind: 'spared', eventId: rejected.id });
      for (const events of [
        [rejected, spared],
        [spared, rejected],
      ]) {
        expect(progressOf(lots(1), events, steps).pieces[0]!.rejected).toBeNull();
        expect(nextAction(steps, progressOf(lots(1), events, steps), 'by-piece', t0)).toMatchObject({
          kind: 'do',
          piece: 1,
          step: { id: 'glue' },
        });
      }
      // another rejection is not taken back with it
      const again = event(1, 30, { kind: 'rejected', stepId: 'turn', cause: 'a knot' });
      expect(progressOf(lots(1), [rejected, spared, again], steps).pieces[0]!.rejected).toMatchObject({
        eventId: again.id,
        cause: 'a knot',
      });
    }
  });

  it('takes a step up again that was called done by mistake', () => {
    const events = [
      event(1, 0, { kind: 'done', stepId: 'glue' }),
      event(1, 1, { kind: 'reopened', stepId: 'glue' }),
    ];
    expect(nextAction(steps, progressOf(lots(1), events, steps), 'by-piece', t0 + 120_000)).toMatchObject({
      kind: 'do',
      step: { id: 'glue' },
    });
  });

  it('reads the same whatever the order the events arrive in', () => {
    const measured = event(1, 3, { kind: 'measured', stepId: 'turn', stationId: 's', mm: 120, typed: '120' });
    const events = [
      event(1, 0, { kind: 'done', stepId: 'glue' }),
      measured,
      event(1, 4, { kind: 'corrected', eventId: measured.id, mm: 12, typed: '12.0', why: 'decimal point' }),
      event(2, 5, { kind: 'tried', stepId: 'turn', fits: false, note: '' }),
    ];
    const straight = progressOf(lots(2), events, steps);
    expect(straight.readings[0]).toMatchObject({ mm: 12, correctedWhy: 'decimal point' });
    fc.assert(
      fc.property(fc.shuffledSubarray(events, { minLength: events.length }), (shuffled) => {
        expect(progressOf(lots(2), shuffled, steps)).toEqual(straight);
      }),
    );
  });

  it('finds events that contradict each other, and none where an override was given', () => {
    const early = event(1, 0, { kind: 'done', stepId: 'turn' });
    expect(contradictions(steps, lots(3), [early]).map((f) => f.id)).toEqual(['run.order.1.turn']);
    // habit is no lock: what nothing needs may be passed over
    const habit = [...steps, step('label', 1)];
    expect(contradictions(habit, lots(3), [event(1, 0, { kind: 'done', stepId: 'label' })])).toEqual([]);
    const forced = {
      ...event(1, -1, { kind: 'overridden', stepId: 'turn', why: 'dry fit' }),
      device: 'other',
    };
    expect(contradictions(steps, lots(3), [forced, early])).toEqual([]);
    const rejected = event(2, 1, { kind: 'rejected', stepId: 'glue', cause: 'knot' });
    expect(
      contradictions(steps, lots(3), [rejected, event(2, 2, { kind: 'done', stepId: 'glue' })]).map(
        (f) => f.id,
      ),
    ).toEqual(['run.rejected.2']);
    // and nothing is found any more when it was good after all
    const spared = event(2, 3, { kind: 'spared', eventId: rejected.id });
    expect(
      contradictions(steps, lots(3), [rejected, event(2, 2, { kind: 'done', stepId: 'glue' }), spared]),
    ).toEqual([]);
  });
});

describe('who works at a device', () => {
  const at = (minute: number) => new Date(Date.UTC(2026, 2, 2, 8, minute)).toISOString();
  const event = (sequence: number, device: string, body: RunEventBody): RunEvent => ({
    id: `h${sequence}`,
    piece: 1,
    at: at(sequence),
    device,
    sequence,
    planVersion: 1,
    body,
  });
  const measured: RunEventBody = { kind: 'measured', stepId: 's', stationId: 'e1', mm: 10, typed: '10' };
  const handed = (who: string): RunEventBody => ({ kind: 'handed', stepId: 's', who });

  it('is whoever was said to, from there on and on that device alone', () => {
    const events = [
      event(1, 'a', measured),
      event(2, 'a', handed('Maren')),
      event(3, 'a', measured),
      event(4, 'b', measured),
      event(5, 'a', handed('Ines')),
      event(6, 'a', measured),
    ];
    const { readings, hands } = progressOf(lotsOf([{ partId: 'p', pieces: 1 }]), events.toReversed(), []);
    expect(readings.map((r) => r.who)).toEqual([undefined, 'Maren', undefined, 'Ines']);
    expect([...hands]).toEqual([['a', 'Ines']]);
  });
});
