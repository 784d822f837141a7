import { screen } from '@testing-library/react';
import { useSearchParams } from 'react-router';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { choose, shownInApp } from '../../test/inApp.js';
import { draftFrom } from './draft.js';
import { OrderBand } from './OrderBand.js';

const { pattern, workshop } = exampleInputs(3);
const parts = [
  { id: 'part1', name: 'Stem' },
  { id: 'part2', name: 'Body' },
];
const woods = [{ id: 'w1', label: 'Plum, split', readyOn: '2026-05-02' }] as never;

/** The band as the planning screen uses it: its choices live in the address. */
function Band() {
  const [search, setSearch] = useSearchParams();
  const draft = draftFrom(search, pattern, workshop, Date.UTC(2026, 2, 2, 8, 20));
  const set = (key: string, value: string | null) =>
    setSearch((before) => {
      const next = new URLSearchParams(before);
      if (value === null) next.delete(key);
      else next.set(key, value);
      return next;
    });
  return (
    <>
      <OrderBand draft={draft} workshop={workshop} set={set} parts={parts} woods={woods}>
        <button>Begin</button>
      </OrderBand>
      <output>{JSON.stringify(draft)}</output>
    </>
  );
}

const shown = () => {
  const { user, router } = shownInApp(<Band />);
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

  it('takes for whom when the field is left, and forgets an emptied one', async () => {
    const { user, address } = shown();
    await user.type(screen.getByLabelText('For whom'), 'The inn');
    expect(address()).toEqual({});
    await user.tab();
    expect(address()).toEqual({ for: 'The inn' });
    await user.clear(screen.getByLabelText('For whom'));
    await user.tab();
    expect(address()).toEqual({});
  });

  it.each([
    ['What is made', 'only Body', { part: 'part2' }],
    ['Material', 'Oak', { material: 'oak' }],
    ['Wood', 'Plum, split, from 2026-05-02', { wood: 'w1' }],
    ['Finish', 'from the tool', { finish: 'none' }],
    ['Turned', 'green', { green: 'yes' }],
  ])('writes %s to its own place', async (label, words, expected) => {
    const { address } = shown();
    await choose(label, words);
    expect(address()).toEqual(expected);
  });

  it('goes back to dry stock without a trace of the bundle', async () => {
    const { address, draft } = shown();
    await choose('Wood', 'Plum, split, from 2026-05-02');
    expect(draft().order.woodId).toBe('w1');
    await choose('Wood', 'dry stock');
    expect(address()).toEqual({});
  });
});
