import { del, get, set, update } from 'idb-keyval';
import { newRecorder, type Session } from '../api/session.js';

/** Says on this device who recorded something: a secret that a sign-in left here. It outlives it, and opens nothing. */
interface Recorder {
  id: string;
  secret: string;
  userId: string;
  workshopId: string;
}

const KEY = 'recorders';
const all = async (): Promise<Recorder[]> => (await get<Recorder[]>(KEY)) ?? [];
const isOf = (session: Session) => (r: Recorder) =>
  r.userId === session.userId && r.workshopId === session.workshopId;

/** Who was signed in here last and has not signed out. */
const AT_WORK = 'recorder at work';

/**
 * Whose what is recorded is: of who is signed in, or of who was when their sign-in ran out at the lathe. Undefined where the
 * device has nothing of them, or they have signed out.
 */
export async function recorderOf(session: Session | undefined): Promise<string | undefined> {
  if (session?.userId) return (await all()).find(isOf(session))?.id;
  return get<string>(AT_WORK);
}

/** Whoever signs out records nothing more here. */
export const signedOut = (): Promise<void> => del(AT_WORK);

/** Sees to it that this device can say who records here, while they are signed in. */
export async function haveRecorder(session: Session): Promise<void> {
  const { userId, workshopId } = session;
  if (!userId || !workshopId) return;
  if ((await recorderOf(session)) === undefined) {
    const made = { ...(await newRecorder()), userId, workshopId };
    await update<Recorder[]>(KEY, (before = []) => (before.some(isOf(session)) ? before : [...before, made]));
  }
  const own = await recorderOf(session);
  if (own !== undefined) await set(AT_WORK, own);
}

/** What only this device knows of the recorders that are named. */
export async function secretsOf(ids: ReadonlySet<string>): Promise<{ id: string; secret: string }[]> {
  return (await all()).filter((r) => ids.has(r.id)).map(({ id, secret }) => ({ id, secret }));
}
