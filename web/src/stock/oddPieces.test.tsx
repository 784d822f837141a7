import { fireEvent, screen, within } from '@testing-library/react';
import { STARTING_FORMS } from '@compas/core';
import { exampleWorkshop } from '../../../core/src/plan/exampleShop.js';
import { answering, shownInApp } from '../../test/inApp.js';
import { IrregularPiece } from './IrregularPiece.js';
import { OvalPiece } from './OvalPiece.js';

/** Typed into a length field and left. */
async function give(user: ReturnType<typeof shownInApp>['user'], label: string, text: string) {
  const field = screen.getByRole('textbox', { name: label });
  await user.clear(field);
  await user.type(field, text);
  await user.tab();
}

describe('a dried oval', () => {
  it('that is round already has one width in every direction', async () => {
    const { user } = shownInApp(<OvalPiece />);
    for (const angle of [0, 45, 90, 135]) await give(user, `Across at ${angle}°`, '50');
    expect(screen.getByRole('heading').textContent).toMatch(/A round of 50/);
  });

  it('cleans up to its short side', async () => {
    const { user } = shownInApp(<OvalPiece />);
    // long side at 0°: the diagonals of an oval of 52 by 48 are about 50
    for (const [angle, width] of [
      [0, '52'],
      [45, '50'],
      [90, '48'],
      [135, '50'],
    ] as const)
      await give(user, `Across at ${angle}°`, width);
    expect(screen.getByRole('heading').textContent).toMatch(/A round of 48/);
  });
});

describe('an irregular piece', () => {
  const rows = () => within(screen.getByRole('table')).getAllByRole('row').length - 1;

  it('is measured at two places at least; the next place lies beyond the last', () => {
    shownInApp(<IrregularPiece />);
    expect(rows()).toBe(3);
    fireEvent.click(screen.getByRole('button', { name: 'One place more' }));
    expect(rows()).toBe(4);
    expect(screen.getByRole('textbox', { name: 'Place 4, from the drive end' })).toHaveProperty(
      'value',
      '150',
    );
    for (const place of [1, 1])
      fireEvent.click(screen.getByRole('button', { name: `Take away place ${place}` }));
    expect(rows()).toBe(2);
    expect(screen.queryByRole('button', { name: /Take away place/ })).toBeNull();
  });
});

describe('what becomes of an odd piece', () => {
  const form = (id: string) => STARTING_FORMS.find((f) => f.id === id) ?? STARTING_FORMS[0];
  const patterns = [
    { id: 'p1', name: 'Acorn pull', version: 1, body: form('light-pull').body({}, 'maple') },
    { id: 'p2', name: 'Long pin', version: 1, body: form('tapered-pin').body({}, 'maple') },
  ];

  it('goes on the shelf by the round in it, never thicker, and is planned with what it is', async () => {
    const asked = answering({
      'GET /api/workshop': () => ({ body: { name: 'Ours', version: 1, body: exampleWorkshop() } }),
      'GET /api/patterns': () => ({ body: { patterns, next: null } }),
      'POST /api/stock': () => ({ status: 201, body: [] }),
    });
    const { user } = shownInApp(<OvalPiece />);
    for (const angle of [0, 45, 90, 135]) await give(user, `Across at ${angle}°`, '47.26');
    await give(user, 'Length', '90');
    await user.type(screen.getByLabelText('What it is called'), 'Plum limb');
    // of the two only the pull, 60 long and 26 thick, lies in it
    const link = await screen.findByRole('link', { name: 'Acorn pull' });
    expect(link.getAttribute('href')).toContain('/patterns/p1/plan/stock?pieces=1&material=maple&form=oval');
    expect(screen.queryByRole('link', { name: 'Long pin' })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    await screen.findByText(/by the round that is in it/);
    const { received } = asked.find((a) => a.method === 'POST')?.body as { received: object[] };
    expect(received).toMatchObject([
      {
        amount: 1,
        item: { kind: 'blank', form: 'round', label: 'Plum limb', size: { mm: 47.2 }, length: { mm: 90 } },
      },
    ]);
  });
});
