import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, render, screen, waitFor } from '@testing-library/react';
import { answering, shownInApp } from '../../test/inApp.js';
import { LayAside } from './LayAside.js';
import { useKeptChoices, type Begun, type KeptChoices } from './useKeptChoices.js';

let laidAside: number;
let isDraft: boolean;
beforeEach(() => {
  laidAside = 0;
  isDraft = true;
});
const laid = (orders: object[], at: string) => {
  const asked = answering({
    'GET /api/orders?closed=no': () => ({ body: orders }),
    'POST /api/orders': () => ({ status: 201, body: {} }),
    'PUT /api/orders/o1': () => ({ body: {} }),
    'DELETE /api/drafts/p1': () => ({ status: 204 }),
  });
  const search = new URLSearchParams(at);
  const app = shownInApp(
    <LayAside
      patternId="p1"
      search={search}
      pieces={7}
      planned
      due="2026-03-20"
      kept={{
        isOwn: () => isDraft,
        hold: () => undefined,
        release: () => undefined,
        settle: () => laidAside++,
      }}
    />,
    {
      at: '/patterns/p1/plan',
      path: '/patterns/p1/plan',
    },
  );
  return { ...app, asked };
};

describe('a plan that is laid aside', () => {
  it('is a line of an order with all that was chosen, and leads to the Bench', async () => {
    const { user, asked, router } = laid([], 'mount=screw&for=The inn');
    await user.click(await screen.findByRole('button', { name: 'Lay it aside' }));
    await waitFor(() => expect(router.state.location.pathname).toBe('/'));
    expect(laidAside).toBe(1);
    expect(asked.map((a) => `${a.method} ${a.path}`)).toContain('DELETE /api/drafts/p1');
    expect(asked.find((a) => a.method === 'POST')?.body).toEqual({
      customer: 'The inn',
      due: '2026-03-20',
      lines: [{ patternId: 'p1', pieces: 7, choices: 'mount=screw&for=The+inn' }],
    });
  });

  it('leaves the draft of another plan of the pattern where it is', async () => {
    isDraft = false;
    const { user, asked, router } = laid([], 'mount=screw');
    await user.click(await screen.findByRole('button', { name: 'Lay it aside' }));
    await waitFor(() => expect(router.state.location.pathname).toBe('/'));
    expect(asked.some((a) => a.method === 'DELETE')).toBe(false);
    isDraft = true;
  });

  it('is one more line of the order that was named', async () => {
    const line = { number: 4, patternId: 'p9', pieces: 2, batchId: 'b' };
    const order = { id: 'o1', customer: 'The mill', due: null, version: 5, closed: false, lines: [line] };
    const { user, asked, router } = laid([order], 'order=o1');
    await waitFor(() => expect(asked).toHaveLength(1));
    await user.click(await screen.findByRole('button', { name: 'Lay it aside' }));
    await waitFor(() => expect(router.state.location.pathname).toBe('/'));
    expect(asked.find((a) => a.method === 'PUT')?.body).toEqual({
      customer: 'The mill',
      due: null,
      basedOn: 5,
      lines: [
        { number: 4, patternId: 'p9', pieces: 2 },
        { patternId: 'p1', pieces: 7, choices: 'order=o1' },
      ],
    });
  });

  it('waits for the order that was named, and never makes one for the shelf instead', async () => {
    const { user, asked } = laid([], 'order=gone');
    await waitFor(() => expect(asked).toHaveLength(1));
    const button = await screen.findByRole<HTMLButtonElement>('button', { name: 'Lay it aside' });
    expect(button.disabled).toBe(true);
    await user.click(button);
    expect(asked.filter((a) => a.method !== 'GET')).toEqual([]);
  });

  it('need not be where it is planned for a line: that keeps itself', () => {
    laid([], 'lines=o1.1');
    expect(screen.queryByRole('button')).toBeNull();
  });
});

const client = new QueryClient();
let held: KeptChoices;

/** Only keeps what an address chooses. */
const Choosing = ({ address, begun = 'another' }: { address: string; begun?: Begun }) => (
  <QueryClientProvider client={client}>
    <Keeping address={address} begun={begun} />
  </QueryClientProvider>
);
function Keeping({ address, begun }: { address: string; begun: Begun }) {
  held = useKeptChoices('p1', new URLSearchParams(address), begun);
  return null;
}

