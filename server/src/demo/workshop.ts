import {
  corrected,
  dim,
  materialById,
  newWorkshop,
  type Material,
  type NewKit,
  type Workshop,
} from '@compas/core';

/** The demo workshop: invented, like everything in the demo. */
export const DEMO_WORKSHOP_NAME = 'Quillhaven Turnery';

export const DEMO_OWNER = { name: 'Maren Oswick', email: 'maren@quillhaven.example' };
export const DEMO_MAKER = { name: 'Tobi Ferrow', email: 'tobi@quillhaven.example' };
/** The demo holds nothing of anybody's: its password is no secret. */
export const DEMO_PASSWORD = 'shavings-everywhere';

/** Birch from the lane, weighed and dried here: better known than the library knows it. */
function ownBirch(): Material {
  const birch = materialById('birch');
  if (!birch) throw new Error('Birch is gone from the library.');
  return corrected(
    birch,
    { density: 0.61, shrinkTangential: 8.1 },
    { source: 'own scales, six dried billets', certainty: 'measured' },
  );
}

export const demoWorkshop = (): Workshop => ({
  ...newWorkshop('UTC', 'mm'),
  lathe: {
    name: 'Long bench lathe',
    drive: { kind: 'pulleys', speeds: [450, 720, 1150, 1600, 2200, 3000, 3600] },
    swing: 320,
    betweenCentres: 620,
    spindleThread: 'M33 × 3.5',
    taper: 'MT2',
  },
  centres: [
    { id: 'c1', name: 'Four-spur centre', kind: 'spur', diameter: 22 },
    { id: 'c2', name: 'Ring centre', kind: 'ring', diameter: 13 },
    { id: 'c3', name: 'Live cone centre', kind: 'live', diameter: 25 },
  ],
  chucks: [
    {
      id: 'k1',
      name: 'Scroll chuck',
      fastest: 2600,
      jaws: [
        { id: 'j1', name: '14 mm pin jaws', gripLeast: 12, gripBest: 14, gripMost: 20, depth: 16 },
        { id: 'j2', name: '35 mm jaws', gripLeast: 32, gripBest: 35, gripMost: 52, depth: 14 },
      ],
    },
  ],
  mandrels: [
    { id: 'm1', name: 'M8 stopper mandrel', takes: 'M8', reach: 38 },
    { id: 'm2', name: 'Screw mandrel for studs', takes: 'stud 8', reach: 32 },
  ],
  bits: [
    ...[4, 5, 6, 7, 8, 8.2, 10, 11.6, 12].map((d) => ({
      id: `b${d}`,
      kind: 'brad point' as const,
      diameter: dim(d),
      length: 95,
    })),
    ...[16, 20, 25].map((d) => ({
      id: `f${d}`,
      kind: 'flat-bottomed' as const,
      diameter: dim(d),
      length: 60,
    })),
    { id: 'i1', kind: 'twist', diameter: { mm: 7.9375, typed: '5/16"' }, length: 110 },
    { id: 'i2', kind: 'twist', diameter: { mm: 6.746875, typed: '17/64"' }, length: 100 },
  ],
  gauges: [
    { id: 'g20', name: '20 slot', kind: 'slot', size: dim(20) },
    { id: 'g29', name: '29 slot', kind: 'slot', size: dim(29) },
    { id: 'g32', name: '32 slot', kind: 'slot', size: dim(32) },
    { id: 'gc', name: 'Dial calliper', kind: 'calliper' },
  ],
  tools: [
    { id: 't1', name: 'Roughing gouge 25', kind: 'roughing gouge', width: 25 },
    { id: 't2', name: 'Spindle gouge 10', kind: 'spindle gouge', width: 10, nose: 3.5 },
    { id: 't3', name: 'Skew 19', kind: 'skew', width: 19 },
    { id: 't4', name: 'Parting tool 3', kind: 'parting tool', width: 3 },
  ],
  abrasives: [120, 150, 180, 240, 320, 400].map((grit) => ({ id: `p${grit}`, grit, scale: 'P' as const })),
  finishes: [
    { id: 'polish', name: 'Friction polish', kind: 'friction polish', coats: 1 },
    { id: 'oil', name: 'Hard wax oil', kind: 'oil', coats: 3 },
    { id: 'wax', name: 'Beeswax', kind: 'wax', coats: 1 },
    { id: 'lacquer', name: 'Spray lacquer', kind: 'lacquer', coats: 3 },
  ],
  glues: [
    { id: 'epoxy', name: 'Slow epoxy', kind: 'epoxy', cureMinutes: 720 },
    { id: 'ca', name: 'Thin instant glue', kind: 'cyanoacrylate', cureMinutes: 10 },
  ],
  air: { temperature: 19, humidity: 52 },
  currency: 'EUR',
  materials: [ownBirch()],
});

export const demoKits: Record<'insert' | 'stud' | 'ferrule', NewKit> = {
  insert: {
    kind: 'tapped-insert',
    name: 'Carafe base with tapped insert',
    onHand: 31,
    cost: 385,
    reorderAt: 12,
    baseDiameter: dim(32),
    insertDiameter: dim(11.5),
    insertLength: dim(20),
    thread: 'M8',
    glue: 'epoxy',
  },
  stud: {
    kind: 'self-tapping-stud',
    name: 'Carafe base with self-tapping stud',
    onHand: 10,
    cost: 310,
    reorderAt: 12,
    baseDiameter: dim(29),
    rootDiameter: dim(6),
    outsideDiameter: {
      mm: 7.9375,
      typed: '5/16"',
      correction: { raw: '5 1/16', reason: 'a fraction seems to have lost its slash: 5/16"' },
    },
    studLength: dim(16),
    thread: 'stud 8',
  },
  ferrule: {
    kind: 'ferrule',
    name: 'Brass ferrule 20',
    onHand: 14,
    cost: 140,
    bore: dim(20),
    outsideDiameter: dim(22),
    length: dim(18),
    tangDiameter: dim(8),
    tangLength: dim(46),
    glue: 'epoxy',
  },
};
