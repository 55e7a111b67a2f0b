/**
 * Which way the arrows may point. A floor knows the floors below it, never its own neighbours or one above. A floor of the core
 * is entered by its door, the index, except by the tests. Web and server meet only in the core.
 */
const CORE = [
  ['units', 'light'],
  ['words'],
  ['languages', 'facts'],
  ['record'],
  ['parts', 'geometry', 'controls', 'voice'],
  ['drawing', 'power', 'import', 'machine'],
  ['fit', 'access', 'looks'],
  ['proof', 'shipping', 'card'],
  ['script', 'schedule', 'stock', 'learning'],
  ['handoff', 'quote'],
  ['judge'],
  ['api'],
]
const SERVER = [
  ['base'],
  ['db'],
  ['http'],
  ['work', 'mail'],
  ['media', 'people'],
  ['commissions'],
  ['rack', 'shelf', 'handoff'],
  ['plan', 'shop'],
]
const WEB = [
  ['base', 'data', 'workers'],
  ['store'],
  ['kit'],
  ['play', 'shared', 'commands', 'door'],
  ['drawing'],
  ['stations', 'desks', 'client', 'film', 'rack', 'week', 'orders', 'learning', 'shelf', 'shop'],
  ['bench'],
]
/** What stands at the root of a tree is its top floor: it puts the others together, and none of them knows it. */
const upward = (tree, floors) =>
  floors.map((names, i) => ({
    name: `no-arrow-up-from-${tree}-${names.join('-')}`,
    severity: 'error',
    from: { path: `^${tree}/src/(${names.join('|')})/` },
    to: {
      path: [`^${tree}/src/(${floors.slice(i).flat().join('|')})/`, `^${tree}/src/[^/]+$`],
      pathNot: [`^${tree}/src/$1/`],
    },
  }))
/** A folder that no floor names would stand outside of the house. */
const homeless = (tree, floors) => ({
  name: `a-floor-for-every-room-of-${tree}`,
  severity: 'error',
  from: { path: `^${tree}/src/[^/]+/`, pathNot: `^${tree}/src/(${floors.flat().join('|')})/` },
  to: {},
})

module.exports = {
  forbidden: [
    ...[
      ['core', CORE],
      ['server', SERVER],
      ['web', WEB],
    ].flatMap(([tree, floors]) => [...upward(tree, floors), homeless(tree, floors)]),
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
      name: 'stations-and-desks-do-not-know-each-other',
      severity: 'error',
      from: { path: '^web/src/(stations|desks)/([^/]+)/' },
      to: { path: '^web/src/(stations|desks)/[^/]+/', pathNot: ['^web/src/$1/$2/'] },
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
