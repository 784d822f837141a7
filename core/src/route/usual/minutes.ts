/** Usual minutes of one piece by what is done: bench practice, typical, unchecked. */
export const MINUTES = {
  saw: 1.5,
  centres: 1,
  clip: 1,
  vise: 0.3,
  drill: 1.5,
  peck: 0.2,
  face: 0.5,
  mount: 0.7,
  tail: 0.2,
  rough: 1,
  roughPerCm3: 0.02,
  tenon: 0.8,
  mark: 0.5,
  size: 0.5,
  shape: 0.8,
  trial: 0.5,
  decorate: 1,
  nib: 0.5,
  part: 0.6,
  tip: 0.6,
  measurePerStation: 0.25,
};

/** Minutes of each piece, nothing for the occasion. */
export const each = (minutes: number): { once: number; each: number } => ({ once: 0, each: minutes });
