import type { Instance } from '../instance.ts'
import type { PairTable } from '../separation/index.ts'
import type { Shape } from '../shape.ts'
import { acceptedWidth, alikeOf, areaBeside, type Alike } from './alike.ts'
import { chainsOf, type Pose } from './chains.ts'
import { shortestPile, type Kind, type Row } from './cover.ts'
import { slabsInPlace, type PlacedSlab } from './slabs-in-place.ts'

/** Slabs that tell a turn of a piece. */
const SLABS_EACH = 8
/** A narrower one tells little of what else may lie on a line. */
const LEAST_WIDTH_MM = 20

/**
 * Cross-sections of slabs that come as near each other as the whole outlines of their pieces let them. `mostPoses`: turned
 * slabs in all, beyond which pieces count by their area alone; answers whether some did.
 */
export function* byOutlines(
  instance: Instance,
  table: PairTable,
  mostPoses: number,
  prove: (length: number) => void,
): Generator<number, boolean> {
  const { rows, poses, told, othersMm2 } = rowsInPlace(alikeOf(instance.items, instance.reachMm), mostPoses)
  const { dearest, work, unfit } = yield* chainsOf(instance, table, poses)
  const fit = new Set(poses.map((p) => p.row).filter((r) => !unfit.has(r)))
  const kinds = told.map(({ count, ways }): Kind => ({
    count,
    ways: ways.map((way) => {
      const kept = way.rows.filter((r) => fit.has(r))
      const slabs = kept.map((r) => rows[r]!)
      return { rows: kept, besideMm2: areaBeside(way.shape, slabs) }
    }),
  }))
  const crossed = { rows, kinds, othersMm2, capacity: acceptedWidth(instance) }
  yield* shortestPile(crossed, { dearest, work, known: [], alone: rows.map(() => 1) }, prove)
  return othersMm2 > 0
}

/** Turns of a piece that are the same, be it upside down, share their rows. */
interface Turns {
  readonly shape: Shape
  readonly rows: readonly number[]
}

interface InPlace {
  readonly rows: readonly Row[]
  readonly poses: readonly Pose[]
  readonly told: readonly { readonly count: number; readonly ways: readonly Turns[] }[]
  readonly othersMm2: number
}

/** The kinds of pieces that take most cloth by their slabs, where these lie; of the others their area. */
function rowsInPlace(alike: readonly Alike[], mostPoses: number): InPlace {
  const rows: Row[] = []
  const poses: Pose[] = []
  const told: { readonly count: number; readonly ways: readonly Turns[] }[] = []
  let othersMm2 = 0
  for (const { shapes, count } of [...alike].sort((a, b) => areaOf(b) - areaOf(a))) {
    const turned = shapes.map((shape) => ({ shape, slabs: slabsInPlace(shape.ring, SLABS_EACH) }))
    const more = turned.reduce((sum, { slabs }) => sum + slabs.length, 0)
    if (more === 0 || poses.length + more > mostPoses) {
      othersMm2 += areaOf({ shapes, count })
      continue
    }
    const ways = new Map<string, Turns>()
    for (const { shape, slabs } of turned) {
      const own = ways.get(keyOf(slabs))?.rows ?? ways.get(keyOf(slabs.toReversed()))?.rows.toReversed()
      const numbers =
        own ?? slabs.map(({ low, high, width }) => rows.push({ kind: told.length, height: high - low, width }) - 1)
      if (!own) ways.set(keyOf(slabs), { shape, rows: numbers })
      slabs.forEach((slab, i) => {
        if (slab.width >= LEAST_WIDTH_MM)
          poses.push({ row: numbers[i]!, kind: told.length, isSingle: count === 1, shape, slab })
      })
    }
    told.push({ count, ways: [...ways.values()] })
  }
  return { rows, poses, told, othersMm2 }
}

const areaOf = ({ shapes, count }: Alike): number => count * (shapes[0]?.area ?? 0)

const keyOf = (slabs: readonly PlacedSlab[]): string =>
  slabs.map(({ low, high, width }) => `${(high - low).toFixed(3)} ${width.toFixed(3)}`).join()
