import type { Construction } from '../../../contract/index.ts'
import { linerSize } from '../../filling/index.ts'
import { at, boxOf, type Outline } from '../../outline/index.ts'
import { ok } from '../../result/index.ts'
import type { Solid } from '../../seat/index.ts'
import type { Recipe, RecipeInput } from '../recipe.ts'
import { bolster } from './bolster.ts'
import { boxed } from './boxed.ts'
import { knifeEdge } from './knife-edge.ts'
import { EARS } from '../usual.ts'

/**
 * An inner cover without a zip, a little larger than its cover so that the fill reaches the corners; one side is left
 * open and sewn shut.
 */
export const liner: Recipe<'liner'> = (input) => {
  const larger = enlarged(input.solid, input.construction.largerShare)
  const made = shapeOf({ ...input, solid: larger })
  return made.ok
    ? ok({
        ...made.value,
        panels: made.value.panels.map((p) => ({ ...p, cloth: 'liner' as const })),
        notes: [...made.value.notes, { code: 'sewn-when-weighed' }],
      })
    : made
}

function shapeOf(input: RecipeInput<'liner'>): ReturnType<typeof liner> {
  const { of } = input.construction
  switch (of) {
    case 'boxed':
      return boxed({ ...input, construction: { kind: 'boxed', boxing: 'wrap' } })
    case 'knife-edge':
      return knifeEdge({ ...input, construction: { kind: 'knife-edge', corners: EARS.rounded } })
    case 'bolster':
      return bolster({ ...input, construction: { kind: 'bolster' } })
    default:
      return of satisfies never
  }
}

/** The shape of liner that goes into a cover. */
export function linerShapeFor(kind: Construction['kind']): Extract<Construction, { kind: 'liner' }>['of'] {
  return kind === 'knife-edge' || kind === 'hinged-pair' ? 'knife-edge' : kind === 'bolster' ? 'bolster' : 'boxed'
}

function enlarged(solid: Solid, share: number): Solid {
  const { minX, minY } = boxOf(solid.outline)
  const outline: Outline = solid.outline.map((v) => ({
    ...v,
    ...at(minX + (v.x - minX) * (1 + share), minY + (v.y - minY) * (1 + share)),
  }))
  return { ...solid, outline, ...linerSize(solid, share, 'make-up.liner') }
}
