export * from './join.js';
