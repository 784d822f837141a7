export * from './cautions.js';
