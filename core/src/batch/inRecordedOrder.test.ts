import fc from 'fast-check';
import type { RunEvent, RunEventBody } from './event.js';
import { deviceName } from './event.js';
import { reckonedAt } from './clock.js';
import { inRecordedOrder } from './inRecordedOrder.js';
import { lotsOf } from './lots.js';
import { progressOf } from './progress.js';

const NOON = Date.UTC(2026, 2, 2, 12);
const MINUTE = 60_000;
const event = (
  id: string,
  [device, sequence, minutes]: [string, number, number],
  body: RunEventBody = { kind: 'done', stepId: 'turn' },
): RunEvent => ({
  id,
  piece: 1,
  at: new Date(NOON + minutes * MINUTE).toISOString(),
  device,
  sequence,
  planVersion: 1,
  body,
});
const ids = (events: readonly RunEvent[]): string[] => inRecordedOrder(events).map((e) => e.id);

describe('the order of what was recorded', () => {
  it('is by instant, and on one device by its count when its clock was put back in between', () => {
    const events = [
      event('a1', ['a', 1, 0]),
      event('a2', ['a', 2, 30]),
      // the clock of a is put back by an hour: what came after a2 still does
      event('a3', ['a', 3, -20]),
      event('b1', ['b', 7, 10]),
      event('b2', ['b', 8, 31]),
    ];
    expect(ids(events)).toEqual(['a1', 'b1', 'a2', 'a3', 'b2']);
    // and no cure that begins with a3 began before it
    expect(inRecordedOrder(events)[3]?.at).toBe(events[1]?.at);
  });

  it('reads instants as instants, with or without their thousandths', () => {
    const early = { ...event('early', ['b', 1, 0]), at: '2026-03-02T12:00:00Z' };
    const late = { ...event('late', ['a', 1, 0]), at: '2026-03-02T12:00:00.500Z' };
    expect(ids([late, early])).toEqual(['early', 'late']);
  });

  it('puts a correction behind what it corrects, whoever made it and whatever the clocks say', () => {
    const read = event('read', ['a', 1, 180], {
      kind: 'measured',
      stepId: 'turn',
      stationId: 's',
      mm: 61.2,
      typed: '61.2',
    });
    const corrected = event('put right', ['b', 1, 0], {
      kind: 'corrected',
      eventId: 'read',
      mm: 16.2,
      typed: '16.2',
      why: 'misread',
    });
    expect(ids([corrected, read])).toEqual(['read', 'put right']);
    const steps = [{ id: 'turn', partId: 'p' }];
    const lots = lotsOf([{ partId: 'p', pieces: 1 }]);
    expect(progressOf(lots, [corrected, read], steps).readings).toMatchObject([{ mm: 16.2, typed: '16.2' }]);
  });

  it('loses nothing to what cites itself in a ring or cites what never came', () => {
    const cites = (id: string, cited: string, sequence: number) =>
      event(id, ['a', sequence, sequence], { kind: 'spared', eventId: cited });
    expect(ids([cites('x', 'y', 1), cites('y', 'x', 2), cites('z', 'nobody', 3)]).sort()).toEqual([
      'x',
      'y',
      'z',
    ]);
  });

  const recorded = fc
    .array(
      fc.record({
        device: fc.constantFrom('a', 'b', 'c'),
        minutes: fc.integer({ min: -300, max: 300 }),
        cites: fc.option(fc.nat(30), { nil: null }),
      }),
      { maxLength: 30 },
    )
    .map((list) =>
      list.map(({ device, minutes, cites }, i) =>
        event(
          `e${i}`,
          [device, i, minutes],
          cites === null ? undefined : { kind: 'spared', eventId: `e${cites}` },
        ),
      ),
    );

  it('is the same however they arrived, and has each once', () => {
    fc.assert(
      fc.property(recorded, fc.infiniteStream(fc.nat()), (events, random) => {
        const shuffled = events
          .map((e) => ({ e, by: random.next().value as number }))
          .sort((x, y) => x.by - y.by)
          .map(({ e }) => e);
        expect(ids(shuffled)).toEqual(ids(events));
        expect(ids(events).sort()).toEqual(events.map((e) => e.id).sort());
      }),
    );
  });

  it('keeps each device in its count where nothing is cited, and what cites behind what is cited where it cites backwards', () => {
    fc.assert(
      fc.property(recorded, (events) => {
        const backwards = events.map((e, i) =>
          'eventId' in e.body && Number(e.body.eventId?.slice(1)) >= i
            ? { ...e, body: { kind: 'done', stepId: 's' } as const }
            : e,
        );
        const order = ids(backwards);
        for (const [i, e] of backwards.entries()) {
          if ('eventId' in e.body && e.body.eventId)
            expect(order.indexOf(e.body.eventId)).toBeLessThan(order.indexOf(e.id));
          for (const before of backwards.slice(0, i))
            if (before.device === e.device && !('eventId' in before.body))
              expect(order.indexOf(before.id)).toBeLessThan(order.indexOf(e.id));
        }
      }),
    );
  });
});

