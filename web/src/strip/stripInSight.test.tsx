import { act, render, screen } from '@testing-library/react';
import { use } from 'react';
import { StripInSight } from './StripInSight.js';
import { StripRoom } from './stripRoom.js';

function Room() {
  return <output>{use(StripRoom)}</output>;
}

/** Scrolls so that the place of the strip is so far above the top of the window. */
function scrolledBy(container: HTMLElement, px: number) {
  const mark = container.querySelector('.strip-mark')!;
  jest.spyOn(mark, 'getBoundingClientRect').mockReturnValue({ top: 140 - px } as DOMRect);
  act(() => void window.dispatchEvent(new Event('scroll')));
}

describe('the strip while one scrolls', () => {
  it('becomes a band when its place is out of sight, leaves its room free, and is whole again back there', () => {
    jest.spyOn(HTMLElement.prototype, 'offsetHeight', 'get').mockReturnValue(280);
    const { container } = render(
      <StripInSight>
        <Room />
      </StripInSight>,
    );
    const place = container.querySelector<HTMLElement>('.strip-place')!;
    const room = () => screen.getByRole('status').textContent;
    scrolledBy(container, 150);
    expect(room()).toBe('all');
    expect(place.style.height).toBe('');
    scrolledBy(container, 400);
    expect(room()).toBe('band');
    expect(place.style.height).toBe('280px');
    scrolledBy(container, 100);
    expect(room()).toBe('all');
    expect(place.style.height).toBe('');
  });
});
