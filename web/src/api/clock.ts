/** What the clock of this device does by itself stays below this, ms: more is a jump. */
const JUMP = 2_000;
/** A difference that was heard so long ago is replaced by a newer one, however long that was on its way, ms. */
const OLD = 10 * 60_000;

/** The difference between the server's clock and this one, as it was heard. */
interface Heard {
  offset: number;
  /** how long the answer took, ms: the difference is true to half of it */
  trip: number;
  /** time of this page, ms */
  at: number;
  /** this clock has not jumped since */
  holds: boolean;
}

/** Where the last difference is kept over a reload without a network. */
const KEPT = 'compas.clockOffset';
const kept = Number(globalThis.localStorage?.getItem(KEPT) ?? 0) || 0;

let heard: Heard | null = null;
/** By how much this clock is ahead of the time of this page, ms: it changes only when the clock jumps. */
let ahead: number | null = null;
let jumps = 0;

/** Looks whether this clock has jumped: it was set, or the device slept. */
function watch(): void {
  const now = Date.now() - performance.now();
  if (ahead !== null && Math.abs(now - ahead) > JUMP) {
    jumps += 1;
    if (heard) heard = { ...heard, holds: false };
  }
  ahead = now;
}

/**
 * Takes note of what the server's clock says.
 * @param server its instant, ms
 * @param asked instants of this clock at which it was asked and answered, ms
 */
export function hear(server: number, asked: number, answered: number): void {
  watch();
  const trip = answered - asked;
  if (!Number.isFinite(server) || trip < 0) return;
  const at = performance.now();
  if (heard?.holds && heard.trip <= trip && at - heard.at < OLD) return;
  heard = { offset: Math.round(server - (asked + answered) / 2), trip, at, holds: true };
  globalThis.localStorage?.setItem(KEPT, String(heard.offset));
}

/** What is added to this clock to have the server's, ms, as it was last heard; 0 while it never was. */
export const clockOffset = (): number => heard?.offset ?? kept;

/** The present instant by the server's clock, as well as it is known here, ms. */
export const serverNow = (): number => Date.now() + clockOffset();

/** Jumps of this clock that were noticed since the page was opened, and the difference where none came since it was heard. */
export function clockKnown(): { offset?: number; jumps: number } {
  watch();
  return { ...(heard?.holds ? { offset: heard.offset } : {}), jumps };
}
