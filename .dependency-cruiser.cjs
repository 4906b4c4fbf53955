/** Import cycles, and doors of core's rooms: from outside only a room's index is imported. */
module.exports = {
  forbidden: [
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'through-the-door',
      comment: 'Import a room of core by its index.ts, not by a file inside it.',
      severity: 'error',
      from: { path: '^(server|client|commands)/' },
      to: { path: '^core/[^/]+/(?!index\\.ts$)' },
    },
    {
      name: 'through-the-door-in-core',
      comment: 'Rooms of core use each other by their doors as well.',
      severity: 'error',
      from: { path: '^core/([^/]+)/' },
      to: { path: '^core/[^/]+/(?!index\\.ts$)', pathNot: '^core/$1/' },
    },
    {
      name: 'migrations-are-frozen',
      comment: 'What brings old files up to date must not change with what it brings them to.',
      severity: 'error',
      from: { path: '^contract/migrations/' },
      to: { pathNot: '^contract/migrations/' },
    },
    {
      name: 'the-check-shares-nothing',
      comment: 'The acceptance check of lays must not lean on what it checks.',
      severity: 'error',
      from: { path: '^core/lay/check/' },
      to: { path: '^core/', pathNot: '^core/lay/(check/|tolerances\\.ts$)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    exclude: { path: '\\.test\\.ts$' },
    tsConfig: { fileName: 'tsconfig.base.json' },
  },
}
