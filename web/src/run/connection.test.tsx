import { screen } from '@testing-library/react';
import { shownInApp } from '../../test/inApp.js';
import { Connection } from './Connection.js';
import type { Sent } from './eventQueue.js';
import type { AsideEvent } from './keptEvents.js';

const event: AsideEvent['event'] = {
  id: 'e1',
  piece: 3,
  at: '2026-03-02T08:00:00.000Z',
  device: 'tablet',
  sequence: 4,
  planVersion: 1,
  body: { kind: 'noted', stepId: 'saw', words: 'x' },
};
const shown = (connection: Sent, pending: number, aside: AsideEvent[] = []) => {
  const onSendAgain = jest.fn();
  const app = shownInApp(
    <Connection {...{ connection, pending, aside, onSendAgain }} awake asOf={null} owner={null} />,
  );
  return { ...app, onSendAgain, words: () => screen.getByRole('status').textContent };
};

describe('whether what is recorded is saved', () => {
  it.each<[Sent, number, string]>([
    ['all sent', 0, '● all saved'],
    ['all sent', 2, '○ saving 2'],
    ['no connection', 3, '○ no connection, 3 kept here'],
    ['signed out', 1, '▲ signed out, 1 kept here. Sign in'],
    ['refused', 1, '▲ the server refused, 1 kept here'],
  ])('%s with %i waiting is said in words', (connection, pending, words) =>
    expect(shown(connection, pending).words()).toBe(words),
  );

  it('what the server could not read stays in sight with what it said, and can be sent again', async () => {
    const { user, onSendAgain, words } = shown('all sent', 0, [{ event, why: 'It names no step.' }]);
    expect(words()).toContain('▲ 1 put aside');
    expect(words()).toContain('Piece 3, noted: It names no step.');
    await user.click(screen.getByText('▲ 1 put aside'));
    await user.click(screen.getByRole('button', { name: 'Send again' }));
    expect(onSendAgain).toHaveBeenCalledTimes(1);
  });
});
