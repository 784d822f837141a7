import { MemoryStore, type SessionData } from 'express-session';
import { CachedSessions } from '../src/access/cachedSessions.js';

const session = (userName: string) =>
  ({ cookie: { originalMaxAge: 1000 }, userName }) as unknown as SessionData;

/** A store that counts how often it is read, and sessions cached over it on a clock of our own. */
function cached() {
  const store = new MemoryStore();
  const reads = jest.spyOn(store, 'get');
  let at = 0;
  const sessions = new CachedSessions(store, () => at);
  const read = (sid: string) =>
    new Promise<string | undefined>((done) => sessions.get(sid, (_, s) => done(s?.userName)));
  const write = (sid: string, name: string) =>
    new Promise<void>((done) => sessions.set(sid, session(name), () => done()));
  return { store, sessions, reads, read, write, pass: (ms: number) => (at += ms) };
}

describe('cached sessions', () => {
  it('are read from the store once in a while only', async () => {
    const { read, write, reads, pass } = cached();
    await write('a', 'Maren');
    for (let i = 0; i < 5; i++) expect(await read('a')).toBe('Maren');
    expect(reads).toHaveBeenCalledTimes(1);
    pass(4001);
    await read('a');
    expect(reads).toHaveBeenCalledTimes(2);
  });

  it('that end here are gone at once', async () => {
    const { read, write, sessions } = cached();
    await write('a', 'Maren');
    await read('a');
    await new Promise<void>((done) => sessions.destroy('a', () => done()));
    expect(await read('a')).toBeUndefined();
  });

  it('that end elsewhere are gone within five seconds', async () => {
    const { read, write, store, pass } = cached();
    await write('a', 'Maren');
    await read('a');
    await new Promise<void>((done) => store.destroy('a', () => done()));
    pass(5000);
    expect(await read('a')).toBeUndefined();
  });

  it('are not kept when they change while they are read', async () => {
    const { read, write, store } = cached();
    await write('a', 'Maren');
    const real = store.get.bind(store);
    // the store has read the old session, and answers only after the new one was written
    jest
      .spyOn(store, 'get')
      .mockImplementationOnce((sid, found) =>
        real(sid, (error: unknown, old) => void write('a', 'Tobi').then(() => found(error, old))),
      );
    expect(await read('a')).toBe('Maren');
    expect(await read('a')).toBe('Tobi');
  });
});
