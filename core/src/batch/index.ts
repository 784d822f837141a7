export * from './step.js';
export * from './workingTime.js';
export * from './schedule.js';
export * from './event.js';
export * from './progress.js';
export * from './pieceSummary.js';
export * from './contradictions.js';
