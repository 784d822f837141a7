export { fastestSlender, beltMinutes, keptBelt, type SpeedChoice, speedFor } from './speed.js';
export { againstSpeed, setSpeed, type SpeedLimits } from './setSpeed.js';
export { type ChosenTool, type Cut, cutWords, orderOfCuts, toolChangesOf } from './cuts.js';
export { brokenOrders, cutsInOrder, type CutsBefore, ordersFrom } from './cutOrder.js';
export { CUT_FORCE, softestCuts } from './softened.js';
