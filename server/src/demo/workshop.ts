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
    overRest: 205,
    quillTravel: 80,
  },
  centres: [
    { id: 'c1', name: 'Four-spur centre', kind: 'spur', diameter: 22, fits: 'MT2' },
    { id: 'c2', name: 'Ring centre', kind: 'ring', diameter: 13, fits: 'MT2' },
    { id: 'c3', name: 'Live cone centre', kind: 'live', diameter: 25, fits: 'MT2' },
  ],
  chucks: [
    {
      id: 'k1',
      name: 'Scroll chuck',
      fastest: 2600,
      fits: 'M33 × 3.5',
      jaws: [
        {
          id: 'j1',
          name: '14 mm pin jaws',
          gripLeast: 12,
          gripBest: 14,
          gripMost: 20,
          depth: 16,
          recessLeast: 15,
          recessMost: 24,
        },
        { id: 'j2', name: '35 mm jaws', gripLeast: 32, gripBest: 35, gripMost: 52, depth: 14 },
      ],
    },
  ],
  mandrels: [
    { id: 'm1', name: 'M8 stopper mandrel', takes: 'M8', reach: 38, threadLength: 18 },
    { id: 'm2', name: 'Screw mandrel for studs', takes: 'stud 8', reach: 32, threadLength: 16 },
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
    { id: 's1', kind: 'spade', diameter: dim(32), length: 110 },
    {
      id: 'p1',
      kind: 'step',
      diameter: dim(12),
      length: 90,
      pilot: dim(8),
      pilotLength: 30,
    },
    { id: 'n7', kind: 'twist', diameter: { mm: 5.1054, typed: '#7' }, length: 80 },
    { id: 'i1', kind: 'twist', diameter: { mm: 7.9375, typed: '5/16"' }, length: 110 },
    { id: 'i2', kind: 'twist', diameter: { mm: 6.746875, typed: '17/64"' }, length: 100 },
  ],
  gauges: [
    { id: 'g20', name: '20 slot', kind: 'slot', size: dim(20) },
    { id: 'g29', name: '29 slot', kind: 'slot', size: dim(29) },
    { id: 'g32', name: '32 slot', kind: 'slot', size: dim(32) },
    { id: 'g36', name: '36 wrench', kind: 'open wrench', size: dim(36) },
    { id: 'g41', name: 'Pair for 41', kind: 'go and no-go', size: dim(41.3), noGo: dim(40.7) },
    { id: 'gc', name: 'Dial calliper', kind: 'calliper' },
  ],
  fixtures: [
    { id: 'x1', name: 'Draw bar', kind: 'draw bar', diameter: 10, length: 0 },
    { id: 'x2', name: 'Drill chuck 13', kind: 'drill chuck', diameter: 13, length: 95 },
    { id: 'x3', name: 'Fibre washer', kind: 'washer', diameter: 30, length: 1.5 },
    { id: 'x4', name: 'Screw for squat blanks', kind: 'screw', diameter: 7, length: 18 },
    { id: 'x5', name: 'Tape plate 90', kind: 'tape plate', diameter: 90, length: 24 },
    { id: 'x6', name: 'Ball cup 38', kind: 'cup', diameter: 38, length: 40 },
    { id: 'x7', name: 'Ball cup 38, live', kind: 'cup', diameter: 38, length: 40 },
    { id: 'x8', name: 'Limewood jaws', kind: 'wooden jaws', diameter: 60, length: 30 },
    { id: 'x9', name: 'Through rod 8', kind: 'through mandrel', diameter: 8, length: 220 },
    { id: 'x10', name: 'Bushing 8, left', kind: 'bushing', diameter: 14, bore: 8.1, length: 12 },
    { id: 'x11', name: 'Bushing 8, right', kind: 'bushing', diameter: 14, bore: 8.1, length: 12 },
    { id: 'x12', name: 'Spacer 50', kind: 'spacer', diameter: 14, length: 50 },
    { id: 'x13', name: 'Spacer 25', kind: 'spacer', diameter: 14, length: 25 },
    { id: 'x14', name: 'Spacer 10', kind: 'spacer', diameter: 14, length: 10 },
    { id: 'x15', name: 'Beech dowel 12', kind: 'dowel', diameter: 12, length: 45 },
    { id: 'x16', name: 'Collet 10', kind: 'collet', diameter: 10, length: 42 },
  ],
  copying: { stylus: 3, cutter: 3, templateKerf: 0.2 },
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

export type DemoKit = 'insert' | 'stud' | 'ferrule' | 'awl' | 'shank';

/** What else lies in the drawers: one of each kind, measured like the others. */
export const demoDrawer: NewKit[] = [
  {
    kind: 'glue-in-stud',
    name: 'Cruet stopper, ridged stud',
    onHand: 9,
    cost: 240,
    baseDiameter: dim(26),
    neckDiameter: dim(15),
    studDiameter: dim(8),
    studLength: dim(18),
    glue: 'epoxy',
  },
  {
    kind: 'ring',
    name: 'Copper ring 18',
    onHand: 25,
    bore: dim(18),
    outsideDiameter: dim(20),
    length: dim(6),
    glue: 'cyanoacrylate',
  },
  {
    kind: 'head',
    name: 'Grain scoop head',
    onHand: 7,
    cost: 890,
    endDiameter: dim(15),
    stemDiameter: dim(6),
    stemLength: dim(34),
    glue: 'epoxy',
  },
  {
    kind: 'socket',
    name: 'Hay-knife socket',
    onHand: 2,
    mouthDiameter: dim(21),
    bottomDiameter: dim(13),
    socketDepth: dim(40),
  },
  {
    kind: 'rod',
    name: 'Steel rod 6',
    onHand: 30,
    diameter: dim(6),
    length: dim(28),
    fit: 'press',
    glue: 'epoxy',
  },
  {
    kind: 'ball',
    name: 'Glass ball 6',
    onHand: 60,
    diameter: dim(6),
    seatDepth: dim(4),
    glue: 'cyanoacrylate',
  },
  {
    kind: 'screw-eye',
    name: 'Small brass eye',
    onHand: 48,
    rootDiameter: dim(1.8),
    outsideDiameter: dim(2.6),
    threadLength: dim(10),
  },
  { kind: 'cord', name: 'Flax cord 3', onHand: 40, diameter: dim(3), knotDiameter: dim(7) },
  {
    kind: 'threaded-insert',
    name: 'Leg insert, inch thread',
    onHand: 16,
    rootDiameter: dim(8.5),
    outsideDiameter: dim(10),
    insertLength: dim(13),
    thread: '1/4-20',
  },
];

export const demoKits: Record<DemoKit, NewKit> = {
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
  awl: {
    kind: 'tang',
    name: 'Awl blade, square taper',
    onHand: 11,
    cost: 260,
    section: 'square',
    shoulderAcross: dim(7.5),
    tipAcross: dim(4),
    tangLength: dim(52),
    bolsterDiameter: dim(16),
    glue: 'epoxy',
  },
  shank: {
    kind: 'tapered-shank',
    name: 'Hook blade, round taper',
    onHand: 5,
    cost: 540,
    mouthDiameter: dim(14),
    tipDiameter: dim(9),
    shankLength: dim(48),
    glue: 'epoxy',
  },
};
