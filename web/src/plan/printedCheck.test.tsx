import { fireEvent, screen } from '@testing-library/react';
import { answering, shownInApp } from '../../test/inApp.js';
import { PrintedCheck } from './PrintedCheck.js';

describe('a print', () => {
  const measure = (text: string) => {
    const bar = screen.getByLabelText('The 100 mm between the notches measure');
    fireEvent.change(bar, { target: { value: text } });
    fireEvent.blur(bar);
  };

  it('is not called good before its bar was measured, and then by what was measured', () => {
    answering({});
    const { container } = shownInApp(<PrintedCheck length={140} />);
    expect(container.textContent).toContain('Nothing is cut by it before the bar is measured.');
    expect(container.textContent).not.toContain('use it');
    // 0.6 % of 140 are 0.84
    measure('99.4');
    expect(container.textContent).toMatch(/■ Over 140\.0\smm it is 0\.84\smm too short/);
    measure('100');
    expect(container.textContent).toContain('✔');
  });
});
