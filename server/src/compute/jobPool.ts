import { HttpStatus } from '@nestjs/common';
import { FileProblem } from '@compas/core';
import { Piscina } from 'piscina';
import { Problem } from '../edge/problem.js';

/** What a pool may take. */
export interface PoolLimits {
  threads: number;
  /** a job whose turn it is ends within this, ms */
  within: number;
  /** of one thread, MB */
  memory: number;
  /** jobs that are not ended, of everybody and of one workshop */
  open: { all: number; ofOne: number };
}

export const USUAL_LIMITS: Omit<PoolLimits, 'threads'> = {
  within: 30_000,
  memory: 1_024,
  open: { all: 32, ofOne: 8 },
};

const BUSY = 'Compas has more to work out right now than it can. Try again in a moment.';
const TOO_LONG =
  'This takes too long to work out, so it was stopped; nothing was saved. Make it smaller: fewer pieces, fewer points of a curve, or in several parts.';

/**
 * Threads beside the one that answers. A workshop has one job done at a time, so that nobody keeps the others waiting; one that
 * takes too long, or too much memory, is ended with its thread, and another thread takes its place.
 */
export class JobPool {
  private readonly threads: Piscina;
  /** workshop → its last job, and how many are not ended */
  private readonly lines = new Map<string, { last: Promise<unknown>; open: number }>();
  private open = 0;

  /** @param file module of a thread: its default export does a job, and gives `{ done }` or `{ refused }` */
  constructor(
    file: string,
    private readonly limits: PoolLimits,
  ) {
    this.threads = new Piscina({
      filename: file,
      minThreads: limits.threads,
      maxThreads: limits.threads,
      resourceLimits: { maxOldGenerationSizeMb: limits.memory },
    });
  }

  /** Does a job of a workshop after those that it asked for before. */
  async run(workshopId: string, job: { name: string; input: unknown }): Promise<unknown> {
    const line = this.lines.get(workshopId) ?? { last: Promise.resolve(), open: 0 };
    const { all, ofOne } = this.limits.open;
    if (line.open >= ofOne || this.open >= all) throw new Problem(HttpStatus.SERVICE_UNAVAILABLE, BUSY);
    this.open += 1;
    const own = line.last.then(() => this.done(job));
    const last = own
      .catch(() => undefined)
      .then(() => {
        this.open -= 1;
        if ((line.open -= 1) === 0) this.lines.delete(workshopId);
      });
    this.lines.set(workshopId, Object.assign(line, { last, open: line.open + 1 }));
    return own;
  }

  end(): Promise<void> {
    return this.threads.close({ force: true });
  }

  private async done(job: { name: string; input: unknown }): Promise<unknown> {
    const signal = AbortSignal.timeout(this.limits.within);
    let answer: { done: unknown } | { refused: string };
    try {
      answer = (await this.threads.run(job, { signal })) as typeof answer;
    } catch (error) {
      throw problemOf(error, signal) ?? error;
    }
    if ('refused' in answer) throw new FileProblem(answer.refused);
    return answer.done;
  }
}

function problemOf(error: unknown, signal: AbortSignal): Problem | null {
  if (signal.aborted || codeOf(error) === 'ERR_WORKER_OUT_OF_MEMORY')
    return new Problem(HttpStatus.UNPROCESSABLE_ENTITY, TOO_LONG);
  return null;
}

const codeOf = (error: unknown): unknown =>
  typeof error === 'object' && error !== null && 'code' in error ? error.code : undefined;
