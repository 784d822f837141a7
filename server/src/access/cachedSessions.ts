import { Store, type SessionData } from 'express-session';

/** A session that ends elsewhere is noticed within this time, ms. */
const KEPT_FOR = 4000;

/** So many sessions are remembered at most; beyond it all are read anew. */
const MOST = 10_000;

type Found = (error: unknown, session?: SessionData | null) => void;

/**
 * Sessions that are read from their store only every few seconds, since each request asks for one. What is
 * changed or ended here is known here at once. They hold who somebody is, never what they may do.
 */
export class CachedSessions extends Store {
  private readonly kept = new Map<string, { session: string; at: number }>();
  /** goes up with each change: what was read before one is not kept after it */
  private changes = 0;

  constructor(
    private readonly store: Store,
    private readonly now: () => number = Date.now,
  ) {
    super();
  }

  get(sid: string, found: Found): void {
    const kept = this.kept.get(sid);
    if (kept && this.now() - kept.at < KEPT_FOR)
      return void setImmediate(found, null, JSON.parse(kept.session) as SessionData);
    const { changes } = this;
    const at = this.now();
    this.store.get(sid, (error: unknown, session) => {
      if (session && changes === this.changes) this.keep(sid, session, at);
      found(error, session);
    });
  }

  set(sid: string, session: SessionData, done?: (error?: unknown) => void): void {
    this.forget(sid);
    this.store.set(sid, session, (error: unknown) => {
      this.forget(sid);
      done?.(error);
    });
  }

  destroy(sid: string, done?: (error?: unknown) => void): void {
    this.forget(sid);
    this.store.destroy(sid, (error: unknown) => {
      this.forget(sid);
      done?.(error);
    });
  }

  private keep(sid: string, session: SessionData, at: number): void {
    if (this.kept.size >= MOST) this.kept.clear();
    this.kept.set(sid, { session: JSON.stringify(session), at });
  }

  private forget(sid: string): void {
    this.changes++;
    this.kept.delete(sid);
  }
}
