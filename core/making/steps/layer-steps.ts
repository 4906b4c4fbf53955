import { phrase } from '../../language/index.ts'
import { isBehind, wholeId, type Cover, type Seam } from '../../cover/index.ts'
import { distance, perimeterOf } from '../../outline/index.ts'
import { step, type Step } from '../step.ts'
import { lengthOfWork } from '../work.ts'
import type { OrderOf } from './order-of.ts'
import type { SewnCover } from './seam-step.ts'

/** Whether a seam puts the pieces of one panel together, before anything is sewn onto that. */
export const joinsPieces = (seam: Seam, cover: Cover): boolean =>
  seam.kind === 'join' &&
  seam.pairs.every(({ a, b }) => {
    const [p, q] = [a, b].map((side) => cover.panels.find((panel) => panel.id === side.panel)!)
    return p!.piece !== null && p!.piece.of === q!.piece?.of
  })

/** The panels, or the pieces of them, that are one of these when whole. */
export const piecesIn = (cover: Cover, whole: readonly string[]): readonly string[] =>
  cover.panels.filter((p) => whole.includes(wholeId(p))).map((p) => p.id)

export const backedPanels = (cover: Cover): readonly string[] =>
  piecesIn(
    cover,
    cover.layers.flatMap((l) => l.behind ?? []),
  )

/** Layers are basted behind their panels, and quilted, before anything else is sewn. */
export function backed({ of, design, cover, prefix, name }: SewnCover & { readonly of: OrderOf }): readonly Step[] {
  // A layer behind faces that this make-up has not is nowhere.
  const layers = design.part.makeUp.layers.filter((l) => cover.whole.panels.some((p) => isBehind(p, l)))
  if (cover.layers.length === 0) return []
  const kinds = [...new Set(layers.map((l) => l.kind))]
  const round = cover.layers.reduce((sum, l) => sum + perimeterOf(l.finished), 0)
  const quilted = cover.whole.panels
    .flatMap((p) => p.marks.filter((m) => m.kind === 'quilt'))
    .reduce((sum, { path: [a, b] }) => sum + distance(a!, b!), 0)
  const term = (mm: number) => [{ count: design.design.count, mm }]
  return [
    step({
      id: `${prefix}backed`,
      part: 'sewing',
      resource: 'machine',
      title: phrase`${name}Baste the ${kinds.join(' and the ')} behind its panels`,
      says: [
        ...layers.map(
          (l) =>
            phrase`${capital(l.kind)} behind the ${l.behind.join(' and the ')}${l.quilt ? phrase`, quilted every ${of.say(l.quilt.spacingMm)} at most, from the middle outwards` : ''}.`,
        ),
        'Wrong sides together, smoothed from the middle, basted all round inside the seam allowance; a layer stops where a hem folds.',
      ],
      checks: ['No crease, the panel as large as before.'],
      work: [
        ...lengthOfWork('join', `${prefix}backed`, term(round), 'once round every layer'),
        ...(quilted > 0 ? lengthOfWork('top-stitch', `${prefix}quilted`, term(quilted), 'every line of quilting') : []),
      ],
    }),
  ]
}

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1)
