import { act, render, screen } from '@testing-library/react';
import { useStream } from './useStream.js';

/** What the browser would hold open. */
class Opened extends EventTarget {
  static all: Opened[] = [];
  closed = false;
  constructor(readonly url: string) {
    super();
    Opened.all.push(this);
  }
  close() {
    this.closed = true;
  }
  says(event: string) {
    act(() => void this.dispatchEvent(new Event(event)));
  }
}

const told = jest.fn();
function Follower() {
  return <p>{useStream('b1', told) ? 'told' : 'looks'}</p>;
}
const shows = (words: string) => expect(screen.getByText(words)).toBeTruthy();
const last = () => Opened.all.at(-1)!;

beforeEach(() => {
  Opened.all = [];
  told.mockReset();
  Object.assign(globalThis, { EventSource: Opened });
});
afterEach(() => {
  jest.useRealTimers();
  Reflect.deleteProperty(globalThis, 'EventSource');
  Reflect.deleteProperty(navigator, 'locks');
});

describe('a batch that is followed', () => {
  it('is asked for when listening begins, and whenever something is recorded', () => {
    render(<Follower />);
    expect(last().url).toBe('/api/batches/b1/stream');
    shows('looks');
    last().says('quiet');
    expect(told).not.toHaveBeenCalled();
    last().says('live');
    shows('told');
    last().says('recorded');
    expect(told).toHaveBeenCalledTimes(2);
    last().says('beat');
    expect(told).toHaveBeenCalledTimes(2);
  });

  it('is looked for again while the server cannot tell, or the connection is gone', () => {
    render(<Follower />);
    last().says('live');
    last().says('quiet');
    shows('looks');
    last().says('live');
    last().says('error');
    shows('looks');
  });

  it('is listened to anew where nothing is heard any more', () => {
    jest.useFakeTimers();
    const shown = render(<Follower />);
    last().says('live');
    act(() => jest.advanceTimersByTime(40_000));
    last().says('beat');
    act(() => jest.advanceTimersByTime(40_000));
    shows('told');
    act(() => jest.advanceTimersByTime(10_000));
    shows('looks');
    expect(Opened.all.map((o) => o.closed)).toEqual([true, false]);
    shown.unmount();
    expect(last().closed).toBe(true);
    act(() => jest.advanceTimersByTime(100_000));
    expect(Opened.all).toHaveLength(2);
  });

  it('is listened to by one page of a browser', () => {
    const locks = {
      request: jest.fn((_: string, __: object, held: (lock: object | null) => unknown) => held(null)),
    };
    Object.defineProperty(navigator, 'locks', { configurable: true, value: locks });
    render(<Follower />);
    expect(locks.request).toHaveBeenCalled();
    expect(Opened.all).toEqual([]);
    shows('looks');
  });
});
