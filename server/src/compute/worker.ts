import { FileProblem } from '@compas/core';
import { JOBS, type Job } from './jobs.js';

/** A thread that does one job after the other; what is refused for what it says crosses over as its words. */
export default async function work({ name, input }: Job): Promise<{ done: unknown } | { refused: string }> {
  try {
    return { done: await (JOBS[name] as (input: unknown) => unknown)(input) };
  } catch (error) {
    if (error instanceof FileProblem) return { refused: error.why };
    throw error;
  }
}
