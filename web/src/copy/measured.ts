import type { SampledBy, SamplePoint } from '@compas/core';

/** What was measured of a sample, by whichever way. */
export interface Measured {
  by: SampledBy;
  points: SamplePoint[];
  /** how far each radius may be off by its instrument, mm */
  unsure: number;
  /** it is among the kept samples already */
  kept?: boolean;
}
