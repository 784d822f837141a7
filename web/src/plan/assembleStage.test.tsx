import { planOfPart } from '@compas/core';
import { screen, within } from '@testing-library/react';
import { exampleTops } from '../../test/exampleItems.js';
import { choose, shownInApp } from '../../test/inApp.js';
import { AssembleStage } from './AssembleStage.js';
import { DecidingContext, EVERY_SCOPE, type Deciding, type Wanted } from './own/deciding.js';

const { plan, inputs } = exampleTops(2).snapshot;
const [join] = plan.item!.steps;

function shown(leads: boolean, of = plan) {
  const decided: Wanted[] = [];
  const deciding = {
    part: of.parts[0],
    leads,
    material: 'Maple',
    scopes: EVERY_SCOPE,
    skipped: [],
    pending: false,
    error: null,
    decide: (wanted: Wanted) => decided.push(wanted),
  } as unknown as Deciding;
  const { user } = shownInApp(
    <DecidingContext value={deciding}>
      <AssembleStage plan={of} inputs={inputs} />
    </DecidingContext>,
  );
  return { user, decided };
}

describe('how the item is put together', () => {
  it('takes a step of one’s own behind a join: what, where, how long, for order or pattern', async () => {
    const { user, decided } = shown(true);
    await user.click(screen.getByRole('button', { name: `Own step after: ${join!.title}` }));
    const form = screen.getByRole('form', { name: `Own step after: ${join!.title}` });
    const so = within(form).getByRole<HTMLButtonElement>('button', { name: 'Do it so' });
    expect(so.disabled).toBe(true);
    await user.type(within(form).getByLabelText('What is done'), 'True both together');
    await choose('Where', 'lathe');
    await user.clear(within(form).getByLabelText('Minutes a piece'));
    await user.type(within(form).getByLabelText('Minutes a piece'), '6');
    await user.click(so);
    expect(decided).toEqual([
      {
        scope: 'order',
        why: '',
        decides: {
          kind: 'extra',
          step: {
            title: 'True both together',
            words: '',
            place: 'lathe',
            minutes: 6,
            after: join!.id,
            makes: [],
          },
        },
      },
    ]);
    expect(screen.queryByRole('form')).toBeNull();
  });

  it('is decided with the part that leads the order only', () => {
    shown(false);
    expect(screen.getByRole('heading', { name: join!.title })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Own step after/ })).toBeNull();
  });

  it('shows what a part is glued onto before it is turned with its own work, its cure to be chosen there', async () => {
    const made = exampleTops(2, [], 'glued shaft').snapshot;
    const body = planOfPart(made.plan, made.inputs.pattern, 'part2');
    const { user, decided } = shown(false, body);
    const sheet = screen.getByRole('heading', { name: 'Glue the body onto the stem' }).parentElement!;
    expect(within(sheet).getByText(/The glue cures: 12 h/)).toBeTruthy();
    expect(screen.getByText(/Each body keeps its number and carries its item/)).toBeTruthy();
    expect(screen.getByRole('heading', { name: /Look the top over/ })).toBeTruthy();
    await user.click(within(sheet).getByRole('button', { name: /another time/ }));
    await user.click(await screen.findByRole('button', { name: 'Do it so' }));
    expect(decided[0]?.decides).toMatchObject({ kind: 'cure', of: 'join1' });
  });
});
