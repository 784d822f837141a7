export { type ChosenGrits, grainMicrons, gritLadder, type GritStep } from './grit.js';
export { careFor, finishFindings, type FinishProtocol, protocolOf } from './finishing.js';
