import { alike, type Instance, type Item } from '../instance.ts'
import { PairTable } from '../separation/index.ts'
import { alone, areaOf, bundlesOf, leastBox, type Bundle } from './bundle.ts'

/** Pieces by their indices, and the boxes in which they may lie, together or alone. */
export interface Boxful {
  readonly members: readonly number[]
  readonly bundles: readonly Bundle[]
}

/** Two pieces go together where that saves this share of their own boxes. */
const LEAST_SAVING = 0.03

/** With more kinds than this it takes longer to pair them than it saves. */
const MOST_KINDS = 150
/** What one kind against another takes, in the unit of work. */
const MATCH = 100

/**
 * All pieces in boxes: two by two where they lie closer together than their boxes would, those first that save most,
 * and else alone. Yields the work done.
 */
export function* boxfulsOf(instance: Instance): Generator<number, readonly Boxful[]> {
  const kinds = alike(instance.items).map((members): Kind => kindOf(instance.items[members[0]!]!, members))
  const matches = kinds.length > MOST_KINDS ? [] : yield* matchesOf(instance, kinds)
  const left = kinds.map(({ members }) => [...members])
  const pairs: Boxful[] = []
  for (const { a, b, bundles } of matches) {
    const [some, others] = [left[a]!, left[b]!]
    while (some.length > (a === b ? 1 : 0) && others.length > 0)
      pairs.push({ members: [some.pop()!, others.pop()!], bundles })
  }
  const single = kinds.flatMap(({ item }, k) => {
    const bundles = item.postures.map(alone)
    return left[k]!.map((i): Boxful => ({ members: [i], bundles }))
  })
  return [...pairs, ...single]
}

interface Kind {
  readonly item: Item
  readonly members: readonly number[]
  readonly boxArea: number
  readonly isBox: boolean
}

const kindOf = (item: Item, members: readonly number[]): Kind => ({
  item,
  members,
  boxArea: leastBox(item),
  isBox: item.postures.every((p) => p.shape.isBox),
})

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
