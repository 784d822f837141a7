import { delMany, get, keys, set } from 'idb-keyval';
import { useSyncExternalStore } from 'react';
import { serverNow } from './clock.js';
import { ApiProblem } from './problem.js';

/** An answer of the server as it was last seen. */
interface Seen {
  value: unknown;
  /** ms by the server's clock */
  at: number;
}

const SEEN = 'seen/';

let since: number | null = null;
const listeners = new Set<() => void>();
function say(at: number | null): void {
  if (at === since) return;
  since = at;
  for (const listener of listeners) listener();
}

/** A browser may have no store at all: that is a refusal like any other. */
const keep = async (key: string, seen: Seen): Promise<void> => set(key, seen);
const kept = async (key: string): Promise<Seen | undefined> => get<Seen>(key);

/** Whose what is seen is: it is kept by who they are and in which workshop; null while nobody is known. */
const SESSION = 'session';
async function keyOf(name: string): Promise<string | null> {
  if (name === SESSION) return SEEN + name;
  const session = await kept(SEEN + SESSION);
  const { userId, workshopId } = (session?.value ?? {}) as { userId?: string; workshopId?: string };
  return userId && workshopId ? `${SEEN}${userId}/${workshopId}/${name}` : null;
}

/** What the server answers, or what it answered last to the same person where it cannot be reached. */
export async function orAsSeen<T>(name: string, asking: () => Promise<T>): Promise<T> {
  const key = await keyOf(name).catch(() => null);
  try {
    const value = await asking();
    // somebody else may have come in the meantime; and a full store keeps nobody from working while the server answers
    const same = key !== null && (await keyOf(name).catch(() => null)) === key;
    if (same) await keep(key, { value, at: serverNow() }).catch(() => undefined);
    say(null);
    return value;
  } catch (error) {
    if (key === null || (error instanceof ApiProblem && error.status < 500)) throw error;
    const seen = await kept(key).catch(() => undefined);
    if (!seen) throw error;
    say(seen.at);
    return seen.value as T;
  }
}

/** Makes a change of who is here, or in which workshop, after which nothing that was seen before it is shown. */
export async function asSomebodyElse<T>(change: Promise<T>): Promise<T> {
  const answer = await change;
  await forgetSeen().catch(() => undefined);
  return answer;
}

/** Forgets what was seen here: whoever comes next finds nothing of it. */
async function forgetSeen(): Promise<void> {
  await delMany((await keys<string>()).filter((key) => String(key).startsWith(SEEN)));
  say(null);
}

/** Since when the server was not reached and the screen shows what was seen then, ms; null while it is. */
export const useSeenSince = (): number | null =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => since,
  );
