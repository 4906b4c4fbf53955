export interface Difference {
  readonly path: string
  readonly mine: string
  readonly theirs: string
}

/** The places where two documents differ, the first few of them, in words short enough for a table. */
export function differences(mine: unknown, theirs: unknown, path = '', most = 8): readonly Difference[] {
  if (JSON.stringify(mine) === JSON.stringify(theirs)) return []
  if (isBranch(mine) && isBranch(theirs)) {
    const keys = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])]
    return keys.flatMap((k) => differences(mine[k], theirs[k], path === '' ? k : `${path} ${k}`, most)).slice(0, most)
  }
  return [{ path, mine: short(mine), theirs: short(theirs) }]
}

const isBranch = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
const short = (value: unknown): string => (value === undefined ? 'nothing' : JSON.stringify(value).slice(0, 60))
