import { loadBatch } from '../api/batch.js';
import { serverNow } from '../api/clock.js';
import { ApiProblem } from '../api/problem.js';
import { recallBatch, rememberBatch, type SeenBatch } from './seenBatch.js';

/** Nobody waits longer at the lathe for what is kept here anyway, ms. */
const PATIENCE = 3_000;

interface Asking {
  now: Promise<SeenBatch>;
  /** what is asked once that is answered */
  next: Promise<SeenBatch> | null;
}

/** What is asked for already: a network that swallows questions is not asked more of them. */
const under = new Map<string, Asking>();

/**
 * The batch from the server, or as it was last seen when there is no connection, or none that answers within three seconds.
 * @param later takes what comes after that
 */
export async function fetchBatch(
  id: string,
  shown: SeenBatch | undefined,
  later: (batch: SeenBatch) => void,
): Promise<SeenBatch> {
  const known = shown ?? (await recallBatch(id).catch(() => undefined));
  const asked = askOnce(id, known);
  if (!known) return asked;
  let late = false;
  const patience = new Promise<SeenBatch>((done) =>
    setTimeout(() => {
      late = true;
      done(known);
    }, PATIENCE),
  );
  void asked.then((batch) => late && later(batch)).catch(() => undefined);
  return Promise.race([asked, patience]);
}

/** What came after a question is not in its answer: then it is asked for once more, when that is there. */
function askOnce(id: string, known: SeenBatch | undefined): Promise<SeenBatch> {
  const asking = under.get(id);
  if (!asking) return begin(id, known);
  asking.next ??= asking.now.then(
    (seen) => begin(id, seen),
    () => begin(id, known),
  );
  return asking.next;
}

function begin(id: string, known: SeenBatch | undefined): Promise<SeenBatch> {
  const now = ask(id, known);
  under.set(id, { now, next: null });
  void now
    .catch(() => undefined)
    .finally(() => {
      if (under.get(id)?.now === now) under.delete(id);
    });
  return now;
}

async function ask(id: string, known: SeenBatch | undefined): Promise<SeenBatch> {
  try {
    const batch = await loadBatch(id, known?.batch);
    const seen = { batch, seenAt: serverNow() };
    if (batch !== known?.batch) await rememberBatch(seen).catch(() => undefined);
    return seen;
  } catch (error) {
    const answered = error instanceof ApiProblem && error.status < 500;
    if (known && !answered) return known;
    throw error;
  }
}
