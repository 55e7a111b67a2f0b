/**
 * Which way the arrows may point. A floor of the core may know floors below it and none above; a floor is entered by its
 * door, the index, except by the tests. Web and server meet only in the core.
 */
const FLOORS = [
  ['units', 'light'],
  ['words'],
  ['tongues', 'facts'],
  ['record'],
  ['parts', 'room', 'controls', 'voice'],
  ['drawing', 'power', 'import', 'machine'],
  ['fit', 'access'],
  ['proof', 'box'],
  ['script'],
  ['judge'],
  ['handoff'],
  ['api'],
]
const core = (names) => `^core/src/(${names.join('|')})/`
const upward = FLOORS.map((names, i) => ({
  name: `no-arrow-up-from-${names.join('-')}`,
  comment: 'A floor knows the floors below it, never its own neighbours or one above.',
  severity: 'error',
  from: { path: core(names) },
  to: {
    path: core(FLOORS.slice(i).flat()),
    pathNot: [],
  },
}))
// A floor may of course know its own rooms.
for (const [i, rule] of upward.entries()) {
  const own = FLOORS[i]
  rule.from.path = `^core/src/(${own.join('|')})/`
  rule.to.pathNot = ['^core/src/$1/']
}

module.exports = {
  forbidden: [
    ...upward,
    {
      name: 'through-the-door',
      comment: 'A floor of the core is entered by its index.',
      severity: 'error',
      from: { path: '^core/src/([^/]+)/' },
      to: {
        path: '^core/src/[^/]+/.+',
        pathNot: ['^core/src/$1/', '^core/src/[^/]+/index\\.ts$', '^core/src/record/ops/index\\.ts$', ...LOWER_ROOMS()],
      },
    },
    {
      name: 'no-circle',
      comment: 'Modules that know each other in a ring cannot be understood one at a time.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-knows-no-interface',
      severity: 'error',
      from: { path: '^core/src' },
      to: { path: ['^(web|server|demo|e2e)/', 'node_modules/(react|express|sequelize|zustand|d3)'], dependencyTypesNot: [] },
    },
    {
      name: 'web-and-server-meet-in-core',
      severity: 'error',
      from: { path: '^web/src' },
      to: { path: '^(server|demo|e2e)/' },
    },
    {
      name: 'server-knows-no-screen',
      severity: 'error',
      from: { path: '^server/src' },
      to: { path: ['^(web|e2e)/', 'node_modules/(react-dom|zustand)/'] },
    },
    {
      name: 'stations-do-not-know-each-other',
      severity: 'error',
      from: { path: '^web/src/stations/([^/]+)/' },
      to: { path: '^web/src/stations/[^/]+/', pathNot: ['^web/src/stations/$1/'] },
    },
    {
      name: 'the-kit-knows-no-station',
      severity: 'error',
      from: { path: '^web/src/kit' },
      to: { path: '^web/src/(stations|bench|rack|shelf|client|film)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    includeOnly: '^(core|server|web|demo)/src',
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types'] },
  },
}

/** The lowest floors are built of each other's rooms: the record of the schema of a fact, the catalogue of that of a part. */
function LOWER_ROOMS() {
  return ['^core/src/(facts|units|record|parts)/']
}
