import { fireEvent, screen } from '@testing-library/react';
import { shownInApp } from '../../test/inApp.js';
import { useKeyboardUsed } from './useKeyboardUsed.js';

const Frame = () => <div data-testid="frame" data-keys={useKeyboardUsed()} />;
const shows = () => screen.getByTestId('frame').getAttribute('data-keys');

it('keys stand on their buttons once somebody works with the keyboard, not while numbers are typed', () => {
  shownInApp(<Frame />);
  expect(shows()).toBe('false');
  for (const key of ['4', '2', '.', 'Enter', 'ArrowUp']) fireEvent.keyDown(window, { key });
  expect(shows()).toBe('false');
  fireEvent.keyDown(window, { key: 'Tab' });
  expect(shows()).toBe('true');
  // and stay
  fireEvent.keyDown(window, { key: '4' });
  expect(shows()).toBe('true');
});

it.each([{ key: 'z', ctrlKey: true }, { key: '?' }, { key: 'ArrowUp', altKey: true }])(
  '%o is work with the keyboard',
  (keys) => {
    shownInApp(<Frame />);
    fireEvent.keyDown(window, keys);
    expect(shows()).toBe('true');
  },
);
