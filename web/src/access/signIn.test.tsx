import { screen, waitFor } from '@testing-library/react';
import { answering, shownInApp } from '../../test/inApp.js';
import SignIn from './SignIn.js';

const session = (change: object) => ({
  userId: null,
  userName: null,
  workshopId: null,
  workshops: [],
  demo: true,
  signUp: true,
  ...change,
});
const door = (change: object) => {
  const asked = answering({
    'GET /api/session': () => ({ body: session(change) }),
    'POST /api/session': () => ({ body: session({ userId: 'u' }) }),
  });
  return { ...shownInApp(<SignIn />, { at: '/sign-in?from=/stock', path: '/sign-in' }), asked };
};

describe('the door', () => {
  it('lets one in, try the demo, or begin a workshop', async () => {
    const { user, asked, router } = door({});
    expect(await screen.findByRole('button', { name: 'Enter the demo workshop' })).toBeTruthy();
    expect(screen.getByText('New workshop')).toBeTruthy();
    await user.type(screen.getByLabelText('E-mail address'), 'ode@example.test');
    await user.type(screen.getByLabelText('Password'), 'secret words');
    await user.click(screen.getByRole('button', { name: 'Sign in' }));
    await waitFor(() => expect(router.state.location.pathname).toBe('/stock'));
    expect(asked.find((a) => a.method === 'POST')?.body).toEqual({
      email: 'ode@example.test',
      password: 'secret words',
    });
  });

  it('offers nothing that is shut', async () => {
    door({ demo: false, signUp: false });
    await waitFor(() => expect(screen.queryByText('New workshop')).toBeNull());
    expect(screen.queryByRole('button', { name: 'Enter the demo workshop' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Sign in' })).toBeTruthy();
  });
});
