import { get, update } from 'idb-keyval';
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

/** Whose what is recorded under a session is; undefined where the device has nothing of them yet. */
export const recorderOf = async (session: Session | undefined): Promise<string | undefined> =>
  session && (await all()).find(isOf(session))?.id;

/** Sees to it that this device can say who records here, while they are signed in. */
export async function haveRecorder(session: Session): Promise<void> {
  const { userId, workshopId } = session;
  if (!userId || !workshopId || (await recorderOf(session)) !== undefined) return;
  const made = { ...(await newRecorder()), userId, workshopId };
  await update<Recorder[]>(KEY, (before = []) => (before.some(isOf(session)) ? before : [...before, made]));
}

/** What only this device knows of the recorders that are named. */
export async function secretsOf(ids: ReadonlySet<string>): Promise<{ id: string; secret: string }[]> {
  return (await all()).filter((r) => ids.has(r.id)).map(({ id, secret }) => ({ id, secret }));
}
