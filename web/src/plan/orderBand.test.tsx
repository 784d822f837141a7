import { screen } from '@testing-library/react';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { line, order } from '../../test/exampleOrders.js';
import { answering, choose, shownInApp } from '../../test/inApp.js';
import { draftFrom, type Choose } from './draft.js';
import { ForWhom, WhomWords } from './ForWhom.js';
import { OrderBand } from './OrderBand.js';
import { useChoose } from './useChoose.js';

const { pattern, workshop } = exampleInputs(3);
const parts = [
  { id: 'part1', name: 'Stem' },
  { id: 'part2', name: 'Body' },
];
const woods = [{ id: 'w1', label: 'Plum, split', readyOn: '2026-05-02' }] as never;

/** The band as the planning screen uses it: its choices live in the address. */
function Band() {
  const [search] = useSearchParams();
  const draft = draftFrom(search, pattern, workshop, Date.UTC(2026, 2, 2, 8, 20));
  const setAll = useChoose();
  const [open, setOpen] = useState(true);
  const set: Choose = (key, value) => setAll({ [key]: value });
  return (
    <>
      <OrderBand
        draft={draft}
        workshop={workshop}
        set={set}
        parts={parts}
        woods={woods}
        whom={<ForWhom patternId="p1" set={setAll} />}
        whomWords={<WhomWords patternId="p1" />}
        open={open}
        onOpen={setOpen}
      >
        <button>Begin</button>
      </OrderBand>
      <output>{JSON.stringify(draft)}</output>
    </>
  );
}

const shown = (orders: object[] = [], at = '') => {
  answering({ 'GET /api/orders': () => ({ body: orders }) });
  const { user, router } = shownInApp(<Band />, { at: `/${at}` });
  return {
    user,
    address: () => Object.fromEntries(new URLSearchParams(router.state.location.search)),
    draft: () => JSON.parse(screen.getByRole('status').textContent ?? '') as ReturnType<typeof draftFrom>,
  };
};

describe('the order of a plan', () => {
  it('takes how many pieces, and how many of them come from a blank, apart', async () => {
    const { user, address, draft } = shown();
    await user.clear(screen.getByLabelText('How many'));
    await user.type(screen.getByLabelText('How many'), '24');
    await user.clear(screen.getByLabelText('Pieces in a blank'));
    await user.type(screen.getByLabelText('Pieces in a blank'), '3');
    expect(address()).toEqual({ pieces: '24', per: '3' });
    expect(draft().order).toMatchObject({ pieces: 24, perBlank: 3 });
  });

  it('takes for whom as it is typed, and forgets an emptied one', async () => {
    const { user, address } = shown();
    await user.type(await screen.findByLabelText('For whom'), 'The inn');
    expect(address()).toEqual({ for: 'The inn' });
    await user.clear(screen.getByLabelText('For whom'));
    expect(address()).toEqual({});
  });

  it('is one more line of an order that is open, by its day', async () => {
    const { user, address } = shown([order('o1', { customer: 'The mill', due: '2026-03-20' })]);
    await user.type(await screen.findByLabelText('For whom'), 'mi');
    await user.click(await screen.findByText('One more line for The mill, Fri 20 Mar'));
    expect(address()).toEqual({ order: 'o1', due: '2026-03-20' });
    expect(screen.getByLabelText<HTMLInputElement>('For whom').value).toBe('The mill, Fri 20 Mar');
  });

  it('is made for several lines at once: so many as all want, by the first day', async () => {
    const orders = [
      order('o1', {
        customer: 'The mill',
        due: '2026-03-20',
        lines: [line(1), line(2, { pieces: 9, patternId: 'p2' })],
      }),
      order('o2', {
        customer: 'The school',
        due: '2026-03-10',
        lines: [line(1, { pieces: 4 }), line(2, { pieces: 8, batchId: 'b' })],
      }),
    ];
    const { user, address } = shown(orders, '?lines=o1.1&pieces=6');
    await user.click(await screen.findByLabelText('Made for'));
    // neither another pattern nor what is made already
    const other = await screen.findByTitle('4 for The school, Tue 10 Mar');
    expect(screen.queryAllByTitle(/^[89] for/)).toEqual([]);
    await user.click(other);
    expect(address()).toEqual({ lines: 'o1.1,o2.1', pieces: '10', due: '2026-03-10' });
  });

  it.each([
    ['What is made', 'only Body', { part: 'part2' }],
    ['Material', 'Oak', { material: 'oak' }],
    ['Wood', 'Plum, split, from Sat 2 May', { wood: 'w1' }],
    ['Finish', 'from the tool', { finish: 'none' }],
    ['Turned', 'green', { green: 'yes' }],
  ])('writes %s to its own place', async (label, words, expected) => {
    const { address } = shown();
    await choose(label, words);
    expect(address()).toEqual(expected);
  });

  it('goes back to dry stock without a trace of the bundle', async () => {
    const { address, draft } = shown();
    await choose('Wood', 'Plum, split, from Sat 2 May');
    expect(draft().order.woodId).toBe('w1');
    await choose('Wood', 'dry stock');
    expect(address()).toEqual({});
  });

  it('is one line of words when it is folded, and opens again with what was chosen', async () => {
    const { user } = shown([], '?pieces=6&for=The+inn&due=2026-03-20');
    await user.click(screen.getByRole('button', { name: 'Fold' }));
    expect(screen.queryByLabelText('How many')).toBeNull();
    const line = screen.getByRole('button', { name: /^6 .*for The inn, by Fri 20 Mar; .*change$/ });
    expect(line.getAttribute('aria-expanded')).toBe('false');
    // what is done with the plan stays in sight
    expect(screen.getByRole('button', { name: 'Begin' })).toBeTruthy();
    await user.click(line);
    expect(screen.getByLabelText<HTMLInputElement>('How many').value).toBe('6');
  });
});
