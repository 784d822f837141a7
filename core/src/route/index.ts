export { covers } from './covers.js';
export { type Lengths, type Operation, type Route } from './operation.js';
export { play, type Played } from './play.js';
export { routeText } from './routeText.js';
export { usualRoute } from './usual/usualRoute.js';
export { type FitIn, goalOf, type Work } from './usual/work.js';
export type { Shop, Wood } from './shop.js';
