export { covers } from './covers.js';
export { type Lengths, type Operation, type Route } from './operation.js';
export { play, type Played } from './play.js';
export { routeText } from './routeText.js';
export type { Shop, Wood } from './shop.js';
