export { type Join, joinFindings, joinsOf } from './join.js';
export { type Branch, branchesOf, branchFindings, type BranchJoin } from './branch.js';
export { type PartsMeet, partsMeet } from './partsMeet.js';
