export {
  bendingStress,
  carries,
  type Force,
  FORCES,
  leastDiameter,
  type Load,
  rockingStress,
  type Section,
  STRENGTHS,
  twistStress,
} from './carry.js';
