/** The arrows of the house: core knows nobody, schemas know core and check the library, which is data; the server and the app know them all. */
const SMALL_PACKAGES = '^node_modules/(simple-statistics|papaparse|@types/papaparse|fflate|node-diff3|date-fns)/'
const TESTS = '\\.test\\.ts$'

module.exports = {
  forbidden: [
    {
      name: 'core-imports-only-core',
      comment: 'core/ imports core/ and small pure packages, nothing else.',
      severity: 'error',
      from: { path: '^core/', pathNot: TESTS },
      to: { pathNot: ['^core/', SMALL_PACKAGES] },
    },
    {
      name: 'schemas-know-core',
      severity: 'error',
      from: { path: '^schemas/', pathNot: TESTS },
      to: { pathNot: ['^core/', '^schemas/', '^library/[^/]+\\.json$', '^node_modules/joi/'] },
    },
    {
      name: 'demo-is-made-of-the-library',
      severity: 'error',
      from: { path: '^demo/', pathNot: TESTS },
      to: { pathNot: ['^core/', '^schemas/', '^demo/'] },
    },
    { name: 'server-does-not-know-the-app', severity: 'error', from: { path: '^server/' }, to: { path: '^app/' } },
    {
      name: 'app-does-not-know-the-server',
      comment: 'What goes over the wire stands in schemas/contract.ts.',
      severity: 'error',
      from: { path: '^app/', pathNot: TESTS },
      to: { path: '^(server|library|demo|test|scripts)/' },
    },
    {
      name: 'tests-stay-beside',
      severity: 'error',
      from: { path: '^(core|schemas|demo)/.*\\.test\\.ts$' },
      to: { path: '^(app|server)/' },
    },
    {
      name: 'through-the-front-door',
      comment: 'A core folder is imported by its index, never by a file inside it.',
      severity: 'error',
      from: { path: '^core/([^/]+)/' },
      to: { path: '^core/([^/]+)/', pathNot: ['^core/$1/', '^core/[^/]+/index\\.ts$', '^core/wording/reports/index\\.ts$'] },
    },
    {
      name: 'through-the-front-door-from-outside',
      severity: 'error',
      from: { path: '^(schemas|demo|server|app)/' },
      to: { path: '^core/[^/]+/', pathNot: ['^core/[^/]+/index\\.ts$', '^core/wording/reports/index\\.ts$'] },
    },
    {
      name: 'database-knows-nobody',
      comment: 'database <- record, access <- views, files, live <- api. Everybody may write a line of the log.',
      severity: 'error',
      from: { path: '^server/database/' },
      to: { path: '^server/(?!database/|lookedAfter/log)' },
    },
    {
      name: 'record-below-views',
      severity: 'error',
      from: { path: '^server/(record|access)/' },
      to: { path: '^server/(views|files|live|api)/' },
    },
    { name: 'nobody-knows-a-route', severity: 'error', from: { pathNot: '^server/api/' }, to: { path: '^server/api/' } },
    {
      name: 'following-is-plain',
      comment: 'app/following/ works without a page: no component, no store, no composable.',
      severity: 'error',
      from: { path: '^app/following/', pathNot: TESTS },
      to: { path: '^app/(?!following/)' },
    },
    {
      name: 'theme-below-all',
      comment: 'theme <- forms <- pieces <- the stops <- pages.',
      severity: 'error',
      from: { path: '^app/theme/' },
      to: { path: '^app/(?!theme/)' },
    },
    {
      name: 'forms-know-no-stop',
      severity: 'error',
      from: { path: '^app/forms/' },
      to: { path: '^app/(components|pages|stores)/' },
    },
    {
      name: 'pieces-know-no-stop',
      severity: 'error',
      from: { path: '^app/components/pieces/' },
      to: { path: '^app/(components/(?!pieces/)|pages/)' },
    },
    { name: 'nobody-knows-a-page', severity: 'error', from: { path: '^app/(?!pages/)' }, to: { path: '^app/pages/' } },
    {
      name: 'stores-below-composables',
      comment: 'A store holds; what knows stores is a composable.',
      severity: 'error',
      from: { path: '^app/stores/' },
      to: { path: '^app/(composables|components|pages|forms)/' },
    },
    {
      name: 'following-knows-no-vue',
      severity: 'error',
      from: { path: '^app/following/', pathNot: TESTS },
      to: { path: '^node_modules/(vue|pinia|@vueuse)/' },
    },
    {
      name: 'no-circles',
      comment: 'Types may point back; code may not.',
      severity: 'error',
      from: { path: '^(core|schemas|server|demo|app)/' },
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'resolvable', severity: 'error', from: {}, to: { couldNotResolve: true, pathNot: '^(#|virtual:)' } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\?(raw|url)$' },
    tsPreCompilationDeps: true,
    // Nuxt's names for app/ and for the whole house.
    webpackConfig: { fileName: 'scripts/aliases.mjs' },
    extraExtensionsToScan: [],
    enhancedResolveOptions: {
      conditionNames: ['import', 'node', 'default'],
      exportsFields: ['exports'],
      extensions: ['.ts', '.vue', '.js', '.mjs', '.cjs', '.json'],
    },
  },
}
