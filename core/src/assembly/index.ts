export { type Join, joinFindings, joinsOf } from './join.js';
export { type Branch, branchesOf, branchFindings, type BranchJoin } from './branch.js';
export { type Shaft, shaftOf } from './shaft.js';
export { type PartsMeet, partsMeet } from './partsMeet.js';
