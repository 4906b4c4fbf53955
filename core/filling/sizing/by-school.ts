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
export function bySchool(cushion: Solid, rules: SizingRules): Sizing {
  const { school } = rules
  switch (school.kind) {
    case 'size-for-size':
      return underCover(cushion, rules, {
        sizes: cushion,
        rule: 'size for size: the block is the finished size',
        reason: 'The block is cut to the finished size; the cover to the block.',
      })
    case 'full-block':
      return underCover(cushion, rules, {
        sizes: fullSizes(cushion, school, rules),
        rule: 'full block: a little larger than the cover, so that it fills every corner',
        reason: 'The block is cut larger than the finished size: plump, no wrinkles.',
      })
    case 'snug-cover':
      return snug(cushion, rules)
    case 'wrap-then-measure':
      return overWrapped(cushion, rules)
    case 'thinner-block':
      return underCover(cushion, rules, {
        sizes: {
          ...cushion,
          thickness: times(cushion.thickness, minus(1, given(school.thinnerShare, 'share', 'thinner by'))),
        },
        rule: 'thinner block: firmer, better foam, wadding to fill',
        reason: 'Firmer foam a little thinner than the cover, with wadding to fill: for an existing cover.',
      })
    case 'into-cover':
      return underCover(cushion, rules, {
        sizes: squeezedSizes(cushion, school),
        rule: 'so large that the cover takes the wanted share away, each way by itself',
        reason: 'The block is larger than the cover by the squeeze that was asked for, each way by itself.',
      })
    default:
      return school satisfies never
  }
}

/** Width, depth and thickness of a block, as sums. */
type Sizes = Parameters<typeof resized>[2]
type School<K extends SizingSchool['kind']> = Extract<SizingSchool, { kind: K }>

/** The cover finishes as the cushion; the block under it has sizes of its own. */
function underCover(
  cushion: Solid,
  { wadding }: SizingRules,
  { sizes, rule, reason }: { readonly sizes: Sizes; readonly rule: string; readonly reason: string },
): Sizing {
  const block = resized('block', cushion, sizes, rule)
  return { block, wrapped: asWrapped(block, wadding), cover: coverAs(cushion), reason }
}

function fullSizes(cushion: Solid, { thicknessExtraMm }: School<'full-block'>, { firmness }: SizingRules): Sizes {
  const oversized = (of: Figure) => plus(of, oversize(of, firmness))
  const extra = entered({
    id: 'filling.thicknessExtra',
    label: 'Extra thickness',
    quantity: 'length',
    value: thicknessExtraMm,
    rule: '0 to 6 mm, for a plumper cushion',
    setBy: 'job',
    change: 'filling.thicknessExtra',
  })
  return { width: oversized(cushion.width), depth: oversized(cushion.depth), thickness: plus(cushion.thickness, extra) }
}

function squeezedSizes(cushion: Solid, { widthShare, depthShare, thicknessShare }: School<'into-cover'>): Sizes {
  const larger = (of: Figure, q: number) => over(of, minus(1, given(q, 'share', 'wanted squeeze of the block')))
  return {
    width: larger(cushion.width, widthShare),
    depth: larger(cushion.depth, depthShare),
    thickness: larger(cushion.thickness, thicknessShare),
  }
}

function snug(cushion: Solid, { wadding, seam }: SizingRules): Sizing {
  const block = resized('block', cushion, cushion, 'snug cover: the block fills the seat')
  const less = (of: Figure) => minus(of, times(given(2, 'count', 'sides'), seam))
  return {
    block,
    wrapped: asWrapped(block, wadding),
    cover: resized(
      'cover',
      cushion,
      { width: less(cushion.width), depth: less(cushion.depth), thickness: less(cushion.thickness) },
      'snug cover: all is cut with no allowance added, so that it finishes smaller by both seams, in thickness as well',
    ),
    reason: 'The cover is cut at the seat size with no allowance, so it squeezes.',
  }
}

function overWrapped(cushion: Solid, { wadding }: SizingRules): Sizing {
  const block = resized('block', cushion, cushion, 'wrap then measure: the bare block is the finished size')
  const wrapped = asWrapped(block, wadding)
  return {
    block,
    wrapped,
    cover: resized('cover', wrapped, wrapped, 'wrap then measure: the cover is cut to the wrapped block'),
    reason: 'Wrap the wadding, measure the wrapped block, cut the cover to that.',
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
