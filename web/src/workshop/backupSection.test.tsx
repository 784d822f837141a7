import { screen, waitFor } from '@testing-library/react';
import { answering, shownInApp } from '../../test/inApp.js';
import { BackupSection } from './BackupSection.js';

const DAY = 86_400_000;

function shown(role: 'owner' | 'maker', madeAt: string | null, records: object[] = []) {
  let aside = records;
  const asked = answering({
    'GET /api/session': () => ({
      body: { userId: 'u', workshopId: 'w', workshops: [{ id: 'w', name: 'Shop', role }] },
    }),
    'GET /api/health/backup': () => ({ body: { madeAt } }),
    'GET /api/set-aside': () => ({ body: aside }),
    'DELETE /api/set-aside/r1': () => {
      aside = [];
      return { status: 204 };
    },
  });
  return Object.assign(asked, { user: shownInApp(<BackupSection />).user });
}

describe('the backup, as the workshop shows it', () => {
  it('says how old it is, and warns when it is a week', async () => {
    const eight = new Date(Date.now() - 8 * DAY - 1000).toISOString();
    shown('owner', eight);
    expect(await screen.findByText(/8 days ago: what came since is nowhere else/)).toBeTruthy();
    expect(screen.getByText('▲')).toBeTruthy();
  });

  it('is quiet while it is fresh', async () => {
    shown('owner', new Date(Date.now() - 2 * DAY).toISOString());
    expect(await screen.findByText(/The last backup was made on/)).toBeTruthy();
    expect(screen.queryByText('▲')).toBeNull();
    expect(screen.queryByText(/days ago/)).toBeNull();
  });

  it('says what is at stake where none was made', async () => {
    shown('owner', null);
    expect(await screen.findByText(/No backup was made yet: if this machine is lost/)).toBeTruthy();
  });

  it('is its owners’ matter: a maker is told so, and the server is not asked', async () => {
    const asked = shown('maker', null);
    expect(await screen.findByText(/only its owners see/)).toBeTruthy();
    expect(screen.getByText('npm run backup')).toBeTruthy();
    expect(asked.map((a) => a.path)).not.toContain('/api/health/backup');
    expect(asked.map((a) => a.path)).not.toContain('/api/set-aside');
  });
});

it('records that were put aside are seen with their reason, and given up when that is said twice', async () => {
  const record = {
    id: 'r1',
    batchId: 'b1',
    batch: '3 × Stopper',
    why: '"mood" is not a field that is known here.',
    raw: { mood: 'content' },
    receivedAt: '2026-03-02T08:00:00.000Z',
  };
  const { user } = shown('owner', new Date().toISOString(), [record]);
  expect(await screen.findByText(record.why)).toBeTruthy();
  expect(screen.getByRole('link', { name: '3 × Stopper' }).getAttribute('href')).toBe('/batches/b1/time');
  await user.click(screen.getByRole('button', { name: 'Give it up' }));
  expect(await screen.findByText(/gone for good/)).toBeTruthy();
  expect(screen.getByText(record.why)).toBeTruthy();
  await user.click(screen.getAllByRole('button', { name: 'Give it up' }).at(-1)!);
  await waitFor(() => expect(screen.queryByText(record.why)).toBeNull());
});
