/** Two changes of one document put together, or the places where both changed the same thing otherwise. */
export interface Merged<T> {
  readonly value: T
  /** `making.steps.foam.cut.note`: where theirs was kept although mine differs. */
  readonly clashes: readonly string[]
}

/**
 * Three-way merge of plain documents: what only one side changed is taken over; lists count as one
 * value. What is counted (`adds` says so of its place) goes by both movements: 85 less 5 here and less 20 there is 60.
 * Where both changed the same value otherwise, theirs stays and the place is named.
 */
export function mergeDocuments<T>(
  base: T,
  mine: T,
  theirs: T,
  adds: (path: string) => boolean = () => false,
): Merged<T> {
  if (same(mine, theirs)) return { value: theirs, clashes: [] }
  const clashes: string[] = []
  const value = merge(base, mine, theirs, '', { clashes, adds })
  return { value: value as T, clashes }
}

interface Merging {
  readonly clashes: string[]
  readonly adds: (path: string) => boolean
}

type Plain = Readonly<Record<string, unknown>>

function merge(base: unknown, mine: unknown, theirs: unknown, path: string, merging: Merging): unknown {
  if (same(base, mine)) return theirs
  if (same(base, theirs)) return mine
  if (typeof mine === 'number' && typeof theirs === 'number' && merging.adds(path))
    return Math.round((theirs + mine - (typeof base === 'number' ? base : 0)) * 1e6) / 1e6
  if (same(mine, theirs)) return theirs
  if (isPlain(mine) && isPlain(theirs) && sameKind(mine, theirs))
    return mergeKeys(isPlain(base) ? base : {}, mine, theirs, path, merging)
  merging.clashes.push(path)
  return theirs
}

function mergeKeys(base: Plain, mine: Plain, theirs: Plain, path: string, merging: Merging): Plain {
  const keys = [...new Set([...Object.keys(theirs), ...Object.keys(mine)])]
  return Object.fromEntries(
    keys.flatMap((key): [string, unknown][] => {
      const value = merge(base[key], mine[key], theirs[key], path === '' ? key : `${path}.${key}`, merging)
      return value === undefined ? [] : [[key, value]]
    }),
  )
}

const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Members of a union are never mixed: they are chosen whole. */
const sameKind = (a: Plain, b: Plain): boolean => a['kind'] === b['kind']

const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b)
