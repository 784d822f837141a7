import { fireEvent, screen } from '@testing-library/react';
import { exampleBatch } from '../../test/exampleBatch.js';
import { answering, shownInApp } from '../../test/inApp.js';
import { TrueSize } from './TrueSize.js';
import { useTablet } from './useTablet.js';
import { useTone } from './useTone.js';

const [part] = exampleBatch().snapshot.plan.parts;
function Bench() {
  const tablet = useTablet();
  return <TrueSize part={part} tablet={tablet} />;
}
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
/** How long and thick what is drawn is, pixels of the page. */
function drawn() {
  const path = document.querySelector('.true-size-piece')?.getAttribute('d') ?? '';
  const corners = [...path.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)];
  const [xs, ys] = [1, 2].map((i) => corners.map((c) => Number(c[i]))) as [number[], number[]];
  return { long: Math.max(...xs) - Math.min(...xs), thick: Math.max(...ys) - Math.min(...ys) };
}

beforeEach(() => localStorage.clear());

describe('the piece at true size', () => {
  it('wants the screen set first: the bar is brought to a calliper, and kept on the tablet', () => {
    shownInApp(<Bench />);
    press('True size');
    expect(screen.getByRole('img', { name: 'Bar of 378 pixels' })).toBeTruthy();
    press('Longer by 10');
    press('Longer by 10');
    press('Longer by 1');
    press('Longer by 1');
    press(/^That is 100/);
    // 400 pixels are 100 mm: the piece is four times as many pixels long as it is mm
    expect(drawn().long).toBeCloseTo(4 * part.outline.length, 0);
    expect(drawn().thick).toBeCloseTo(4 * part.largestDiameter, 0);
    expect(JSON.parse(localStorage.getItem('compas.tablet') ?? '{}')).toMatchObject({ pxPerMm: 4 });
  });

  it('opens at once when the screen was set, lies or stands, and can be set anew', () => {
    localStorage.setItem('compas.tablet', JSON.stringify({ pxPerMm: 5 }));
    shownInApp(<Bench />);
    press('True size');
    const lying = screen.getByRole('img', { name: 'Body at true size, lying' });
    press('Stand it up');
    const upright = screen.getByRole('img', { name: 'Body at true size, upright' });
    expect(Number(upright.getAttribute('height'))).toBeGreaterThan(Number(upright.getAttribute('width')));
    expect(lying.isConnected && lying !== upright).toBe(false);
    press('Set the screen anew');
    expect(screen.getByRole('img', { name: 'Bar of 500 pixels' })).toBeTruthy();
    press('Back to the step');
    expect(screen.queryByRole('dialog')).toBeNull();
  });

  it('has the outline of a measured sample over it at the same scale', async () => {
    localStorage.setItem('compas.tablet', JSON.stringify({ pxPerMm: 4 }));
    const trace = { x: [0, 10, 30], up: [8, 9, 7], down: [-8, -9, -7] };
    const asked = answering({
      'GET /api/samples': () => ({
        body: [{ id: 's1', name: 'Old finial', measuredBy: 'calliper', note: '', trace }],
      }),
    });
    shownInApp(<Bench />);
    press('True size');
    expect(asked).toEqual([]);
    press('A sample over it');
    fireEvent.click(await screen.findByRole('button', { name: 'Old finial' }));
    const path = screen.getByRole('img', { name: 'Old finial' }).getAttribute('d') ?? '';
    const corners = [...path.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map((c) => c.slice(1).map(Number));
    const across = (i: number) =>
      Math.max(...corners.map((c) => c[i]!)) - Math.min(...corners.map((c) => c[i]!));
    expect(across(0)).toBeCloseTo(4 * 30, 0);
    expect(across(1)).toBeCloseTo(4 * 18, 0);
    press('Without Old finial');
    expect(screen.queryByRole('img', { name: 'Old finial' })).toBeNull();
  });

  it('of what is longer than the screen shows one stretch after the other', () => {
    localStorage.setItem('compas.tablet', JSON.stringify({ pxPerMm: 40 }));
    shownInApp(<Bench />);
    press('True size');
    const stretches = Math.ceil((part.outline.length * 40) / (window.innerWidth - 48));
    press(`Stretch 1 of ${stretches}: the next`);
    expect(screen.getByRole('button', { name: `Stretch 2 of ${stretches}: the next` })).toBeTruthy();
  });
});

describe('a tone', () => {
  const pitches: number[] = [];
  class Silent {
    currentTime = 0;
    destination = {};
    close = () => Promise.resolve();
    createOscillator = () => ({
      frequency: {
        set value(pitch: number) {
          pitches.push(pitch);
        },
      },
      connect: () => undefined,
      start: () => undefined,
      stop: () => undefined,
      onended: null,
    });
  }
  function Step({ frame, tone }: { frame: string; tone: boolean }) {
    useTone(frame, tone);
    return null;
  }
  beforeEach(() => {
    pitches.length = 0;
    Object.assign(globalThis, { AudioContext: Silent });
  });
  const through = (tone: boolean, ...frames: string[]) =>
    frames.forEach((frame) => shownInApp(<Step frame={frame} tone={tone} />).unmount());

  it('tells each state that stops the work by its own pitch, once, and says nothing of going on', () => {
    through(true, 'free', 'held', 'held', 'free', 'wait', 'stop', 'free');
    expect(pitches).toEqual([520, 390, 700, 700]);
  });

  it('can be turned off', () => {
    through(false, 'free', 'held', 'stop', 'free');
    expect(pitches).toEqual([]);
  });
});
