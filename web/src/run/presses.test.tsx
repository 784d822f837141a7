import { fireEvent, render, screen } from '@testing-library/react';
import { Presses } from './Presses.js';

let done: string[] = [];
beforeEach(() => (done = []));
const frame = (figure: string) => (
  <Presses figure={figure}>
    {/* the same button stays where it is, whatever figure stands above it */}
    <button type="button" data-ends onClick={() => done.push(figure)}>
      Done
    </button>
  </Presses>
);
/** Two frames: the next figure is on the glass. */
const painted = async (): Promise<number> => {
  for (let i = 0; i < 3; i += 1) await new Promise((next) => requestAnimationFrame(next));
  return performance.now();
};
/** An event as the browser made it at an instant of the page's time. */
const at = (event: Event, instant: number): Event =>
  Object.defineProperty(event, 'timeStamp', { value: instant });
const down = (button: HTMLElement, instant: number) =>
  fireEvent(button, at(new MouseEvent('pointerdown', { bubbles: true }), instant));
const up = (button: HTMLElement, instant: number) =>
  fireEvent(button, at(new MouseEvent('click', { bubbles: true, cancelable: true, detail: 1 }), instant));
const press = (instant: number, held = 60) => {
  const button = screen.getByRole('button', { name: 'Done' });
  down(button, instant);
  up(button, instant + held);
};

describe('a press at the lathe', () => {
  it('counts at once for what is opened first, and for the next figure when that was seen', async () => {
    const { rerender } = render(frame('piece 1'));
    press(performance.now());
    rerender(frame('piece 2'));
    const seen = await painted();
    press(seen + 310);
    expect(done).toEqual(['piece 1', 'piece 2']);
  });

  it('that is the second of a double tap does nothing to the next piece', async () => {
    const { rerender } = render(frame('piece 1'));
    press(performance.now());
    rerender(frame('piece 2'));
    // before it is painted, and 150 ms after
    press(performance.now());
    const seen = await painted();
    press(seen + 150);
    expect(done).toEqual(['piece 1']);
    // any later one counts
    press(seen + 400);
    expect(done).toEqual(['piece 1', 'piece 2']);
  });

  it('that was held over from the figure before does nothing, however late it is let go', async () => {
    const { rerender } = render(frame('piece 1'));
    const button = screen.getByRole('button', { name: 'Done' });
    down(button, performance.now());
    rerender(frame('piece 2'));
    const seen = await painted();
    up(button, seen + 5_000);
    expect(done).toEqual([]);
  });

  it('that came while the screen stood still is told by its own instant, not by when it was looked at', async () => {
    const { rerender } = render(frame('piece 1'));
    rerender(frame('piece 2'));
    const tapped = performance.now();
    // the screen stands still for half a second; the tap is handled only then
    const until = tapped + 500;
    while (performance.now() < until);
    const seen = await painted();
    expect(seen - tapped).toBeGreaterThan(500);
    press(tapped + 20);
    expect(done).toEqual([]);
  });

  it('by a key that is held down from before does nothing; one that is pressed counts', async () => {
    const { rerender } = render(frame('piece 1'));
    const button = screen.getByRole('button', { name: 'Done' });
    rerender(frame('piece 2'));
    const seen = await painted();
    const key = (instant: number, repeat: boolean) => {
      fireEvent(button, at(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, repeat }), instant));
      fireEvent(button, at(new MouseEvent('click', { bubbles: true, cancelable: true, detail: 0 }), instant));
    };
    key(seen + 100, false);
    expect(done).toEqual([]);
    key(seen + 700, false);
    expect(done).toEqual(['piece 2']);
  });
});
