import { phrase } from '../../language/index.ts'
import type { Wadding } from '../../../contract/index.ts'
import { boxOf, grown, wholeOf, withoutSlivers } from '../../outline/index.ts'
import type { CushionSize, Solid } from '../../seat/index.ts'
import { asExpression, entered, figure, type Figure, type Operand } from '../../working/index.ts'
import { wrappedSizes } from './wadding.ts'

const VANISHED_MM = 0.01

export const coverAs = (cushion: Solid): Solid =>
  resized('cover', cushion, cushion, 'the cover finishes at the cushion size')

/** Grows a solid to new sizes over all. Where the outline is no rectangle, what it then measures is what counts. */
export function resized(
  what: 'block' | 'wrapped' | 'cover',
  base: Solid,
  sums: Record<keyof CushionSize, Operand>,
  rule: string,
): Solid {
  const one = (key: keyof CushionSize): Figure =>
    figure({
      id: `${what}.${key}`,
      label: phrase`${what[0]!.toUpperCase() + what.slice(1)} ${key}`,
      quantity: 'length',
      line: what === 'block' ? 'cut' : 'net',
      sum: asExpression(sums[key]),
      setBy:
        key in sums && 'setBy' in Object(sums[key]) && (sums[key] as Figure).setBy === 'measured' && what === 'wrapped'
          ? 'measured'
          : 'rule',
      rule,
      change: 'filling.school',
    })
  const [width, depth] = [one('width'), one('depth')]
  // A rounding taken in by just its radius leaves a sharp corner, not an edge of no length.
  const { outline, sources } = withoutSlivers(
    wholeOf(grown(base.outline, width.value - base.width.value, depth.value - base.depth.value)),
    VANISHED_MM,
  )
  const box = boxOf(outline)
  const overAll = (f: Figure, value: number): Figure =>
    Math.abs(f.value - value) < 0.01 ? f : entered({ ...f, value, rule: phrase`${rule}; over all, from the outline` })
  return {
    outline,
    edges: sources.map((i) => base.edges[i]!),
    width: overAll(width, box.maxX),
    depth: overAll(depth, box.maxY),
    thickness: one('thickness'),
  }
}

/** A block with its wadding on; without wadding the block itself. */
export const asWrapped = (block: Solid, wadding: Wadding | null): Solid =>
  wadding
    ? resized(
        'wrapped',
        block,
        wrappedSizes(block, wadding),
        wadding.measured ? 'measured on the wrapped block' : 'block and squeezed wadding on each wrapped face',
      )
    : block
