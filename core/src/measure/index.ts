export { keysOf } from './choice.js';
export { type Correction, dim, type Dimension, MM_PER_INCH, type Units, UNITS } from './dimension.js';
export { type ParsedLength, parseLength } from './parseLength.js';
export { editText, formatFine, formatLength, lengthParts, withoutShade } from './formatLength.js';
export { checkPlausible, type LikelyReading, type MustFit } from './plausible.js';
export { capitalised, fine, len, sentenceParts, speak, asTolerance } from './sentence.js';
export type { Figure, FigureUnit, Working } from './figure.js';
export { bySeverity, STAGES, type Finding, type Severity, type Stage } from './finding.js';
export {
  BATCHING_SCHOOLS,
  type BatchingSchool,
  DRILL_MOMENTS,
  DRILL_SETUPS,
  type DrillMoment,
  type DrillSetup,
  type Schools,
  SPEED_SCHOOLS,
  type SpeedSchool,
} from './school.js';
export { minutesInWords, waitInWords } from './minutes.js';
export { dayWords, isDay } from './day.js';
export { type TurningStage, TURNING_STAGES } from './turningStage.js';
