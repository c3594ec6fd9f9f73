/** One direction of imports: app and server → contract → core; core → nothing. SQL only in server/records. */
const inside = (folder) => ({ path: `^${folder}/` })

module.exports = {
  forbidden: [
    // Pure packages do what is nobody's heart: the sun's path, polygons joined and cut, quantiles, the error function,
    // eigenvectors.
    { name: 'core-imports-nothing', severity: 'error', from: { path: '^core/', pathNot: '\\.test\\.ts$|/test/' }, to: { pathNot: '^core/|^words/message\\.ts$|node_modules/(suncalc|clipper2-ts|(@types/)?d3-array|simple-statistics|ml-matrix|@stdlib/stats-base-dists-t-quantile)/' } },
    // Core names messages and says none: the list of their names is a type.
    { name: 'core-says-nothing', severity: 'error', from: { path: '^core/', pathNot: '\\.test\\.ts$|/test/' }, to: { path: '^words/', dependencyTypesNot: ['type-only'] } },
    { name: 'words-know-only-core', severity: 'error', from: { path: '^words/', pathNot: '\\.test\\.ts$' }, to: { path: '^(app|server|contract|demo|bin)/' } },
    { name: 'measures-know-no-subject', severity: 'error', from: { path: '^core/(measure|explain)/', pathNot: '/test/' }, to: { path: '^core/', pathNot: '^core/(measure|explain)/' } },
    { name: 'subjects-know-no-job', severity: 'error', from: { path: '^core/', pathNot: '^core/(job|firm|learning)/|/test/' }, to: { path: '^core/(job|firm|learning)/' } },
    { name: 'contract-knows-only-core', severity: 'error', from: { path: '^contract/', pathNot: '\\.test\\.ts$' }, to: { path: '^(app|server|demo|bin)/' } },
    { name: 'app-not-server', severity: 'error', from: inside('app'), to: { path: '^(server|demo|bin)/' } },
    { name: 'server-not-app', severity: 'error', from: inside('server'), to: inside('app') },
    { name: 'sql-only-in-records', severity: 'error', from: { pathNot: '^server/(records|test)/|\\.test\\.ts$|^e2e/' }, to: { path: 'node_modules/pg/' } },
    { name: 'no-circles', severity: 'error', from: { pathNot: 'node_modules' }, to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } } },
  ],
  options: {
    tsConfig: { fileName: 'tsconfig.tools.json' },
    tsPreCompilationDeps: true,
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.nuxt/' },
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'types', 'default'] },
  },
}