describe('not done yet', () => {
  const steps = [{ id: 'turn', partId: 'p' }];
  const lots = lotsOf([{ partId: 'p', pieces: 1 }]);
  const done = event('done', ['a', 1, 180]);
  const isDone = (...events: RunEvent[]) => progressOf(lots, events, steps).pieces[0]?.done.has('turn');

  it('takes back the Done that it names, though a clock three hours wrong puts it before', () => {
    const reopened = event('not yet', ['b', 1, 0], { kind: 'reopened', stepId: 'turn', eventId: 'done' });
    expect(isDone(reopened, done)).toBe(false);
    // a Done that somebody has said since stands
    expect(isDone(reopened, done, event('again', ['b', 2, 1]))).toBe(true);
  });

  it('takes back none that was said by somebody else since', () => {
    const other = event('other', ['c', 1, 181]);
    const reopened = event('not yet', ['b', 1, 182], { kind: 'reopened', stepId: 'turn', eventId: 'done' });
    expect(isDone(done, other, reopened)).toBe(true);
  });
});

describe('the instant of a record by the server’s clock', () => {
  const at = (minutes: number) => ({ at: new Date(NOON + minutes * MINUTE).toISOString() });
  const received = NOON + 600 * MINUTE;

  it('is what the device said, put right by the difference that it knew', () => {
    expect(reckonedAt(at(0), null, received)).toBe(NOON);
    expect(reckonedAt({ ...at(180), offset: -180 * MINUTE, jumps: 2 }, null, received)).toBe(NOON);
  });

  it('is put right by the difference as it is sent, unless the clock has jumped in between', () => {
    // recorded without a network on a clock three hours behind, sent ten hours later
    const sending = { sent: received - 180 * MINUTE, jumps: 2 };
    expect(reckonedAt({ ...at(-180), jumps: 2 }, sending, received)).toBe(NOON);
    expect(reckonedAt({ ...at(-180), jumps: 1 }, sending, received)).toBe(NOON - 180 * MINUTE);
    // what was known at the time is nearer than what is known later
    expect(reckonedAt({ ...at(5), offset: -5 * MINUTE, jumps: 2 }, sending, received)).toBe(NOON);
  });

  it('is never later than its receipt, and no instant of a clock that was never set', () => {
    fc.assert(
      fc.property(
        fc.date({ noInvalidDate: true, min: new Date('0001-01-01'), max: new Date('9999-12-31') }),
        fc.option(fc.integer({ min: -1e12, max: 1e12 }), { nil: undefined }),
        (date, offset) => {
          const reckoned = reckonedAt(
            { at: date.toISOString(), ...(offset === undefined ? {} : { offset }) },
            null,
            received,
          );
          expect(reckoned).toBeLessThanOrEqual(received);
          expect(reckoned).toBeGreaterThanOrEqual(Date.UTC(2000, 0, 1));
        },
      ),
    );
  });
});

it('a device is called by the beginning of its id, or by the name it has', () => {
  expect(deviceName('3f2b8c1e-0000-4000-8000-000000000000')).toBe('tablet 3f2b');
  expect(deviceName('bench tablet')).toBe('bench tablet');
});
