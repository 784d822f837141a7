import { freshKit, KIT_KIND_LIST, type NewKit } from '@compas/core';
import { screen, waitFor, within } from '@testing-library/react';
import { exampleWorkshop } from '../../../core/src/plan/exampleShop.js';
import { answering, shownInApp } from '../../test/inApp.js';
import { KitForm } from './KitForm.js';

const kit: NewKit = { ...freshKit(KIT_KIND_LIST[0]!), name: 'Steel stopper', onHand: 12 };
const held = { id: 'k1', version: 3 };
const PUT = `PUT /api/kits/${held.id}`;
const shelf = (theirs: NewKit, version: number) => ({
  'GET /api/kits': () => ({ body: { kits: [{ kit: { ...theirs, id: held.id }, version }] } }),
});
const shown = (onDone = () => undefined as void, at: typeof held | null = held) =>
  shownInApp(<KitForm held={at} first={kit} workshop={exampleWorkshop()} onDone={onDone} />);
const stock = () => screen.getByRole('spinbutton', { name: 'Steel stopper, on the shelf' });

beforeEach(() => localStorage.clear());

describe('a kit', () => {
  it('that was not touched asks for no saving', () => {
    answering({});
    shown();
    expect(screen.queryByRole('button', { name: 'Save the kit' })).toBeNull();
  });

  it('is saved over the version it was opened with, and closes', async () => {
    const asked = answering({ ...shelf(kit, 3), [PUT]: () => ({ body: {} }) });
    const onDone = jest.fn();
    const { user } = shown(onDone);
    await user.clear(stock());
    await user.type(stock(), '9');
    await user.click(screen.getByRole('button', { name: 'Save the kit' }));
    await waitFor(() => expect(onDone).toHaveBeenCalled());
    expect(asked.find((a) => a.method === 'PUT')?.body).toEqual({ kit: { ...kit, onHand: 9 }, basedOn: 3 });
    expect(localStorage.getItem('compas.draft/kits/k1')).toBeNull();
  });

  it('is paid for in the money of the workshop, not in its smallest coin', async () => {
    const asked = answering({ ...shelf(kit, 3), [PUT]: () => ({ body: {} }) });
    const { user } = shown();
    const cost = screen.getByRole('spinbutton', { name: 'Steel stopper, one costs' });
    expect(cost.closest('label')?.textContent).toContain('One costs, EUR');
    await user.clear(cost);
    await user.type(cost, '3.29');
    await user.click(screen.getByRole('button', { name: 'Save the kit' }));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'PUT')?.body).toMatchObject({ kit: { cost: 329 } }),
    );
  });

  it('names the bit it is drilled with by what is stamped on it, whatever units are read', () => {
    answering({});
    const stamped = {
      id: 'b',
      kind: 'brad point' as const,
      diameter: { mm: 6.746875, typed: '17/64' },
      length: 200,
    };
    shownInApp(
      <KitForm
        held={held}
        first={kit}
        workshop={{ ...exampleWorkshop(), bits: [stamped] }}
        onDone={() => undefined}
      />,
    );
    expect(document.querySelector('.kit-asks')?.textContent).toMatch(/(✔|nearest:) brad point 17\/64″: 6\.7/);
  });

  it('that somebody counted too is asked about by the name of the field, and both counts', async () => {
    const version = 4;
    const theirs = { ...kit, onHand: 7 };
    const asked = answering({
      ...shelf(theirs, version),
      [PUT]: ({ body }) => {
        if ((body as { basedOn: number }).basedOn === version) return { body: {} };
        return {
          status: 409,
          body: {
            detail: 'Maren changed it in between.',
            conflict: { by: 'Maren', at: '2026-03-02T08:00:00.000Z', version },
          },
        };
      },
    });
    const { user } = shown();
    await user.clear(stock());
    await user.type(stock(), '9');
    await user.click(screen.getByRole('button', { name: 'Save the kit' }));
    const choice = await screen.findByRole('radiogroup', { name: 'On the shelf' });
    expect(within(choice).getByText('mine: 9')).toBeTruthy();
    await user.click(within(choice).getByText('Maren: 7'));
    await user.click(screen.getByRole('button', { name: 'Save it so' }));
    await waitFor(() => expect(asked.filter((a) => a.method === 'PUT')).toHaveLength(2));
    expect(asked.findLast((a) => a.method === 'PUT')?.body).toEqual({ kit: theirs, basedOn: version });
  });

  it('that is new keeps what was measured until it is left', async () => {
    answering({});
    const first = shown(undefined, null);
    const name = () => screen.getByRole('textbox', { name: 'Name of the kit' });
    await first.user.type(name(), ' of brass');
    await waitFor(() => expect(localStorage.length).toBe(1));
    first.unmount();
    const second = shown(undefined, null);
    expect(name()).toHaveProperty('value', 'Steel stopper of brass');
    await second.user.click(screen.getByRole('button', { name: 'Leave it' }));
    await new Promise((done) => setTimeout(done, 500));
    expect(localStorage.length).toBe(0);
  });
});
