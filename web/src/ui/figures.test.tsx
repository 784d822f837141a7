import { plan, type Figure } from '@compas/core';
import { fireEvent, screen } from '@testing-library/react';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { shownInApp } from '../../test/inApp.js';
import { Figures } from './Figures.js';

const figure = (rest: Partial<Figure>): Figure => ({
  id: 'f',
  label: 'Figure',
  value: 8,
  unit: 'mm',
  working: { rule: 'So it is.', source: 'bench', inputs: [{ label: 'from', value: 4, unit: 'mm' }] },
  ...rest,
});
const shown = (...figures: Figure[]) => shownInApp(<Figures figures={figures} />);

it('a bit is told by what is stamped on it, its size never in other units', () => {
  const { pattern, workshop, stock, order, schools } = exampleInputs(2);
  const bit = plan(pattern, workshop, stock, order, schools).figures.drill?.find((f) =>
    f.id.startsWith('bit.'),
  );
  expect(bit?.told).toMatch(/^[a-z ]+ \d/);
  shown({ ...bit!, told: 'brad point 8.2 mm' }, figure({ id: 'tape', label: 'Tape', value: 52 }));
  expect(screen.getByRole('button', { name: /^Bit for the/ }).textContent).toContain('brad point 8.2 mm');
  expect(screen.getByRole('button', { name: /^Tape/ }).textContent).toMatch(/52\.0\smm/);
});

it('opens how it was worked out, and closes it again', () => {
  shown(figure({}));
  const button = screen.getByRole('button', { name: /^Figure/ });
  expect(screen.queryByText(/So it is/)).toBeNull();
  fireEvent.click(button);
  expect(screen.getByText(/So it is/)).toBeTruthy();
  expect(button.getAttribute('aria-expanded')).toBe('true');
  fireEvent.click(button);
  expect(screen.queryByText(/So it is/)).toBeNull();
});

it('a lathe driven by foot has no speed to be set', () => {
  shown(figure({ value: 0, unit: 'rpm' }));
  expect(screen.getByRole('button', { name: /^Figure/ }).textContent).toContain('by treadle');
});
