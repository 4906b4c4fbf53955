import type { Instance } from '../instance.ts'
import { byOutlines } from './by-outlines.ts'
import { byWidths } from './by-widths.ts'

/**
 * No lay is shorter than the shortest pile of cross-sections that has every piece in it: on a line across the cloth lie
 * as many pieces as it is wide for, and each piece is crossed on all of its height. By how near each other the outlines of
 * pieces let them come, where some are no boxes; and by the widths of slabs alone, each copy once. Yields the work done;
 * `prove` is told of each better bound.
 */
export function* crossSections(instance: Instance, prove: (length: number) => void): Generator<number, void> {
  let best = 0
  const tell = (length: number) => {
    if (length > best) prove((best = length))
  }
  if (instance.shapes.some((s) => !s.isBox)) yield* byOutlines(instance, tell)
  yield* byWidths(instance, tell)
}
