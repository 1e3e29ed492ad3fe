/** The import rules of docs/ARCHITECTURE.md. Layers inside core import downwards only. */
const TEST = '\\.(test|e2e)\\.tsx?$|^(core|web)/tests/|^(core|server)/[^/]+/tests/';
/** Everything that computes what a machine does. */
const BELOW_OIL = [
  'numerics',
  'quantities',
  'geartrain',
  'converter',
  'clutch',
  'vehicle',
  'shift',
];
const MODELS = [...BELOW_OIL, 'hydraulics'];
const layer = (name, allowed) => ({
  name: `core-${name}-imports-down`,
  severity: 'error',
  from: { path: `^core/${name}/`, pathNot: TEST },
  to: { path: '^core/', pathNot: `^core/(${[name, ...allowed].join('|')})/` },
});

/** Folders of web, each with what it may import besides itself; a bench knows no other but those named here. */
const BELOW_BENCHES = ['shared', 'storage', 'workers', 'state', 'files', 'bench'];
const BENCHES = {
  ratio: [],
  faults: [],
  apply: ['faults'],
  converter: [],
  clutch: [],
  shift: [],
  packs: ['clutch'],
  stripDown: ['faults'],
};
const ALL_BENCHES = Object.keys(BENCHES);
const WEB = {
  shared: [],
  serviceWorker: [],
  storage: ['shared'],
  workers: ['shared'],
  state: ['shared', 'storage', 'workers'],
  files: ['shared', 'storage', 'workers', 'state'],
  bench: ['shared', 'state', 'workers'],
  ...Object.fromEntries(
    Object.entries(BENCHES).map(([name, known]) => [name, [...BELOW_BENCHES, ...known]]),
  ),
  models: [...BELOW_BENCHES, ...ALL_BENCHES],
  lessons: [...BELOW_BENCHES, ...ALL_BENCHES, 'models'],
  classBook: [...BELOW_BENCHES, ...ALL_BENCHES, 'models', 'lessons'],
  room: [...BELOW_BENCHES, ...ALL_BENCHES, 'models', 'lessons'],
  paper: [...BELOW_BENCHES, ...ALL_BENCHES, 'models', 'lessons'],
  single: [
    'app',
    ...BELOW_BENCHES,
    ...ALL_BENCHES,
    'files',
    'storage',
    'workers',
    'models',
    'lessons',
  ],
  run: [...BELOW_BENCHES, ...ALL_BENCHES, 'models', 'lessons'],
};
const webLayers = Object.entries(WEB).map(([name, allowed]) => ({
  name: `web-${name}-imports-down`,
  severity: 'error',
  from: { path: `^web/${name}/`, pathNot: TEST },
  to: { path: '^web/', pathNot: `^web/(${[name, ...allowed].join('|')})/` },
}));

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    layer('numerics', []),
    layer('quantities', []),
    layer('geartrain', ['numerics', 'quantities']),
    layer('converter', ['numerics', 'quantities']),
    layer('vehicle', ['numerics', 'quantities', 'converter']),
    layer('clutch', ['numerics', 'quantities']),
    layer('shift', ['numerics', 'quantities', 'geartrain', 'converter', 'clutch', 'vehicle']),
    layer('hydraulics', BELOW_OIL),
    layer('faults', MODELS),
    layer('drawing', ['numerics', 'quantities', 'geartrain', 'converter', 'clutch', 'hydraulics']),
    layer('assembly', [...MODELS, 'faults', 'drawing']),
    layer('lesson', [...MODELS, 'faults', 'assembly']),
    layer('room', ['lesson']),
    layer('formats', [...MODELS, 'faults', 'assembly', 'lesson']),
    {
      name: 'core-imports-core-only',
      severity: 'error',
      from: { path: '^core/' },
      to: { path: '^(web|server|cli|e2e|bench|scripts|demo)/' },
    },
    {
      name: 'core-npm-allow-list',
      severity: 'error',
      from: { path: '^core/', pathNot: TEST },
      to: {
        dependencyTypes: [
          'npm',
          'npm-dev',
          'npm-optional',
          'npm-peer',
          'npm-no-pkg',
          'npm-unknown',
        ],
        pathNot:
          'node_modules/(zod|fflate|papaparse|@types/papaparse|@noble/hashes|@noble/ed25519|crc-32|safe-stable-stringify|ml-levenberg-marquardt)/',
      },
    },
    {
      name: 'core-compute-without-schemas',
      comment: 'Schemas live in formats; the kernels stay small enough for a worker.',
      severity: 'error',
      from: { path: '^core/', pathNot: `^core/formats/|${TEST}` },
      to: { path: 'node_modules/zod/' },
    },
    {
      name: 'core-no-node',
      severity: 'error',
      from: { path: '^core/', pathNot: TEST },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-through-its-face',
      comment: 'Outside core, import a folder of core through its index.ts.',
      severity: 'error',
      from: { path: '^(web|server|cli|demo|scripts|bench)/' },
      to: { path: '^core/[^/]+/', pathNot: `^core/[^/]+/index\\.ts$|${TEST}` },
    },
    {
      name: 'tests-for-tests-only',
      comment: 'What tests share is no part of the program.',
      severity: 'error',
      from: { path: '^(core|web|server|cli)/', pathNot: TEST },
      to: { path: TEST },
    },
    {
      name: 'web-alone',
      severity: 'error',
      from: { path: '^web/' },
      to: { path: '^(server|cli|e2e|bench|scripts)/' },
    },
    {
      name: 'server-alone',
      severity: 'error',
      from: { path: '^server/' },
      to: { path: '^(web|cli|e2e|bench|scripts|demo)/' },
    },
    {
      name: 'cli-alone',
      severity: 'error',
      // Reasons are told in the words and the numbers of the screens.
      from: { path: '^cli/' },
      to: {
        path: '^(web|server|e2e)/',
        pathNot: '^web/(lessons/families/words|shared/numbers)\\.ts$',
      },
    },
    ...webLayers,
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'not-to-unresolvable',
      severity: 'error',
      from: {},
      to: { couldNotResolve: true, pathNot: '\\?worker|^virtual:' },
    },
    {
      name: 'no-dev-dependency-in-the-application',
      severity: 'error',
      from: { path: '^(core|web|server)/', pathNot: TEST },
      to: {
        dependencyTypes: ['npm-dev'],
        dependencyTypesNot: ['type-only'],
        pathNot: 'node_modules/@types/',
      },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '^(dist|coverage|.cache)/' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
