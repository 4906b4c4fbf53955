import type { SizingSchool, Wadding } from '../../../contract/index.ts'
import type { Solid } from '../../seat/index.ts'
import { entered, given, minus, over, plus, times, type Figure } from '../../working/index.ts'
import type { Firmness } from '../firmness.ts'
import { oversize } from './oversize.ts'
import { asWrapped, coverAs, resized } from './resized.ts'

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
  /** Null where nobody knows how hard the foam is: sized as medium. */
  readonly firmness: Firmness | null
  /** Seam allowance. */
  readonly seam: Figure
}

/** From the finished cushion alone. Oversize of a full block stays between 6 and 25 mm over all. */
export function bySchool(cushion: Solid, { school, wadding, firmness, seam }: SizingRules): Sizing {
  const wrap = (block: Solid) => asWrapped(block, wadding)
  switch (school.kind) {
    case 'size-for-size': {
      const block = resized('block', cushion, cushion, 'size for size: the block is the finished size')
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
      const block = resized(
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
      const block = resized('block', cushion, cushion, 'snug cover: the block fills the seat')
      const less = (of: Figure) => minus(of, times(given(2, 'count', 'sides'), seam))
      const cover = resized(
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
      const block = resized('block', cushion, cushion, 'wrap then measure: the bare block is the finished size')
      const wrapped = wrap(block)
      return {
        block,
        wrapped,
        cover: resized('cover', wrapped, wrapped, 'wrap then measure: the cover is cut to the wrapped block'),
        reason: 'Wrap the wadding, measure the wrapped block, cut the cover to that.',
      }
    }
    case 'thinner-block': {
      const thinner = times(cushion.thickness, minus(1, given(school.thinnerShare, 'share', 'thinner by')))
      const block = resized(
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
    case 'into-cover': {
      const larger = (of: Figure, q: number) => over(of, minus(1, given(q, 'share', 'wanted squeeze of the block')))
      const block = resized(
        'block',
        cushion,
        {
          width: larger(cushion.width, school.widthShare),
          depth: larger(cushion.depth, school.depthShare),
          thickness: larger(cushion.thickness, school.thicknessShare),
        },
        'so large that the cover takes the wanted share away, each way by itself',
      )
      return {
        block,
        wrapped: wrap(block),
        cover: coverAs(cushion),
        reason: 'The block is larger than the cover by the squeeze that was asked for, each way by itself.',
      }
    }
    default:
      return school satisfies never
  }
}

/** Thickness of the block by its school; known before its firmness is. */
export function blockThicknessMm(finishedMm: number, school: SizingSchool, seamMm = 0): number {
  switch (school.kind) {
    case 'full-block':
      return finishedMm + school.thicknessExtraMm
    case 'thinner-block':
      return finishedMm * (1 - school.thinnerShare)
    case 'into-cover':
      return finishedMm / (1 - school.thicknessShare)
    case 'snug-cover':
      return finishedMm + 2 * seamMm
    case 'size-for-size':
    case 'wrap-then-measure':
      return finishedMm
    default:
      return school satisfies never
  }
}
