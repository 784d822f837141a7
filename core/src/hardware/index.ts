export * from './kit.js';
export * from './fit.js';
export * from './kitNeeds.js';
export * from './pickBit.js';
export * from './drilling.js';
export * from './crossDrilling.js';
export { pecks, type BoredHole } from './bitWork.js';
export * from './mating.js';
