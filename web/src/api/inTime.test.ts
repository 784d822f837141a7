import { clockKnown, clockOffset, hear, serverNow } from './clock.js';
import { fetchInTime } from './inTime.js';

const HOUR = 3_600_000;
const realFetch = globalThis.fetch;
beforeEach(() => jest.useFakeTimers({ now: Date.UTC(2026, 2, 2, 12) }));
afterEach(() => {
  jest.useRealTimers();
  globalThis.fetch = realFetch;
});
const request = () => new Request('http://localhost/api/session');

describe('a question to the server', () => {
  it('is answered whole, and tells by how much this clock is off', async () => {
    globalThis.fetch = () => {
      jest.setSystemTime(Date.now() + 200);
      jest.advanceTimersByTime(0);
      return Promise.resolve(
        new Response('{"a":1}', { headers: { 'x-compas-now': String(Date.now() - 100 - 3 * HOUR) } }),
      );
    };
    const answer = await fetchInTime(request());
    expect(await answer.json()).toEqual({ a: 1 });
    expect(clockOffset()).toBe(-3 * HOUR);
  });

  it('comes to an end where the network swallows it', async () => {
    let aborted = false;
    globalThis.fetch = (_, init) =>
      new Promise(() => init?.signal?.addEventListener('abort', () => (aborted = true)));
    const asked = fetchInTime(request());
    const failed = expect(asked).rejects.toThrow('No answer came in time.');
    await jest.advanceTimersByTimeAsync(59_000);
    expect(aborted).toBe(false);
    await jest.advanceTimersByTimeAsync(2_000);
    await failed;
    expect(aborted).toBe(true);
  });

  it('may be answered for long while the answer comes on, and ends in a gap', async () => {
    const piece = new TextEncoder().encode('x');
    let controller: ReadableStreamDefaultController<Uint8Array>;
    globalThis.fetch = () =>
      Promise.resolve(new Response(new ReadableStream({ start: (c) => void (controller = c) })));
    const slow = fetchInTime(request());
    for (let i = 0; i < 10; i += 1) {
      await jest.advanceTimersByTimeAsync(15_000);
      controller!.enqueue(piece);
    }
    controller!.close();
    expect(await (await slow).text()).toBe('xxxxxxxxxx');
    const broken = fetchInTime(request());
    await jest.advanceTimersByTimeAsync(10_000);
    controller!.enqueue(piece);
    const failed = expect(broken).rejects.toThrow('No answer came in time.');
    await jest.advanceTimersByTimeAsync(21_000);
    await failed;
  });
});

describe('the clock of this device', () => {
  it('is put right by the answer that was quickest, since that is the nearest', () => {
    jest.advanceTimersByTime(11 * 60_000);
    const now = Date.now();
    hear(now + 5_000, now - 40, now);
    hear(now + 9_000, now - 4_000, now);
    expect(serverNow()).toBe(now + 5_020);
    // until that is old
    jest.advanceTimersByTime(11 * 60_000);
    const later = Date.now();
    hear(later + 9_000, later - 4_000, later);
    expect(clockOffset()).toBe(11_000);
  });

  it('is not vouched for after it has jumped, until the server is heard again; each jump is counted', () => {
    const now = Date.now();
    hear(now, now, now);
    const before = clockKnown();
    expect(before.offset).toBeDefined();
    // set forward by three hours: the time of the page goes on as it did
    jest.setSystemTime(Date.now() + 3 * HOUR);
    expect(clockKnown()).toEqual({ jumps: before.jumps + 1 });
    expect(clockKnown()).toEqual({ jumps: before.jumps + 1 });
    const then = Date.now();
    hear(then - 3 * HOUR, then - 20, then);
    expect(clockKnown()).toEqual({ jumps: before.jumps + 1, offset: -3 * HOUR + 10 });
  });
});
