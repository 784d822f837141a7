export * from './speed.js';
export * from './cuts.js';
