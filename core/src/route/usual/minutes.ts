import { extremes, type Outline } from '../../pattern/index.js';

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
  shapePerCm2: 0.01,
  ballPerCm2: 0.08,
  hollowPerCm2: 0.12,
  hollowSandPerCm2: 0.06,
  trial: 0.5,
  burnish: 0.5,
  decorate: 1,
  nib: 0.5,
  part: 0.6,
  tip: 0.6,
  measurePerStation: 0.25,
  rest: 1,
};

/**
 * Minutes to shape a feature: so much to begin it, and by its surface, π·d·l; a ball is compared and cut again until
 * it is round (a ball of 60 takes 8 to 15 min, a feature of a finial one to two; bench practice, typical).
 */
export function shapeMinutes(outline: Outline, elementId: string): number {
  const span = outline.spans.find((s) => s.element.id === elementId);
  if (!span) return MINUTES.shape;
  const { largest } = extremes(outline, span.x0, span.x1);
  const cm2 = (Math.PI * largest.diameter * (span.x1 - span.x0)) / 100;
  const perCm2 = span.element.kind === 'sphere' ? MINUTES.ballPerCm2 : MINUTES.shapePerCm2;
  return MINUTES.shape + cm2 * perCm2;
}

/** Minutes of each piece, nothing for the occasion. */
export const each = (minutes: number): { once: number; each: number } => ({ once: 0, each: minutes });
