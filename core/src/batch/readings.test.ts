import fc from 'fast-check';
import type { RunEvent, RunEventBody } from './event.js';
import { inRecordedOrder } from './inRecordedOrder.js';
import { lotsOf } from './lots.js';
import { progressOf } from './progress.js';
import { apartFindings, readingsApart } from './readings.js';

const lots = lotsOf([{ partId: 'p', pieces: 2 }]);
const PLACES = [{ id: 'collar', label: 'collar', tolerance: 0.3 }];
let sequence = 0;
const event = (device: string, body: RunEventBody, id = `${device}${++sequence}`): RunEvent => ({
  id,
  piece: 1,
  at: new Date(Date.UTC(2026, 2, 2, 8, 0, ++sequence)).toISOString(),
  device,
  sequence,
  planVersion: 1,
  body,
});
const measured = (device: string, mm: number, id?: string) =>
  event(device, { kind: 'measured', stepId: 'size', stationId: 'collar', mm, typed: String(mm) }, id);
const readingsOf = (events: RunEvent[]) => progressOf(lots, events, []).readings;
const apart = (events: RunEvent[]) => readingsApart(readingsOf(events), PLACES);

describe('readings of one place by two devices', () => {
  it('may differ by a third of the tolerance, not by more', () => {
    expect(apart([measured('a', 20), measured('b', 20.1)])).toEqual([]);
    const [found] = apartFindings(apart([measured('a', 20), measured('b', 20.12)]));
    expect(found?.what).toBe('Piece 1, collar: two devices measured what cannot both be right.');
    expect(found?.why).toBe('20 by a, 20.12 by b.');
  });

  it('on one device are measured again, and the last of each counts', () => {
    expect(apart([measured('a', 20), measured('a', 20.3)])).toEqual([]);
    expect(apart([measured('a', 20), measured('b', 20.3), measured('a', 20.28)])).toEqual([]);
  });

  it('before and after the wood was cut again are not compared', () => {
    const again: RunEventBody = { kind: 'reopened', stepId: 'size' };
    expect(apart([measured('a', 20.6), event('b', again), measured('b', 20)])).toEqual([]);
    const mended: RunEventBody = {
      kind: 'mended',
      stepId: 'size',
      partId: 'p',
      steps: [],
      again: [],
      keeps: [],
      why: 'fat',
    };
    expect(apart([measured('a', 20.6), event('a', mended), measured('b', 20)])).toEqual([]);
  });

  it('are settled by saying which one holds: the others are gone, and what they were is kept with it', () => {
    const events = [measured('a', 20, 'ra'), measured('b', 20.4, 'rb')];
    const settled = event('c', { kind: 'settled', stepId: 'size', eventId: 'rb', others: ['ra'] });
    const after = [...events, settled];
    expect(apart(after)).toEqual([]);
    expect(readingsOf(after)).toMatchObject([{ eventId: 'rb', mm: 20.4, instead: [20] }]);
    // what differs afterwards is another matter
    expect(apart([...after, measured('a', 20)])).toHaveLength(1);
  });

  it('are settled among themselves only: nothing of another place goes', () => {
    const other = { ...measured('a', 31, 'other'), piece: 2 };
    const settled = event('c', {
      kind: 'settled',
      stepId: 'size',
      eventId: 'rb',
      others: ['other', 'rb', 'nowhere'],
    });
    expect(readingsOf([other, measured('b', 20.4, 'rb'), settled]).map((r) => r.eventId)).toEqual([
      'other',
      'rb',
    ]);
    const unknown = event('c', { kind: 'settled', stepId: 'size', eventId: 'nowhere', others: ['rb'] });
    expect(readingsOf([measured('b', 20.4, 'rb'), unknown])).toHaveLength(1);
  });

  it('settling counts behind all that it cites, in whatever order they came and whatever the clocks say', () => {
    const a = measured('a', 20, 'ra');
    const b = { ...measured('b', 20.4, 'rb'), at: '2026-03-02T18:00:00.000Z' };
    const settled = event('c', { kind: 'settled', stepId: 'size', eventId: 'ra', others: ['rb'] });
    fc.assert(
      fc.property(fc.shuffledSubarray([a, b, settled], { minLength: 3 }), (events) => {
        expect(inRecordedOrder(events).at(-1)?.id).toBe(settled.id);
        expect(readingsOf(events).map((r) => r.eventId)).toEqual(['ra']);
      }),
    );
  });
});
