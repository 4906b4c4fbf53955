import type { SizingSchool, Wadding } from '../../../contract/index.ts'
import { boxOf, grown, wholeOf, withoutSlivers } from '../../outline/index.ts'
import type { CushionSize, Solid } from '../../seat/index.ts'
import {
  asExpression,
  entered,
  figure,
  given,
  least,
  minus,
  most,
  plus,
  times,
  type Figure,
  type Operand,
} from '../../working/index.ts'
import { OVERSIZE_SHARE, type Firmness } from '../firmness.ts'
import { wrappedSizes } from './wadding.ts'

export interface Sizing {
  /** The block as it is cut. */
  readonly block: Solid
  /** The block with its wadding on, which the cover goes round. */
  readonly wrapped: Solid
  /** What the cover finishes at. */
  readonly cover: Solid
  readonly reason: string
}

/** What a block is sized by. */
export interface SizingRules {
  readonly school: SizingSchool
  readonly wadding: Wadding | null
  readonly firmness: Firmness
  /** Seam allowance. */
  readonly seam: Figure
}

/**
 * From the finished cushion to block and cover, by the named school.
 * Oversize of a full block stays between 6 and 25 mm over all. Sources: rules of thumb of the trade.
 */
export function sizeBlock(cushion: Solid, { school, wadding, firmness, seam }: SizingRules): Sizing {
  const wrap = (block: Solid) =>
    wadding
      ? named(
          'wrapped',
          block,
          wrappedSizes(block, wadding),
          wadding.measured ? 'measured on the wrapped block' : 'block and squeezed wadding on each wrapped face',
        )
      : block
  switch (school.kind) {
    case 'size-for-size': {
      const block = named('block', cushion, cushion, 'size for size: the block is the finished size')
      return {
        block,
        wrapped: wrap(block),
        cover: coverAs(cushion),
        reason: 'The block is cut to the finished size; the cover to the block.',
      }
    }
    case 'full-block': {
      const oversized = (of: Figure) => plus(of, oversize(of, firmness))
      const extra = entered({
        id: 'filling.thicknessExtra',
        label: 'Extra thickness',
        quantity: 'length',
        value: school.thicknessExtraMm,
        rule: '0 to 6 mm, for a plumper cushion',
        setBy: 'job',
        change: 'filling.thicknessExtra',
      })
      const block = named(
        'block',
        cushion,
        { width: oversized(cushion.width), depth: oversized(cushion.depth), thickness: plus(cushion.thickness, extra) },
        'full block: a little larger than the cover, so that it fills every corner',
      )
      return {
        block,
        wrapped: wrap(block),
        cover: coverAs(cushion),
        reason: 'The block is cut larger than the finished size: plump, no wrinkles.',
      }
    }
    case 'snug-cover': {
      const block = named('block', cushion, cushion, 'snug cover: the block fills the seat')
      const less = (of: Figure) => minus(of, times(given(2, 'count', 'sides'), seam))
      const cover = named(
        'cover',
        cushion,
        { width: less(cushion.width), depth: less(cushion.depth), thickness: less(cushion.thickness) },
        'snug cover: all is cut with no allowance added, so that it finishes smaller by both seams, in thickness as well',
      )
      return {
        block,
        wrapped: wrap(block),
        cover,
        reason: 'The cover is cut at the seat size with no allowance, so it squeezes.',
      }
    }
    case 'wrap-then-measure': {
      const block = named('block', cushion, cushion, 'wrap then measure: the bare block is the finished size')
      const wrapped = wrap(block)
      return {
        block,
        wrapped,
        cover: named('cover', wrapped, wrapped, 'wrap then measure: the cover is cut to the wrapped block'),
        reason: 'Wrap the wadding, measure the wrapped block, cut the cover to that.',
      }
    }
    case 'thinner-block': {
      const thinner = times(cushion.thickness, minus(1, given(school.thinnerShare, 'share', 'thinner by')))
      const block = named(
        'block',
        cushion,
        { width: cushion.width, depth: cushion.depth, thickness: thinner },
        'thinner block: firmer, better foam, wadding to fill',
      )
      return {
        block,
        wrapped: wrap(block),
        cover: coverAs(cushion),
        reason: 'Firmer foam a little thinner than the cover, with wadding to fill: for an existing cover.',
      }
    }
    default:
      return school satisfies never
  }
}

/** Thickness of the block by its school; known before its firmness is. */
export function blockThicknessMm(cushion: Solid, school: SizingSchool): number {
  const finished = cushion.thickness.value
  return school.kind === 'full-block'
    ? finished + school.thicknessExtraMm
    : school.kind === 'thinner-block'
      ? finished * (1 - school.thinnerShare)
      : finished
}

function oversize(of: Figure, firmness: Firmness): Figure {
  return figure({
    id: `${of.id}.oversize`,
    label: `Oversize, ${firmness} foam`,
    quantity: 'length',
    sum: least(
      given(25, 'length', 'at most'),
      most(given(6, 'length', 'at least'), times(of, given(OVERSIZE_SHARE[firmness], 'share', `for ${firmness} foam`))),
    ),
    rule: 'soft 3 %, medium 2 %, firm 1 %, at least 6 and at most 25 mm over all',
    change: 'filling.layers',
  })
}

const VANISHED_MM = 0.01

const coverAs = (cushion: Solid): Solid => named('cover', cushion, cushion, 'the cover finishes at the cushion size')

/** Grows a solid to new sizes over all. Where the outline is no rectangle, what it then measures is what counts. */
function named(
  what: 'block' | 'wrapped' | 'cover',
  base: Solid,
  sums: Record<keyof CushionSize, Operand>,
  rule: string,
): Solid {
  const one = (key: keyof CushionSize): Figure =>
    figure({
      id: `${what}.${key}`,
      label: `${what[0]!.toUpperCase()}${what.slice(1)} ${key}`,
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
    Math.abs(f.value - value) < 0.01 ? f : entered({ ...f, value, rule: `${rule}; over all, from the outline` })
  return {
    outline,
    edges: sources.map((i) => base.edges[i]!),
    width: overAll(width, box.maxX),
    depth: overAll(depth, box.maxY),
    thickness: one('thickness'),
  }
}
