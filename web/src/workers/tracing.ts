import { wrap, type Remote } from 'comlink';
import type { Tracing } from './tracing.worker.js';

let started: Remote<Tracing> | null = null;

/** The tracing worker, started when it is first needed. */
export function tracing(): Remote<Tracing> {
  started ??= wrap<Tracing>(new Worker(new URL('./tracing.worker.ts', import.meta.url), { type: 'module' }));
  return started;
}
