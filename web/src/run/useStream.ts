import { useEffect, useState } from 'react';

/** The server says so often at least that it is there, ms; one that is silent for longer is heard no more. */
const SILENT_AFTER = 45_000;
const LOOK = 5_000;

/**
 * Follows a batch: the server tells as soon as something is recorded on it. One page of a browser does; the others, and
 * those whose server cannot tell, look for themselves.
 * @param told asks for what is new: also each time that it begins to listen
 * @returns whether it is told
 */
export function useStream(id: string, told: () => void): boolean {
  const [live, setLive] = useState(false);
  useEffect(() => {
    if (id === '' || typeof EventSource === 'undefined') return;
    let left = false;
    let leave: () => void = () => undefined;
    const hold = () =>
      new Promise<void>((done) => {
        leave = done;
        if (left) done();
        else leave = listen(id, told, setLive, done);
      });
    // a page that came over plain http has no locks
    const locks = (navigator as { locks?: LockManager }).locks;
    if (locks)
      void locks.request('compas-stream', { ifAvailable: true }, (lock) => (lock ? hold() : undefined));
    else void hold();
    return () => {
      left = true;
      leave();
      setLive(false);
    };
  }, [id, told]);
  return live;
}

/** @returns how to listen no longer */
function listen(id: string, told: () => void, setLive: (live: boolean) => void, done: () => void) {
  let source: EventSource | null = null;
  let heard = 0;
  const open = () => {
    source?.close();
    heard = Date.now();
    const own = new EventSource(`/api/batches/${id}/stream`);
    source = own;
    const on = (event: string, then: () => void) =>
      own.addEventListener(event, () => {
        heard = Date.now();
        then();
      });
    on('live', () => {
      setLive(true);
      told();
    });
    on('quiet', () => setLive(false));
    on('recorded', told);
    on('beat', () => undefined);
    own.addEventListener('error', () => setLive(false));
  };
  open();
  const look = setInterval(() => {
    // one that was refused is closed by the browser, one that hangs is closed here: both are tried again
    if (Date.now() - heard < SILENT_AFTER) return;
    setLive(false);
    open();
  }, LOOK);
  return () => {
    clearInterval(look);
    source?.close();
    done();
  };
}
