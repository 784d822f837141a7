import { dim } from '../measure/index.js';
import type { Kit } from '../hardware/index.js';
import { STARTING_FORMS, type PatternBody } from '../pattern/index.js';
import { newWorkshop, type Workshop } from '../workshop/index.js';
import type { PlanInputs } from './inputs.js';

/**
 * A small well-kept workshop with one stopper kit: what benchmarks and tests plan with. Its parts
 * are ours and generic.
 */
export const exampleWorkshop = (): Workshop => ({
  ...newWorkshop('Europe/Berlin', 'mm'),
  lathe: {
    name: 'Bench lathe',
    drive: { kind: 'pulleys', speeds: [450, 800, 1250, 1900, 2700, 3500] },
    swing: 300,
    betweenCentres: 500,
    spindleThread: 'M33 × 3.5',
    taper: 'MT2',
  },
  centres: [
    { id: 'spur', name: 'Four-spur centre', kind: 'spur', diameter: 20 },
    { id: 'ring', name: 'Ring centre', kind: 'ring', diameter: 16 },
    { id: 'live', name: 'Live centre', kind: 'live', diameter: 12 },
  ],
  chucks: [
    {
      id: 'scroll',
      name: 'Scroll chuck',
      fastest: 2500,
      jaws: [{ id: 'pin', name: '20 mm jaws', gripLeast: 15, gripBest: 20, gripMost: 28, depth: 14 }],
    },
  ],
  mandrels: [{ id: 'm8', name: 'M8 stopper mandrel', takes: 'M8', reach: 38 }],
  bits: [6, 8, 10, 11.6, 12].map((d) => ({
    id: `brad${d}`,
    kind: 'brad point',
    diameter: dim(d),
    length: 90,
  })),
  gauges: [
    { id: 'slot32', name: '32 slot', kind: 'slot', size: dim(32) },
    { id: 'calliper', name: 'Dial calliper', kind: 'calliper' },
  ],
  tools: [
    { id: 'rg', name: 'Roughing gouge', kind: 'roughing gouge', width: 25 },
    { id: 'sg', name: 'Spindle gouge', kind: 'spindle gouge', width: 10, nose: 4 },
    { id: 'sk', name: 'Skew', kind: 'skew', width: 19 },
    { id: 'pt', name: 'Parting tool', kind: 'parting tool', width: 3 },
  ],
  abrasives: [120, 150, 180, 240, 320, 400].map((grit) => ({ id: `p${grit}`, grit, scale: 'P' })),
  finishes: [
    { id: 'polish', name: 'Friction polish', kind: 'friction polish', coats: 1 },
    { id: 'oil', name: 'Hard oil', kind: 'oil', coats: 3 },
    { id: 'wax', name: 'Beeswax', kind: 'wax', coats: 1 },
  ],
  glues: [{ id: 'epoxy', name: 'Slow epoxy', kind: 'epoxy', cureMinutes: 720 }],
});

export const exampleKit = (): Kit => ({
  id: 'kit',
  name: 'Carafe base, tapped insert',
  onHand: 24,
  kind: 'tapped-insert',
  baseDiameter: dim(32),
  insertDiameter: dim(11.5),
  insertLength: dim(20),
  thread: 'M8',
  glue: 'epoxy',
});

const stopper = (): PatternBody => {
  const form = STARTING_FORMS.find((f) => f.id === 'stopper') ?? STARTING_FORMS[0];
  const body = form.body({}, 'maple');
  return { ...body, hardware: [{ id: 'h1', kitId: 'kit', partId: 'part1', end: 'reference' }] };
};

/** Inputs of a plan for so many stoppers, begun on a Monday morning. */
export const exampleInputs = (pieces: number): PlanInputs => {
  const workshop = exampleWorkshop();
  return {
    pattern: stopper(),
    workshop,
    stock: { kits: [exampleKit()] },
    order: {
      pieces,
      start: '2026-03-02T08:00',
      due: null,
      materialId: 'maple',
      finishId: 'polish',
      perBlank: 1,
      mount: null,
    },
    schools: workshop.schools,
  };
};
