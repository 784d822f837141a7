export * from './workshop.js';
export * from './newWorkshop.js';
export * from './checkWorkshop.js';
export * from './sawing.js';
export * from './bitSize.js';
