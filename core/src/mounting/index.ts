export * from './mount.js';
