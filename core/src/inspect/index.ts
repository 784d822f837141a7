export * from './station.js';
export * from './judge.js';
export * from './trend.js';
export * from './twins.js';
export * from './finishedReadings.js';
export * from './ballSet.js';
