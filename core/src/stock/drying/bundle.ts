import type { Air } from '../../workshop/index.js';
import { dryingForecast, type DryingRead, type Weighing } from './dryingCurve.js';
import type { DryingSchool } from './shelf.js';

/** A piece or bundle on the drying shelf, weighed now and then. */
export interface DryingBundle {
  label: string;
  /** the stock it is */
  itemId: string | null;
  materialId: string;
  pieces: number;
  school: DryingSchool;
  /** moisture at which it may be turned for good, % */
  target: number;
  /** measured at the first weighing, %; null when nobody measured */
  startMoisture: number | null;
  /** air where it lies, when it is not the workshop's */
  air: Air | null;
  weighings: Weighing[];
}

/** What the weights of a bundle say in the air where it lies. */
export const forecastOf = (bundle: DryingBundle, workshopAir: Air): DryingRead =>
  dryingForecast({ ...bundle, air: bundle.air ?? workshopAir });
