export {
  bendingStress,
  carries,
  type Force,
  FORCES,
  leastDiameter,
  type Load,
  rockingStress,
  type Section,
  type Strength,
  STRENGTHS,
  twistStress,
} from './carry.js';