describe('what is chosen for an ordered line', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const puts = (asked: ReturnType<typeof answering>) =>
    asked.filter((a) => a.method === 'PUT').map(({ path, body }) => ({ path, body }));

  it('is kept with it once nothing more is chosen for a moment, without the lines themselves', async () => {
    const ok = () => ({ status: 204 });
    const asked = answering({
      'PUT /api/orders/o1/lines/2/choices': ok,
      'PUT /api/orders/o3/lines/1/choices': ok,
    });
    const { rerender } = render(<Choosing address="lines=o1.2,o3.1&pieces=6" />);
    await act(() => jest.advanceTimersByTimeAsync(2000));
    expect(puts(asked)).toEqual([]);
    for (const mount of ['chuck', 'screw'])
      rerender(<Choosing address={`lines=o1.2,o3.1&pieces=6&mount=${mount}`} />);
    await act(() => jest.advanceTimersByTimeAsync(2000));
    const body = { choices: 'pieces=6&mount=screw' };
    expect(puts(asked)).toEqual([
      { path: '/api/orders/o1/lines/2/choices', body },
      { path: '/api/orders/o3/lines/1/choices', body },
    ]);
  });

  it('is kept by whoever leaves at once, too', async () => {
    const asked = answering({ 'PUT /api/orders/o1/lines/2/choices': () => ({ status: 204 }) });
    const { rerender, unmount } = render(<Choosing address="lines=o1.2&pieces=6" />);
    rerender(<Choosing address="lines=o1.2&pieces=9" />);
    unmount();
    await act(() => jest.advanceTimersByTimeAsync(2000));
    expect(puts(asked)).toEqual([{ path: '/api/orders/o1/lines/2/choices', body: { choices: 'pieces=9' } }]);
  });

  it('is the draft of its pattern where it is for no line, until nothing is chosen any more', async () => {
    const asked = answering({
      'PUT /api/drafts/p1': () => ({ status: 204 }),
      'DELETE /api/drafts/p1': () => ({ status: 204 }),
    });
    const { rerender } = render(<Choosing address="pieces=6" />);
    await act(() => jest.advanceTimersByTimeAsync(2000));
    // one that was there before is not overwritten by an address alone, nor taken along when this one is kept
    expect(asked).toEqual([]);
    expect(held.isOwn()).toBe(false);
    rerender(<Choosing address="pieces=7&for=The inn&show=part2" />);
    await act(() => jest.advanceTimersByTimeAsync(2000));
    expect(puts(asked)).toEqual([{ path: '/api/drafts/p1', body: { choices: 'pieces=7&for=The+inn' } }]);
    expect(held.isOwn()).toBe(true);
    rerender(<Choosing address="" />);
    await act(() => jest.advanceTimersByTimeAsync(2000));
    expect(asked.filter((a) => a.method === 'DELETE').map((a) => a.path)).toEqual(['/api/drafts/p1']);
  });

  it('is not written down any more while it is being kept as a batch, and is when that fails', async () => {
    const asked = answering({ 'PUT /api/drafts/p1': () => ({ status: 204 }) });
    const { rerender } = render(<Choosing address="pieces=6" begun="this" />);
    rerender(<Choosing address="pieces=7" begun="this" />);
    held.hold();
    await act(() => jest.advanceTimersByTimeAsync(2000));
    expect(puts(asked)).toEqual([]);
    await act(() => Promise.resolve(held.release()));
    expect(puts(asked)).toEqual([{ path: '/api/drafts/p1', body: { choices: 'pieces=7' } }]);
  });

  it('begins a draft at once where an address brings choices and none is there', async () => {
    const asked = answering({ 'PUT /api/drafts/p1': () => ({ status: 204 }) });
    render(<Choosing address="pieces=3" begun="nothing" />);
    await act(() => jest.advanceTimersByTimeAsync(2000));
    expect(puts(asked)).toEqual([{ path: '/api/drafts/p1', body: { choices: 'pieces=3' } }]);
  });
});
