export * from './marks.js';
