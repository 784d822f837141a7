export * from './kit.js';
export * from './fit.js';
export * from './kitNeeds.js';
export * from './pickBit.js';
export * from './drilling.js';
export * from './mating.js';
