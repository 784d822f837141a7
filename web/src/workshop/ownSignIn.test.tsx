import { screen, waitFor } from '@testing-library/react';
import { answering, shownInApp } from '../../test/inApp.js';
import { OpenInvites } from './OpenInvites.js';
import { OwnSignIn } from './OwnSignIn.js';

const here = { since: '2026-03-02T08:00:00.000Z', here: true };

describe('one’s own sign-in', () => {
  it('says where else it is open, and ends it there', async () => {
    let others = [{ since: '2026-03-01T07:00:00.000Z', here: false }];
    const asked = answering({
      'GET /api/session/all': () => ({ body: [here, ...others] }),
      'DELETE /api/session/others': () => {
        others = [];
        return { status: 204 };
      },
    });
    const { user } = shownInApp(<OwnSignIn />);
    expect((await screen.findByText(/You are signed in at one other place/)).textContent).toMatch(
      /Sun 1 Mar/,
    );
    await user.click(screen.getByRole('button', { name: 'Sign out everywhere else' }));
    expect(await screen.findByText('You are signed in here only.')).toBeTruthy();
    expect(asked.filter((a) => a.method === 'DELETE')).toHaveLength(1);
  });

  it('takes a new password; what is wrong is said, and what was typed stays', async () => {
    let right = false;
    const asked = answering({
      'GET /api/session/all': () => ({ body: [here] }),
      'PUT /api/session/password': () =>
        right
          ? { status: 204 }
          : {
              status: 422,
              body: { detail: 'That is not your password now. Type it once more.', errors: [] },
            },
    });
    const { user } = shownInApp(<OwnSignIn />);
    const [old, fresh] = [
      await screen.findByLabelText<HTMLInputElement>('Password now'),
      screen.getByLabelText<HTMLInputElement>('New password, ten characters or more'),
    ];
    const change = screen.getByRole('button', { name: 'Change the password' });
    await user.type(old, 'the old one');
    await user.type(fresh, 'short');
    await user.click(change);
    expect(await screen.findByText('Ten characters or more.')).toBeTruthy();
    expect(asked.filter((a) => a.method === 'PUT')).toHaveLength(0);
    await user.type(fresh, ' but longer');
    await user.click(change);
    expect(await screen.findByText(/That is not your password now/)).toBeTruthy();
    expect(fresh.value).toBe('short but longer');
    right = true;
    await user.click(change);
    expect(await screen.findByText('Changed. Everywhere else you are signed out.')).toBeTruthy();
    expect(asked.filter((a) => a.method === 'PUT').at(-1)?.body).toEqual({
      old: 'the old one',
      password: 'short but longer',
    });
    // the form is a fresh one
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('Password now').value).toBe(''));
  });
});

it('links that nobody has used are in sight until they are withdrawn', async () => {
  let open = [{ id: 'i1', role: 'owner', expiresAt: '2026-03-09T08:00:00.000Z' }];
  answering({
    'GET /api/members/invites': () => ({ body: open }),
    'DELETE /api/members/invites/i1': () => {
      open = [];
      return { status: 204 };
    },
  });
  const { user } = shownInApp(<OpenInvites />);
  expect(await screen.findByText('for an owner')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'Withdraw it' }));
  await waitFor(() => expect(screen.queryByText('for an owner')).toBeNull());
});
