import type { Instance } from '../instance.ts'
import { PairTable } from '../separation/index.ts'
import { byOutlines } from './by-outlines.ts'
import { byWidths } from './by-widths.ts'
import { longestPair } from './longest-pair.ts'

/** Turned slabs that are told by their outlines: few say much soon, more say more. */
const [FEW_POSES, MANY_POSES] = [40, 130]

/**
 * No lay is shorter than the shortest pile of cross-sections that has every piece in it: on a line across the cloth lie
 * as many pieces as it is wide for, and each piece is crossed on all of its height. By the widths of slabs alone, each
 * copy once; and where some pieces are no boxes, by how near each other their outlines let them come. Yields the work
 * done; `prove` is told of each better bound.
 */
export function* crossSections(instance: Instance, prove: (length: number) => void): Generator<number, void> {
  let best = 0
  const tell = (length: number) => {
    if (length > best) prove((best = length))
  }
  if (instance.shapes.every((s) => s.isBox)) return yield* byWidths(instance, tell)
  const table = new PairTable(instance, 'inner')
  tell(yield* longestPair(instance, table))
  const areSomeLeft = yield* byOutlines(instance, table, FEW_POSES, tell)
  yield* byWidths(instance, tell)
  if (areSomeLeft) yield* byOutlines(instance, table, MANY_POSES, tell)
}
