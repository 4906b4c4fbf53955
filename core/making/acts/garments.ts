import type { DesignPlan, WorkedPlan } from '../../planned/index.ts'
import type { Cover, Seam } from '../../cover/index.ts'
import type { Garment } from './act.ts'

/** One cover or liner of a design in work. */
export interface InWork extends Garment {
  readonly design: DesignPlan
  readonly layer: 'cover' | 'liner' | 'lining' | 'inner'
}

/** Under which the records of a design are kept, though parts come and go. */
export const recordKey = ({ part, design }: DesignPlan): string =>
  part.letter === 'A' ? design.letter : `${part.letter}-${design.letter}`

/** What is sewn for a design, in the order in which it is best begun. */
export function garmentsOf(design: DesignPlan): readonly InWork[] {
  const key = recordKey(design)
  const { cover, liner } = design
  const kind = design.part.makeUp.construction.kind
  const of = (layer: InWork['layer'], own: Cover, seams: readonly Seam[], pockets: readonly string[]): InWork => ({
    design,
    layer,
    thing: layer === 'cover' ? key : `${key}, ${layer === 'inner' ? 'inner cover' : layer}`,
    cover: own,
    seams,
    pockets,
  })
  if (kind === 'cube') {
    const seamsOf = (layer?: 'lining' | 'inner') => cover.seams.filter((s) => s.layer === layer)
    return [
      of('cover', cover, seamsOf(), []),
      of('lining', cover, seamsOf('lining'), []),
      of('inner', cover, seamsOf('inner'), ['block']),
    ]
  }
  return [
    of('cover', cover, cover.seams, pocketsOf(kind)),
    ...(liner ? [of('liner', liner, liner.seams, ['block'])] : []),
  ]
}

export const allGarments = ({ sewn }: WorkedPlan): readonly InWork[] => sewn.flatMap(garmentsOf)

/** A cover over a board and a parcel are not filled: they go round what is there. */
function pocketsOf(kind: DesignPlan['part']['makeUp']['construction']['kind']): readonly string[] {
  switch (kind) {
    case 'pull-over':
    case 'no-sew-wrap':
    case 'cube':
      return []
    case 'hinged-pair':
      return ['seat', 'back']
    case 'boxed':
    case 'lap-closed':
    case 'slit-back':
    case 'knife-edge':
    case 'waterfall':
    case 'wrapped-tube':
    case 'capped':
    case 'pinch-corner':
    case 'rolled-edge':
    case 'bolster':
    case 'liner':
      return ['block']
    default:
      return kind satisfies never
  }
}
