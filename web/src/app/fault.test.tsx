import { queryOptions, useQuery } from '@tanstack/react-query';
import { screen, waitFor } from '@testing-library/react';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { render } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { ask } from '../api/client.js';
import { answering } from '../../test/inApp.js';
import { Fault, NotThere } from './Fault.js';
import { throwWithoutData } from './queries.js';

const kits = queryOptions({ queryKey: ['kits'], queryFn: () => ask('get', '/api/kits') });
function Kits() {
  const found = useQuery(kits);
  return found.data ? <p>{found.data.kits.length} kits</p> : null;
}
function Broken(): never {
  throw new Error('undefined is not a function');
}

/** The screens with the boundary and the rule for failed questions that the application has. */
function shown(at: string) {
  const client = new QueryClient({
    defaultOptions: { queries: { retry: false, throwOnError: throwWithoutData } },
  });
  const router = createMemoryRouter(
    [
      {
        errorElement: <Fault />,
        children: [
          { path: '/kits', element: <Kits /> },
          { path: '/broken', element: <Broken /> },
          { path: '*', element: <NotThere /> },
        ],
      },
    ],
    { initialEntries: [at] },
  );
  render(
    <QueryClientProvider client={client}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return { client, user: userEvent.setup({ delay: null }) };
}

const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
afterAll(() => quiet.mockRestore());

describe('a screen that cannot be shown', () => {
  it('says what the server said, offers a way back, and is there again when it is tried again', async () => {
    let up = false;
    answering({
      'GET /api/kits': () =>
        up ? { body: { kits: [] } } : { status: 503, body: { detail: 'The database is being started.' } },
    });
    const { user } = shown('/kits');
    expect((await screen.findByRole('alert')).textContent).toContain('The database is being started.');
    expect(screen.getByRole('link', { name: 'To the Bench' }).getAttribute('href')).toBe('/');
    up = true;
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText('0 kits')).toBeTruthy();
  });

  it('says that what is asked for is not there when it is not', async () => {
    answering({
      'GET /api/kits': () => ({ status: 404, body: { detail: 'There is no such kit in this workshop.' } }),
    });
    shown('/kits');
    expect(await screen.findByText('Not here.')).toBeTruthy();
    expect(screen.getByText(/no such kit/)).toBeTruthy();
  });

  it('does not show its innards when the mistake is ours', async () => {
    shown('/broken');
    const alert = await screen.findByRole('alert');
    expect(alert.textContent).toContain('Compas made a mistake');
    expect(alert.textContent).not.toContain('undefined is not');
  });

  it('stays as it is when only a later question fails', async () => {
    let up = true;
    answering({ 'GET /api/kits': () => (up ? { body: { kits: [] } } : { status: 503, body: {} }) });
    const { client } = shown('/kits');
    await screen.findByText('0 kits');
    up = false;
    await client.invalidateQueries({ queryKey: ['kits'] });
    await waitFor(() => expect(client.isFetching()).toBe(0));
    expect(screen.getByText('0 kits')).toBeTruthy();
  });
});

it('an address at which nothing lies has a way back', async () => {
  shown('/nowhere/at/all');
  expect(await screen.findByText('Not here.')).toBeTruthy();
  expect(screen.getByRole('link', { name: 'To the patterns' }).getAttribute('href')).toBe('/patterns');
});
