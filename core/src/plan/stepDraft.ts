import type { Place, SetupState, Step } from '../batch/index.js';
import type { PartPlan } from './partPlan.js';

/** A part plan that has everything but its steps and what follows from them. */
export type PartDraft = Omit<PartPlan, 'steps' | 'cautions'>;

/** Usual minutes by step: typical, unchecked. */
export const MINUTES = {
  saw: 1.5,
  centres: 1,
  clip: 1,
  drill: 1.5,
  mount: 0.7,
  roughPerCm3: 0.02,
  rough: 1,
  mark: 0.5,
  size: 0.5,
  shapePerElement: 0.8,
  trialFit: 0.5,
  part: 1.2,
  measurePerStation: 0.25,
};
export const SETUP = { saw: 10, 'drill press': 6, bench: 1, lathe: 5 } satisfies Record<Place, number>;

/** A step with what is not usual about it. */
export type Draft = Partial<Step> & Pick<Step, 'id' | 'stage' | 'title' | 'words' | 'minutes'>;

/** The state a place must be in. */
export const at = (
  place: Place,
  holding: string,
  tailstock: SetupState['tailstock'] = 'not used',
): SetupState => ({
  place,
  holding,
  tailstock,
});
