import { phrase } from '../../language/index.ts'
import type { BodySizes, Inside } from '../../../contract/index.ts'
import type { CushionSize, Solid } from '../../seat/index.ts'
import { entered, given, minus, over, plus, times, type Figure, type Operand } from '../../working/index.ts'
import { bySchool, type Sizing, type SizingRules } from './by-school.ts'
import { oversize } from './oversize.ts'
import { asWrapped, coverAs, resized } from './resized.ts'

/** A block that stays, in a new cover to the seat. */
export function roundBlock(cushion: Solid, body: Solid, rules: SizingRules): Sizing {
  const { cover, reason } = bySchool(cushion, rules)
  const wrapped = asWrapped(body, rules.wadding)
  return rules.school.kind === 'wrap-then-measure'
    ? {
        block: body,
        wrapped,
        cover: resized('cover', wrapped, wrapped, 'the cover is cut to the wrapped body'),
        reason,
      }
    : { block: body, wrapped, cover, reason: phrase`The old body stays as it measures. ${reason}` }
}

/** A cover made to a filling that stays: each school turned round. */
export function coverFor(body: Solid, { school, wadding, firmness, seam }: SizingRules): Sizing {
  const wrapped = asWrapped(body, wadding)
  const cover = (sums: Partial<Record<keyof CushionSize, Operand>>, rule: string) =>
    resized(
      'cover',
      wrapped,
      { width: wrapped.width, depth: wrapped.depth, thickness: wrapped.thickness, ...sums },
      rule,
    )
  const made = (own: Solid, reason: string): Sizing => ({ block: body, wrapped, cover: own, reason })
  const share = (of: Figure, q: number) => times(of, minus(1, given(q, 'share', 'squeezed by')))
  switch (school.kind) {
    case 'size-for-size':
    case 'wrap-then-measure':
      return made(cover({}, 'the cover is cut to the filling that stays'), 'The cover is made to the filling as it is.')
    case 'full-block': {
      const less = (of: Figure) => minus(of, oversize(of, firmness))
      return made(
        cover(
          {
            width: less(wrapped.width),
            depth: less(wrapped.depth),
            thickness: minus(wrapped.thickness, given(school.thicknessExtraMm, 'length', 'extra thickness')),
          },
          'a little smaller than the filling, which then fills every corner',
        ),
        'The cover is cut smaller than the filling that stays: plump, no wrinkles.',
      )
    }
    case 'snug-cover': {
      const less = (of: Figure) => minus(of, times(given(2, 'count', 'sides'), seam))
      return made(
        cover(
          { width: less(wrapped.width), depth: less(wrapped.depth), thickness: less(wrapped.thickness) },
          'snug cover: cut at the size of the filling with no allowance added',
        ),
        'The cover is cut at the size of the filling with no allowance, so it squeezes.',
      )
    }
    case 'thinner-block':
      return made(
        cover(
          { thickness: over(body.thickness, minus(1, given(school.thinnerShare, 'share', 'thinner by'))) },
          'higher than the filling, with wadding to fill',
        ),
        'The cover is cut higher than the filling that stays, with wadding between.',
      )
    case 'into-cover':
      return made(
        cover(
          {
            width: share(wrapped.width, school.widthShare),
            depth: share(wrapped.depth, school.depthShare),
            thickness: share(wrapped.thickness, school.thicknessShare),
          },
          'the filling less the wanted squeeze, each way',
        ),
        'The cover takes away from the filling what was asked for, each way.',
      )
    default:
      return school satisfies never
  }
}

/** A block for a cover that stays. */
export function intoCover(inside: Solid, rules: SizingRules): Sizing {
  const { school, seam } = rules
  if (school.kind !== 'snug-cover') return { ...bySchool(inside, rules), cover: coverAs(inside) }
  const more = (of: Figure) => plus(of, times(given(2, 'count', 'sides'), seam))
  const block = resized(
    'block',
    inside,
    { width: more(inside.width), depth: more(inside.depth), thickness: more(inside.thickness) },
    'larger than the inside of the cover by both seams',
  )
  return {
    block,
    wrapped: asWrapped(block, rules.wadding),
    cover: coverAs(inside),
    reason: 'The block is larger than the cover by both seams, so the cover squeezes.',
  }
}

export const bodySolid = (cushion: Solid, { widthMm, depthMm, thicknessMm }: BodySizes): Solid =>
  resized(
    'block',
    cushion,
    {
      width: widthMm === null ? cushion.width : measuredThere('body.width', 'Old body, width', widthMm),
      depth: depthMm === null ? cushion.depth : measuredThere('body.depth', 'Old body, depth', depthMm),
      thickness: measuredThere('body.thickness', 'Old body, thickness', thicknessMm),
    },
    'the old body, as it measures',
  )

export const insideSolid = (cushion: Solid, { from, widthMm, depthMm, thicknessMm }: Inside): Solid =>
  resized(
    'cover',
    cushion,
    {
      width: measuredThere('inside.width', 'Inside of the cover, width', widthMm),
      depth: measuredThere('inside.depth', 'Inside of the cover, depth', depthMm),
      thickness: measuredThere('inside.thickness', 'Inside of the cover, thickness', thicknessMm),
    },
    from === 'laid-flat' ? 'inside of the cover, laid flat' : 'inside of the cover, by the old body recovered',
  )

const measuredThere = (id: string, label: string, value: number): Figure =>
  entered({ id, label, quantity: 'length', value, rule: 'measured', setBy: 'measured', change: 'filling.there' })
