let last: Promise<unknown> = Promise.resolve();

/** One sends at a time, over all pages of this browser where it can tell them apart, else over this page. */
export function asOneSender<T>(send: () => Promise<T>): Promise<T> {
  // a page that came over plain http has no locks
  const locks = (globalThis as { navigator?: { locks?: LockManager } }).navigator?.locks;
  if (locks) return locks.request('compas-send', send);
  const next = last.then(send, send);
  last = next.catch(() => undefined);
  return next;
}
