import { FileProblem } from '@compas/core';
import { wrap } from 'comlink';
import type { Read, Readers, Reading } from './reading.worker.js';

/** A file of a turned piece is read in less, ms; one that takes longer is made to. */
const WITHIN = 3_000;
const TOO_LONG =
  'It takes too long to read. Save it anew, with nothing but the profile, and as few lines as it needs.';

/**
 * Reads a file beside the interface, in a worker of its own that ends with it, whatever is in the file.
 * Throws a FileProblem with a sentence.
 */
export async function readFile<N extends keyof Readers>(
  name: N,
  ...given: Parameters<Readers[N]>
): Promise<ReturnType<Readers[N]>> {
  const worker = new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' });
  let timer = 0;
  try {
    const read = await Promise.race([
      wrap<Reading>(worker).read(name, given) as Promise<Read<ReturnType<Readers[N]>>>,
      new Promise<Read<never>>((done) => {
        timer = window.setTimeout(() => done({ ok: false, why: TOO_LONG }), WITHIN);
      }),
    ]);
    if (!read.ok) throw new FileProblem(read.why);
    return read.value;
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}
