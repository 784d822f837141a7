/** Rooms of the core in their order: each imports only those left of it. */
const ROOMS = [
  'measure',
  'material',
  'stiffness',
  'workshop',
  'pattern',
  'hardware',
  'mounting',
  'stock',
  'surface',
  'layout',
  'turning',
  'assembly',
  'route',
  'batch',
  'inspect',
  'safety',
  'plan',
  'files',
];

const TEST = '\\.test\\.ts$';

const leftOnly = ROOMS.map((room, i) => ({
  name: `core-${room}-imports-only-rooms-left-of-it`,
  severity: 'error',
  from: { path: `^core/src/${room}/`, pathNot: TEST },
  to: { path: `^core/src/(${ROOMS.slice(i + 1).join('|') || '-'})/` },
}));

/**
 * Rooms of the web: those of the ground are used by all and use only each other; a room of screens uses the
 * ground and the rooms it names here.
 */
const WEB_GROUND = ['api', 'ui', 'saving', 'workers', 'strip'];
const WEB_SCREENS = {
  access: [],
  bench: [],
  order: ['plan'],
  run: [],
  plan: ['pattern', 'workshop'],
  twins: ['plan', 'run'],
  pattern: ['plan'],
  compare: ['pattern', 'copy', 'plan'],
  copy: ['pattern'],
  stock: ['workshop'],
  workshop: [],
};

const webRooms = Object.entries(WEB_SCREENS).map(([room, others]) => ({
  name: `web-${room}-uses-the-ground-and-what-it-names`,
  severity: 'error',
  from: { path: `^web/src/${room}/`, pathNot: /\.test\.tsx?$/.source },
  to: { path: '^web/src/', pathNot: `^web/src/(${[room, ...WEB_GROUND, ...others].join('|')})/` },
}));
webRooms.push({
  name: 'web-ground-knows-no-screen',
  severity: 'error',
  from: { path: `^web/src/(${WEB_GROUND.join('|')})/`, pathNot: /\.test\.tsx?$/.source },
  to: { path: `^web/src/(app|${Object.keys(WEB_SCREENS).join('|')})/` },
});

/** Rooms of the server in their order: each uses only those left of it. */
const SERVER_ROOMS = [
  'edge',
  'database',
  'compute',
  'access',
  'health',
  'workshop',
  'pattern',
  'stock',
  'hardware',
  'drying',
  'batch',
  'order',
  'files',
  'demo',
];
const serverRooms = SERVER_ROOMS.map((room, i) => ({
  name: `server-${room}-uses-only-rooms-left-of-it`,
  severity: 'error',
  from: { path: `^server/src/${room}/` },
  to: { path: `^server/src/(${SERVER_ROOMS.slice(i + 1).join('|') || '-'})/` },
}));

export default {
  forbidden: [
    ...leftOnly,
    {
      name: 'core-imports-nothing-from-outside',
      comment:
        'No framework, file system, clock or randomness: same input, same output. Statistics and least squares are packages’.',
      severity: 'error',
      from: { path: '^core/src', pathNot: [TEST, '^core/src/files/'] },
      to: { pathNot: ['^core/src', '(^|/)node_modules/(simple-statistics|ml-levenberg-marquardt)/'] },
    },
    {
      name: 'files-read-formats-by-small-libraries',
      comment: 'Only the room of files knows packages, and only those that read or write a format.',
      severity: 'error',
      from: { path: '^core/src/files/', pathNot: TEST },
      to: {
        pathNot: [
          '^core/src',
          '/node_modules/(svgpath|fast-xml-parser|papaparse|dxf-parser|@tarikjabiri/dxf)/|^node_modules/(svgpath|fast-xml-parser|papaparse|dxf-parser|@tarikjabiri/dxf)/',
        ],
      },
    },
    {
      name: 'rooms-are-entered-by-their-door',
      comment: 'Another room is imported by its index.',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/', pathNot: TEST },
      to: { path: '^core/src/([^/]+)/', pathNot: ['^core/src/$1/', '/index\\.ts$'] },
    },
    {
      name: 'the-test-lathe-knows-nothing-of-the-route',
      comment: 'It judges routes: what it makes must come from what is said alone.',
      severity: 'error',
      from: { path: '^core/test/judge/', pathNot: 'judged\\.ts$' },
      to: { path: '^core/src/route/' },
    },
    {
      name: 'only-applications-import-plan',
      severity: 'error',
      from: { path: '^core/src', pathNot: [TEST, '^core/src/(plan|files)/', '^core/src/index\\.ts$'] },
      to: { path: '^core/src/plan/' },
    },
    {
      name: 'web-does-not-import-server',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^server/' },
    },
    {
      name: 'server-does-not-import-web',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^web/' },
    },
    ...webRooms,
    ...serverRooms,
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, dependencyTypesNot: ['type-only'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      conditionNames: ['source', 'import', 'require', 'node', 'default'],
      exportsFields: ['exports'],
    },
  },
};
