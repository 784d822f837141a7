export { type Join, joinFindings, joinsOf } from './join.js';
