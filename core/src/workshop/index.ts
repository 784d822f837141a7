export * from './workshop.js';
export * from './newWorkshop.js';
export * from './checkWorkshop.js';
