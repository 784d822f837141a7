import { wrap, type Remote } from 'comlink';
import type { Solving } from './solving.worker.js';

let started: Remote<Solving> | null = null;

/** The solving worker, started when it is first needed: it carries the solver with it. */
export function solving(): Remote<Solving> {
  started ??= wrap<Solving>(new Worker(new URL('./solving.worker.ts', import.meta.url), { type: 'module' }));
  return started;
}
