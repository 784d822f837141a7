export * from './grit.js';
export * from './finishing.js';
