/** The arrows of the house: core knows nobody, schemas know core, the server and the app know both. */
module.exports = {
  forbidden: [
    {
      name: 'core-imports-only-core',
      comment: 'core/ imports core/ and small pure packages, nothing else.',
      severity: 'error',
      from: { path: '^core/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^core/', '^node_modules/(simple-statistics|papaparse|@types/papaparse|fflate|node-diff3)/'] },
    },
    {
      name: 'core-tests-stay-beside',
      severity: 'error',
      from: { path: '^core/.*\\.test\\.ts$' },
      to: { path: '^(app|server)/' },
    },
    {
      name: 'schemas-know-core',
      severity: 'error',
      from: { path: '^schemas/', pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^core/', '^schemas/', '^node_modules/joi/'] },
    },
    {
      name: 'through-the-front-door',
      comment: 'A core folder is imported by its index, never by a file inside it.',
      severity: 'error',
      from: { path: '^core/([^/]+)/' },
      to: { path: '^core/([^/]+)/', pathNot: ['^core/$1/', '^core/[^/]+/index\\.ts$'] },
    },
    {
      name: 'no-circles',
      comment: 'Types may point back; code may not.',
      severity: 'error',
      from: { path: '^(core|schemas|server|library)/' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      conditionNames: ['import', 'node', 'default'],
      exportsFields: ['exports'],
      extensions: ['.ts', '.js', '.mjs', '.cjs', '.json'],
    },
  },
}
