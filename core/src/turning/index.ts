export { type SpeedChoice, speedFor, type TurningStage } from './speed.js';
export { type Cut, orderOfCuts } from './cuts.js';
