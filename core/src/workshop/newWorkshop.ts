import type { Units } from '../measure/index.js';
import type { Workshop } from './workshop.js';

/** The week most people start with: Monday to Friday, 8 to 12 and 13 to 17. */
const usualWeek = [1, 2, 3, 4, 5].flatMap((weekday) => [
  { weekday, from: 8 * 60, to: 12 * 60 },
  { weekday, from: 13 * 60, to: 17 * 60 },
]);

/**
 * A workshop as it is before anybody said what it owns: habits at their usual values, no tools.
 * The lathe's figures are the smallest common bench lathe, so that a plan is never too hopeful.
 */
export const newWorkshop = (timeZone: string, units: Units): Workshop => ({
  schema: 1,
  units,
  schools: { speed: 'rpm-diameter', batching: 'by-operation' },
  lathe: {
    name: 'Bench lathe',
    drive: { kind: 'range', slowest: 500, fastest: 3200 },
    swing: 250,
    betweenCentres: 400,
    spindleThread: '',
    taper: '',
  },
  centres: [],
  chucks: [],
  mandrels: [],
  bits: [],
  gauges: [],
  tools: [],
  abrasives: [],
  finishes: [],
  glues: [],
  hours: { timeZone, windows: usualWeek },
  allowances: {
    skim: 2,
    centring: 0.5,
    wasteDrive: 15,
    wasteTail: 10,
    parting: 4,
    leastWall: 2.5,
    holeRoom: 1.5,
  },
  speedBand: { low: 150_000, high: 230_000 },
});
