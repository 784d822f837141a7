export {
  bendingStress,
  carries,
  type Force,
  FORCES,
  leastDiameter,
  type Load,
  type Section,
  type Strength,
  STRENGTHS,
  tenonStress,
  twistStress,
  weightOf,
} from './carry.js';
