import { screen, waitFor } from '@testing-library/react';
import { useSearchParams } from 'react-router';
import { shownInApp } from '../../test/inApp.js';
import { LeftBefore, TakenUp } from './TakenUp.js';

const draft = {
  patternId: 'p1',
  patternName: 'Stopper',
  choices: 'pieces=9&for=The+inn',
  changedBy: 'Ines',
  changedAt: '2026-03-02T09:00:00Z',
};

function Plan({ taken }: { taken: typeof draft | null }) {
  const [search, setSearch] = useSearchParams();
  return (
    <>
      <p>planned with {search.toString() || 'nothing chosen'}</p>
      {taken && <LeftBefore draft={taken} onAnew={() => setSearch({})} />}
    </>
  );
}
const opened = (at: string, known: typeof draft | null = draft) =>
  shownInApp(<TakenUp draft={known}>{(taken) => <Plan taken={taken} />}</TakenUp>, {
    at: `/patterns/p1/plan/stock${at}`,
    path: '/patterns/p1/plan/stock',
  });
const words = () => screen.getByText(/planned with/).textContent;

describe('a plan that is opened', () => {
  it('without any choice goes on where it was left, and says by whom', async () => {
    opened('');
    await waitFor(() => expect(words()).toBe('planned with pieces=9&for=The+inn'));
    expect(screen.getByRole('status').textContent).toContain('as Ines left it');
  });

  it('keeps what only says which part is looked at', async () => {
    opened('?show=part2');
    await waitFor(() => expect(words()).toBe('planned with pieces=9&for=The+inn&show=part2'));
  });

  it('with choices of its own, or for an ordered line, is planned with those', () => {
    opened('?pieces=3');
    expect(words()).toBe('planned with pieces=3');
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('of which nothing was begun begins as usual', () => {
    opened('', null);
    expect(words()).toBe('planned with nothing chosen');
  });

  it('can be begun anew, and then stays so', async () => {
    const { user } = opened('');
    await user.click(await screen.findByRole('button', { name: 'begin anew' }));
    await waitFor(() => expect(words()).toBe('planned with nothing chosen'));
  });
});
