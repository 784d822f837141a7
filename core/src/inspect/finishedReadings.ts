import type { Reading } from '../batch/index.js';
import type { Step } from '../route/index.js';
import type { Station } from './station.js';

/**
 * The readings that tell the finished size: those of steps that are held against it, and those of
 * mating faces, which are cut to it at once and may be covered by hardware afterwards.
 */
export function finishedReadings(
  readings: readonly Reading[],
  steps: readonly Step[],
  stations: readonly Station[],
): Reading[] {
  const finishing = new Set(steps.filter((s) => s.against === 'finished').map((s) => s.id));
  const mating = new Set(stations.filter((s) => s.mating).map((s) => s.id));
  return readings.filter((r) => finishing.has(r.stepId) || mating.has(r.stationId));
}
