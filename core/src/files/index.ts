export * from './page.js';
export * from './storyStick.js';
export * from './batchSheet.js';
