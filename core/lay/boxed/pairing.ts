import { kindKey, type Instance, type Item } from '../instance.ts'
import { PairTable } from '../separation/index.ts'
import { areaOf, bundlesOf, type Bundle } from './bundle.ts'

/** Two pieces by their index, and the boxes in which they may lie. */
export interface Pair {
  readonly members: readonly [number, number]
  readonly bundles: readonly Bundle[]
}

/** Two pieces go together where that saves this share of their own boxes. */
const LEAST_SAVING = 0.03

/** With more kinds than this it takes longer to pair them than it saves. */
const MOST_KINDS = 150
/** What one kind against another takes, in the unit of work. */
const MATCH = 100

export interface PairedOff {
  readonly pairs: readonly Pair[]
  readonly single: readonly number[]
}

/**
 * Pieces two by two that lie closer together than their boxes would, those first that save most, and the others. Yields
 * the work done.
 */
export function* pairedOff(instance: Instance): Generator<number, PairedOff> {
  const kinds = kindsIn(instance)
  const matches = kinds.length > MOST_KINDS ? [] : yield* matchesOf(instance, kinds)
  const left = kinds.map(({ members }) => [...members])
  const pairs: Pair[] = []
  for (const { a, b, bundles } of matches) {
    const [some, others] = [left[a]!, left[b]!]
    while (some.length > (a === b ? 1 : 0) && others.length > 0)
      pairs.push({ members: [some.pop()!, others.pop()!], bundles })
  }
  return { pairs, single: left.flat() }
}

interface Kind {
  readonly item: Item
  readonly members: readonly number[]
  /** Area of its box, in the turn that has the smallest. */
  readonly boxArea: number
  readonly isBox: boolean
}

function kindsIn({ items }: Instance): readonly Kind[] {
  const byKey = new Map<string, number[]>()
  items.forEach((item, i) => {
    const key = kindKey(item)
    byKey.set(key, [...(byKey.get(key) ?? []), i])
  })
  return [...byKey.values()].map((members) => {
    const item = items[members[0]!]!
    return {
      item,
      members,
      boxArea: Math.min(...item.postures.map((p) => areaOf(p.shape))),
      isBox: item.postures.every((p) => p.shape.isBox),
    }
  })
}

interface Match {
  readonly a: number
  readonly b: number
  readonly saving: number
  readonly bundles: readonly Bundle[]
}

/** Which kinds go together, those first that save most. */
function* matchesOf(instance: Instance, kinds: readonly Kind[]): Generator<number, readonly Match[]> {
  const table = new PairTable(instance, 'exact')
  const width = instance.maxX - instance.minX
  const matches: Match[] = []
  for (const [a, one] of kinds.entries()) {
    for (let b = a; b < kinds.length; b++) {
      const other = kinds[b]!
      if ((one.isBox && other.isBox) || (a === b && one.members.length < 2)) continue
      const apart = one.boxArea + other.boxArea
      const bundles = bundlesOf(table, one.item, other.item).filter(
        (x) => x.width <= width && areaOf(x) < apart * (1 - LEAST_SAVING),
      )
      if (bundles.length > 0) matches.push({ a, b, saving: apart - Math.min(...bundles.map(areaOf)), bundles })
    }
    yield MATCH * (kinds.length - a)
  }
  return matches.sort((x, y) => y.saving - x.saving)
}
