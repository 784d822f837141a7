export * from './dimension.js';
export * from './parseLength.js';
export * from './formatLength.js';
export * from './plausible.js';
export * from './sentence.js';
export * from './figure.js';
export * from './finding.js';
export * from './school.js';
