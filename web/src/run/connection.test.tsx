import { screen, waitFor } from '@testing-library/react';
import { answering, shownInApp } from '../../test/inApp.js';
import { hear } from '../api/clock.js';
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
  const onSignedIn = jest.fn();
  const app = shownInApp(
    <Connection
      {...{ connection, pending, aside, onSendAgain, onSignedIn }}
      awake
      asOf={null}
      owner={null}
    />,
  );
  return { ...app, onSendAgain, onSignedIn, words: () => screen.getByRole('status').textContent };
};

describe('whether what is recorded is saved', () => {
  let trip = 1_000;
  /** What the server's clock is said to be off by, ms: an answer is believed over those that took longer. */
  const hearOff = (offset: number): void => {
    const now = Date.now();
    trip -= 1;
    hear(now + trip / 2 + offset, now, now + trip);
  };
  afterEach(() => hearOff(0));

  it.each<[Sent, number, string]>([
    ['all sent', 0, '● all saved'],
    ['all sent', 2, '○ saving 2'],
    ['no connection', 3, '○ no connection, 3 kept here'],
    ['signed out', 1, '▲ signed out, 1 kept here. Sign inE-mail addressPasswordGo on here'],
    ['refused', 1, '▲ the server refused, 1 kept here'],
  ])('%s with %i waiting is said in words', (connection, pending, words) =>
    expect(shown(connection, pending).words()).toBe(words),
  );

  it('says since when nothing was heard, by the hour where that is today, and whose the queue is', () => {
    const at = Date.now() - 60_000;
    const said = (connection: Sent, pending: number, asOf: number | null, owner: string | null = null) => {
      const { unmount } = shownInApp(
        <Connection
          {...{ connection, pending, asOf, owner }}
          aside={[]}
          onSendAgain={jest.fn()}
          onSignedIn={jest.fn()}
          awake
        />,
      );
      const words = screen.getByRole('status').textContent;
      unmount();
      return words;
    };
    expect(said('all sent', 0, at)).toMatch(/^○ no answer since (\w{3} \d+ \w{3}, )?\d\d:\d\d$/);
    expect(said('no connection', 2, Date.UTC(2026, 2, 2, 9, 30))).toMatch(
      /^○ no connection since \w{3} 2 Mar, \d\d:30, 2 kept here$/,
    );
    expect(said('refused', 2, null, 'Mill Yard')).toBe(
      '▲ the server refused, 2 kept here for Mill Yard: sign in there.',
    );
  });

  it('asks for the password where the sign-in ran out, says why it is not taken, and goes on there', async () => {
    let right = false;
    const asked = answering({
      'POST /api/session': () =>
        right
          ? { body: { userId: 'u' } }
          : {
              status: 401,
              body: { type: 'x', title: 'x', status: 401, detail: 'That is not the password.' },
            },
    });
    const { user, onSignedIn } = shown('signed out', 2);
    await user.click(screen.getByText('Sign in'));
    await user.type(screen.getByLabelText('E-mail address'), 'maren@shop.example');
    await user.type(screen.getByLabelText('Password'), 'wrong');
    await user.click(screen.getByRole('button', { name: 'Go on here' }));
    expect((await screen.findByRole('alert')).textContent).toContain('That is not the password.');
    expect(onSignedIn).not.toHaveBeenCalled();
    right = true;
    await user.click(screen.getByRole('button', { name: 'Go on here' }));
    await waitFor(() => expect(onSignedIn).toHaveBeenCalledTimes(1));
    expect(asked.at(-1)?.body).toEqual({ email: 'maren@shop.example', password: 'wrong' });
  });

  it('says when the clock of this device is off by more than two minutes', () => {
    hearOff(-3 * 3_600_000);
    expect(shown('all sent', 0).words()).toBe('● all saved ▲ clock here 3 h fast');
  });

  it('what the server could not read stays in sight with what it said, and can be sent again', async () => {
    const { user, onSendAgain, words } = shown('all sent', 0, [{ event, why: 'It names no step.' }]);
    expect(words()).toContain('▲ 1 put aside');
    expect(words()).toContain('Piece 3, noted: It names no step.');
    await user.click(screen.getByText('▲ 1 put aside'));
    await user.click(screen.getByRole('button', { name: 'Send again' }));
    expect(onSendAgain).toHaveBeenCalledTimes(1);
  });
});
