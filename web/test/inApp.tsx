import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactNode } from 'react';
import { createMemoryRouter } from 'react-router';
import { RouterProvider } from 'react-router/dom';
import { Dressed } from '../src/ui/Dressed.js';
import { UnitsProvider } from '../src/ui/units.js';

/** One answer of the stand-in server. */
interface Answer {
  status?: number;
  body?: unknown;
}

/** What the stand-in server was asked. */
export interface Asked {
  method: string;
  path: string;
  body: unknown;
  headers: Record<string, string>;
}

type Answers = Record<string, (asked: Asked) => Answer | Promise<Answer>>;

/**
 * Stands in for the server: answers by method and path, such as `GET /api/batches/made`; `null` for a path is
 * a network that fails. What was asked is kept in order.
 */
export function answering(answers: Answers): Asked[] {
  const asked: Asked[] = [];
  globalThis.fetch = async (input: RequestInfo | URL, init?: RequestInit) => {
    const request = new Request(input, init);
    const text = request.method === 'GET' ? '' : await request.text();
    const url = new URL(request.url);
    const one: Asked = {
      method: request.method,
      path: url.pathname + url.search,
      body: text === '' ? undefined : JSON.parse(text),
      headers: Object.fromEntries(request.headers),
    };
    asked.push(one);
    const answer = answers[`${one.method} ${one.path}`] ?? answers[`${one.method} ${url.pathname}`];
    if (!answer) throw new TypeError(`fetch failed: nothing stands in for ${one.method} ${one.path}`);
    const { status = 200, body } = await answer(one);
    return new Response(body === undefined ? null : JSON.stringify(body), {
      status,
      headers: { 'content-type': status < 400 ? 'application/json' : 'application/problem+json' },
    });
  };
  return asked;
}

/** Shows something as the application does: with queries, messages, units, and a place at an address. */
export function shownInApp(
  element: ReactNode,
  { at = '/', path = '*' }: { at?: string; path?: string } = {},
) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const router = createMemoryRouter(
    [{ path, element }, ...(path === '*' ? [] : [{ path: '*', element: null }])],
    {
      initialEntries: [at],
    },
  );
  const shown = render(
    <QueryClientProvider client={client}>
      <Dressed>
        <UnitsProvider usual="mm">
          <RouterProvider router={router} />
        </UnitsProvider>
      </Dressed>
    </QueryClientProvider>,
  );
  return { ...shown, client, router, user: userEvent.setup({ delay: null }) };
}

/** Chooses from a list by its label and the words of the choice. */
export async function choose(label: string, words: string): Promise<void> {
  const box = screen.getByRole<HTMLInputElement>('combobox', { name: label });
  fireEvent.mouseDown(box);
  // long lists are searched
  if (!box.readOnly) fireEvent.change(box, { target: { value: words } });
  const options = await screen.findAllByTitle(words);
  const option = options.findLast((o) => o.classList.contains('ant-select-item-option'));
  if (!option) throw new Error(`“${words}” is not offered for “${label}”.`);
  fireEvent.click(option);
}

/** Somebody who looks before they press: what is pressed sooner than it is seen does nothing at the lathe. */
export const unhurried = ({ click, ...user }: ReturnType<typeof userEvent.setup>) => ({
  ...user,
  click: async (element: Element): Promise<void> => {
    await new Promise((seen) => setTimeout(seen, 400));
    await click(element);
  },
});
