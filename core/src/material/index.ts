export * from './material.js';
export * from './materials.js';
export * from './moisture.js';
