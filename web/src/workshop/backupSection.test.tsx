import { screen } from '@testing-library/react';
import { answering, shownInApp } from '../../test/inApp.js';
import { BackupSection } from './BackupSection.js';

const DAY = 86_400_000;

function shown(role: 'owner' | 'maker', madeAt: string | null) {
  const asked = answering({
    'GET /api/session': () => ({
      body: { userId: 'u', workshopId: 'w', workshops: [{ id: 'w', name: 'Shop', role }] },
    }),
    'GET /api/health/backup': () => ({ body: { madeAt } }),
  });
  shownInApp(<BackupSection />);
  return asked;
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
  });
});
