import { chain, dim, dimensionOf, withDimension, type Element } from '@compas/core';
import { fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { UnitsProvider } from '../ui/units.js';
import { FrameContext, frameFor } from './frame.js';
import { HandleLayer, type HandleMove } from './HandleLayer.js';

let current: Element[] = [];
const gone = jest.fn();

/** A taper and a bead on the strip, changed by their handles. */
function Bench() {
  const [elements, setElements] = useState<Element[]>([
    { kind: 'taper', id: 't', name: 'stem', length: dim(40), endDiameter: dim(16) },
    { kind: 'bead', id: 'b', name: 'collar', length: dim(8), crown: dim(26) },
  ]);
  current = elements;
  const outline = chain(elements, 20);
  const frame = frameFor({
    width: 900,
    length: outline.length,
    largestRadius: 13,
    before: 0,
    after: 0,
    headstockEnd: 'reference',
    tallest: 236,
  });
  const move = ({ elementId, across, diameter, along, length }: HandleMove) =>
    setElements((all) =>
      all.map((element) => {
        if (element.id !== elementId) return element;
        const wide =
          across && across !== 'startDiameter' ? withDimension(element, across, dim(diameter)) : element;
        return along ? withDimension(wide, along, dim(length)) : wide;
      }),
    );
  return (
    <div onKeyDown={(e) => void gone(e.key)}>
      <svg>
        <FrameContext value={frame}>
          <HandleLayer outline={outline} direction={1} onMove={move} onHold={() => undefined} />
        </FrameContext>
      </svg>
    </div>
  );
}

const mm = (id: string, key: 'endDiameter' | 'length' | 'crown') =>
  dimensionOf(
    current.find((e) => e.id === id)!,
    key,
  )?.mm;
const press = (handle: HTMLElement, ...keys: string[]) =>
  keys.forEach((key) => fireEvent.keyDown(handle, { key }));

/** The page of the tests knows pointers only as mice. */
const pointer = (on: HTMLElement, kind: string, at: MouseEventInit) =>
  fireEvent(on, new MouseEvent(kind, { bubbles: true, ...at }));

/** The end of the stem, taken hold of. */
function stemEnd() {
  HTMLElement.prototype.setPointerCapture = () => undefined;
  SVGElement.prototype.setPointerCapture = () => undefined;
  render(
    <UnitsProvider usual="mm">
      <Bench />
    </UnitsProvider>,
  );
  const handle = screen.getByRole('slider', { name: 'End of stem' });
  fireEvent.focus(handle);
  return handle;
}

beforeEach(() => gone.mockReset());

it('the dimensions ride beside the handle, and what is typed sets them', () => {
  const handle = stemEnd();
  expect(screen.getByRole('status').textContent).toBe('⌀ 16.0 mm   40.0 mm long');
  press(handle, '1', '8', '.', '5');
  expect(screen.getByRole('status').textContent).toMatch(/^⌀ 18\.5▏/);
  expect(mm('t', 'endDiameter')).toBe(16);
  press(handle, 'Enter');
  expect(mm('t', 'endDiameter')).toBe(18.5);
  expect(mm('t', 'length')).toBe(40);
  press(handle, 'l', '5', '2', 'Backspace', '0');
  fireEvent.blur(handle);
  expect(mm('t', 'length')).toBe(50);
  expect(mm('t', 'endDiameter')).toBe(18.5);
});

it('what cannot be read is said there and sets nothing; Tab waits for it', () => {
  const handle = stemEnd();
  press(handle, '4', '/', '/');
  expect(fireEvent.keyDown(handle, { key: 'Tab' })).toBe(false);
  expect(screen.getByRole('status').textContent).toMatch(/4\/\/▏.*long.+/);
  expect(mm('t', 'endDiameter')).toBe(16);
  press(handle, 'Escape');
  expect(fireEvent.keyDown(handle, { key: 'Tab' })).toBe(true);
});

it('letters stay on the strip, and Esc leaves a handle as it was taken', () => {
  const handle = stemEnd();
  press(handle, 'b', 'p', 'ArrowUp', 'ArrowUp', 'ArrowRight');
  expect(gone).not.toHaveBeenCalled();
  expect(mm('t', 'endDiameter')).toBeCloseTo(16.2, 9);
  expect(mm('t', 'length')).toBeCloseTo(40.1, 9);
  press(handle, 'Escape');
  expect([mm('t', 'endDiameter'), mm('t', 'length')]).toEqual([16, 40]);
});

it('Shift keeps a drag to one direction, Esc takes it back', () => {
  const handle = stemEnd();
  pointer(handle, 'pointerdown', { clientX: 100, clientY: 100 });
  pointer(handle, 'pointermove', { clientX: 103, clientY: 50, shiftKey: true });
  expect(mm('t', 'length')).toBeCloseTo(40, 9);
  expect(mm('t', 'endDiameter')).toBeGreaterThan(20);
  pointer(handle, 'pointermove', { clientX: 140, clientY: 50 });
  expect(mm('t', 'length')).toBeGreaterThan(42);
  press(handle, 'Escape');
  expect([mm('t', 'endDiameter'), mm('t', 'length')]).toEqual([16, 40]);
  pointer(handle, 'pointermove', { clientX: 200, clientY: 50 });
  expect(mm('t', 'length')).toBe(40);
});
