/**
 * The arrow goes one way: app → features → session, ui, and app → server; all may call core by its
 * door; core calls nobody.
 */
/** Folders and files, each above what stands before it: an arrow goes back only. */
const CORE = [
  'units',
  'signal',
  'rig',
  'catalogue',
  'graph',
  'passes',
  'explain',
  'edits',
  'recorded',
  'day',
  'files',
  'built',
  'run',
  'rules',
  'analyse.ts',
  'failure',
  'predict',
  'solve',
  'things',
  'agenda',
  'library',
  'build',
  'report',
];

/** What a page asks core by: `index.ts`, and doors for what it does not need otherwise. */
const DOORS = ['index.ts', 'light.ts'];

const escaped = (name) => name.replace('.', '\\.') + (name.endsWith('.ts') ? '$' : '/');

/** Tests, and what only tests use, look at everything. */
const TESTS = '(\\.test|-for-cases|-for-tests)\\.tsx?$';

/** The same within folders that hold many. */
const WITHIN = {
  'core/src/passes': [
    'place',
    'cameras',
    'figures',
    'storage',
    'coverage',
    'power',
    'cables',
    'light',
    'picture',
    'computer',
    'programme',
    'money',
    'framing',
    'sound',
    'view',
    'hearing',
    'room',
    'exposure',
    'processing',
    'time',
  ],
  'core/src/rules': [
    'signal',
    'light',
    'picture',
    'sound',
    'computer',
    'cables',
    'power',
    'place',
    'stands',
    'time',
    'brief',
    'day',
    'files',
  ],
  'core/src/solve': ['gain', 'desk', 'light', 'timing', 'placing'],
  'web/features': [
    'words',
    'chosen',
    'rig',
    'shelf',
    'library',
    'studio',
    'change-over',
    'checklist',
    'history',
    'rundown',
    'findings',
    'menu',
    'adding',
    'opened',
    'brief',
    'gain',
    'monitoring',
    'time',
    'pointing',
    'things',
    'measure',
    'cables',
    'picture',
    'power',
    'sheet',
    'room',
    'house',
    'panel',
    'built',
    'loom',
    'people',
    'desk',
    'plan',
    'sound',
    'run',
    'book',
    'threads',
    'light',
    'board',
    'files',
    'schedule',
  ],
};

const neverUp = (parent, order, above = []) =>
  order.map((folder, place) => ({
    name: `${parent.replaceAll('/', '-')}-${folder.replace('.ts', '')}-is-below`,
    severity: 'error',
    from: { path: `^${parent}/${escaped(folder)}`, pathNot: TESTS },
    to: { path: `^${parent}/(${[...order.slice(place + 1), ...above].map(escaped).join('|')})` },
  }));

const knowsItsOrder = (parent, order) => ({
  name: `${parent.replaceAll('/', '-')}-knows-its-order`,
  comment: 'Every folder stands in the order, so that its arrows are looked at.',
  severity: 'error',
  from: {},
  to: {
    path: `^${parent}/[^/]+/`,
    pathNot: [TESTS, `^${parent}/(${order.map(escaped).join('|')})`],
  },
});

export default {
  forbidden: [
    ...neverUp('core/src', CORE, DOORS),
    ...Object.entries(WITHIN).flatMap(([parent, order]) => [
      ...neverUp(parent, order).filter(({ to }) => !to.path.endsWith('/()')),
      knowsItsOrder(parent, order),
    ]),
    {
      name: 'core-knows-its-order',
      comment: 'A folder of core stands in CORE, so that its arrows are looked at.',
      severity: 'error',
      from: {},
      to: {
        path: '^core/src/',
        pathNot: [TESTS, `^core/src/(${[...CORE, ...DOORS].map(escaped).join('|')})`],
      },
    },
    {
      name: 'core-calls-nobody',
      severity: 'error',
      from: { path: '^core/src' },
      to: { path: '^(web|cli|bench|demo|e2e)/' },
    },
    {
      name: 'core-by-its-door',
      severity: 'error',
      from: { path: '^(web|cli|bench|demo|e2e)/' },
      // The bench tries what the tests try, on larger rigs.
      to: { path: '^core/src/(?!(signal/)?index\\.ts$)', pathNot: '-for-cases\\.ts$' },
    },
    {
      name: 'ui-is-below-features',
      severity: 'error',
      from: { path: '^web/ui' },
      to: { path: '^web/(features|app|server)/' },
    },
    {
      name: 'features-below-app',
      severity: 'error',
      from: { path: '^web/features', pathNot: '\\.test\\.ts$' },
      to: { path: '^web/app' },
    },
    {
      name: 'server-stays-on-the-server',
      severity: 'error',
      from: { path: '^web/(features|ui)', pathNot: '\\.test\\.ts$' },
      to: { path: '^web/server' },
    },
    {
      name: 'server-is-below-app',
      severity: 'error',
      from: { path: '^web/server', pathNot: '\\.test\\.ts$' },
      to: { path: '^web/(app|ui|features|session/(?!protocol\\.ts$))' },
    },
    {
      name: 'session-calls-nobody',
      severity: 'error',
      from: { path: '^web/session' },
      to: { path: '^web/(app|features|ui|server)/' },
    },
    {
      name: 'ui-knows-no-session',
      severity: 'error',
      from: { path: '^web/ui' },
      to: { path: '^web/session' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)\\.next/|\\.css$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
