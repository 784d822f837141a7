import { FileProblem } from '@compas/core';
import { JOBS, type Job } from './jobs.js';

/** No printer and no saw takes a larger file, bytes. */
const MOST_BYTES = 30_000_000;
const TOO_LARGE =
  'It would be a file of more than 30 MB. Make fewer of it at a time, or draw it with fewer points.';

const isTooLarge = (done: unknown): boolean => done instanceof Uint8Array && done.length > MOST_BYTES;

/** A thread that does one job after the other; what is refused for what it says crosses over as its words. */
export default async function work({ name, input }: Job): Promise<{ done: unknown } | { refused: string }> {
  try {
    const done = await (JOBS[name] as (input: unknown) => unknown)(input);
    return isTooLarge(done) ? { refused: TOO_LARGE } : { done };
  } catch (error) {
    if (error instanceof FileProblem) return { refused: error.why };
    throw error;
  }
}
