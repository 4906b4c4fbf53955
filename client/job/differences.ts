export interface Difference {
  readonly path: string
  readonly mine: string
  readonly theirs: string
}

/** The places where two documents differ, the first few of them, in words short enough for a table. */
export function differences(mine: unknown, theirs: unknown, path = '', most = 8): readonly Difference[] {
  if (JSON.stringify(mine) === JSON.stringify(theirs)) return []
  const [a, b] = [branchesOf(mine), branchesOf(theirs)]
  if (a && b) {
    const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])]
    return keys.flatMap((k) => differences(a[k], b[k], path === '' ? k : `${path} ${k}`, most)).slice(0, most)
  }
  return [{ path, mine: short(mine), theirs: short(theirs) }]
}

/** Places below this one; the parts of a ticket by their letters, any other list is one value. */
function branchesOf(value: unknown): Readonly<Record<string, unknown>> | null {
  if (typeof value !== 'object' || value === null) return null
  if (!Array.isArray(value)) return value as Record<string, unknown>
  const letters = value.map((v: unknown) =>
    typeof v === 'object' && v !== null && 'letter' in v ? String(v.letter) : '',
  )
  return letters.every((l) => l !== '') ? Object.fromEntries(letters.map((l, i) => [l, value[i] as unknown])) : null
}
const short = (value: unknown): string => (value === undefined ? 'nothing' : JSON.stringify(value).slice(0, 60))
