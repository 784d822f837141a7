export {
  CERTAINTIES,
  type Certainty,
  corrected,
  DUST_HAZARDS,
  type DustHazard,
  type Material,
  MATERIAL_CLASSES,
  MATERIAL_FAMILIES,
  type MaterialClass,
  type MaterialFamily,
  type MaterialField,
  provenanceOf,
  type Tone,
  TONE_NAMES,
} from './material.js';
export { materialById, MATERIALS, materialsOf } from './materials.js';
export { equilibriumMoisture, humidityFor, shrinkageOf, shrinkFactor } from './moisture.js';
