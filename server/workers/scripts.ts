/** Scripts that run beside the shop, by name: as they lie in the sources, and (by the same name) as they are built. */
const SCRIPTS = {
  'lay-worker': '../lays/lay-worker.ts',
  'card-worker': '../cards/card-worker.ts',
  'read-worker': '../jobs/read-worker.ts',
  'drawing-worker': '../drawings/drawing-worker.ts',
  'records-worker': '../records/records-worker.ts',
  'look-worker': '../records/look-worker.ts',
} as const

export type ScriptName = keyof typeof SCRIPTS

/** Where a script lies: beside the built server, or in its room of the sources. */
export const scriptAt = (name: ScriptName): URL => new URL(isSource() ? SCRIPTS[name] : `./${name}.js`, import.meta.url)

/** What node wants to run a script from the sources. */
export const runsSources = (): readonly string[] => (isSource() ? ['--import', 'tsx'] : [])

const isSource = (): boolean => import.meta.url.endsWith('.ts')
