import { deliverySheet, type DeliveredLine } from './deliverySheet.js';
import { MARGIN, PAPERS } from './page.js';

const line = (rest: Partial<DeliveredLine> = {}): DeliveredLine => ({
  what: 'Stopper',
  wanted: 3,
  given: [1, 2, 4],
  coming: 0,
  stopped: 0,
  short: 0,
  madeOf: ['Stopper in maple, friction polish'],
  care: 'Keep it dry.',
  restsUntil: null,
  ...rest,
});
const sheet = (...lines: DeliveredLine[]) =>
  deliverySheet({
    from: 'The Shop',
    to: 'The inn',
    due: 'Fri 20 Mar 2026',
    day: 'Thu 19 Mar 2026',
    lines,
    paper: 'A4',
  });
const textOf = (...lines: DeliveredLine[]): string =>
  sheet(...lines)
    .flatMap(({ ink }) => ink.flatMap((i) => (i.kind === 'text' ? [i.text] : [])))
    .join('\n');

it('says what is handed over with its numbers, what it is made of, and how it is looked after', () => {
  const text = textOf(line(), line({ what: 'Dibber', given: [7], wanted: 1 }));
  expect(text).toContain('From The Shop, Thu 19 Mar 2026; agreed for Fri 20 Mar 2026.');
  expect(text).toContain('[  ] 3 × Stopper\nno. 1, 2, 4');
  expect(text).toContain('Stopper in maple, friction polish');
  expect(text).toContain('Stopper, Dibber: Keep it dry.');
  expect(text).not.toContain('Still to come');
});

it('says what is still to come and why, and does not look after what is not there', () => {
  const text = textOf(
    line({ given: [2], coming: 1, short: 1 }),
    line({ what: 'Top', given: [], care: 'Wax it.', short: 3 }),
  );
  expect(text).toContain('2 × Stopper: 1 still being made, 1 not begun.');
  expect(text).toContain('3 × Top: 3 not begun.');
  expect(text).not.toContain('Wax it.');
});

it('says what still cures, and goes on on a second page rather than off the first', () => {
  const many = Array.from({ length: 40 }, (_, i) =>
    line({ what: `Thing ${i}`, restsUntil: 'Fri 27 Mar, 10:00' }),
  );
  const pages = sheet(...many);
  expect(pages.length).toBeGreaterThan(1);
  const lowest = Math.max(
    ...pages.flatMap(({ ink }) => ink.flatMap((i) => (i.kind === 'text' && i.size > 3 ? [i.y] : []))),
  );
  expect(lowest).toBeLessThanOrEqual(PAPERS.A4.height - MARGIN);
  expect(textOf(...many)).toContain('Not to be used before Fri 27 Mar, 10:00: it still cures.');
});
