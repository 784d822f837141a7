export * from './workshop.js';
export * from './newWorkshop.js';
export * from './checkWorkshop.js';
export * from './habits.js';
export * from './bitSize.js';
