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
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: false,
    exclude: { path: '\\.test\\.ts$' },
    tsConfig: { fileName: 'tsconfig.base.json' },
  },
}
