import { phrase } from '../../language/index.ts'
import { seamLength, type Seam } from '../../cover/index.ts'
import { act, type Act } from '../acts/act.ts'
import { type InWork } from '../acts/garments.ts'
import { step, type Step } from '../step.ts'
import { countOfWork, lengthOfWork } from '../work.ts'
import type { OrderOf } from './order-of.ts'
import { nameOf, prefixOf } from './names.ts'
import { seamStep } from './seam-step.ts'

/** What is stitched from the right side before anything is in the cover: a divider, the rolls of a rolled edge. */
export function rightSideActs(of: OrderOf, garment: InWork): readonly Act[] {
  const { design, cover, thing } = garment
  const at = 'right-side'
  const dividers = garment.seams.filter((s) => s.kind === 'divider')
  const sewn = { of, design, cover, prefix: prefixOf(garment), name: nameOf(of, garment) }
  const divided = dividers.map((seam) => act(seamStep(sewn, seam), thing, { kind: 'top-stitch', seam }, { at }))
  const rolled = rolls(of, garment).map((s) => act(s, thing, { kind: 'top-stitch', seam: null }, { at }))
  const stitched = [...divided, ...rolled]
  return stitched.length === 0 ? [] : [turned(of, garment, 'sewing', `${prefixOf(garment)}turn`), ...stitched]
}

/** Whether a cover is turned at the machine, to be stitched on from outside. */
export const isStitchedOutside = ({ design, seams, layer }: InWork): boolean =>
  layer === 'cover' &&
  (design.part.makeUp.construction.kind === 'rolled-edge' || seams.some((s) => s.kind === 'divider'))

/** Turned right side out. */
export function turned(of: OrderOf, garment: InWork, part: Step['part'], id: string): Act {
  const { design, cover, thing } = garment
  const isBoxed = cover.panels.some((p) => p.role === 'boxing' || p.role === 'gusset')
  return act(
    step({
      id,
      part,
      resource: 'bench',
      title: phrase`${nameOf(of, garment)}Turn out, work the corners`,
      says: [
        phrase`With a blunt stick${cover.piping && isBoxed && garment.layer === 'cover' ? '; the allowance of a piped edge lies towards the boxing' : ''}.`,
      ],
      checks: [
        cover.piping && garment.layer === 'cover'
          ? 'Seams straight along the piping, corners full.'
          : 'Seams straight, corners full.',
      ],
      work: countOfWork('turn', id, design.design.count, 'every cushion'),
    }),
    thing,
    { kind: 'turn' },
    { at: 'wrong-side', leaves: 'right-side' },
  )
}

/** Each edge folded out with its seam in the very edge and stitched; the open side is left for last. */
function rolls(of: OrderOf, { design, cover, seams, layer, ...garment }: InWork): readonly Step[] {
  const { construction } = design.part.makeUp
  if (construction.kind !== 'rolled-edge' || layer !== 'cover') return []
  const { count } = design.design
  const own = { design, cover, seams, layer, ...garment }
  const roll = (id: string, title: string, of_: readonly Seam[], says: readonly string[]): readonly Step[] => {
    const mm = of_.reduce((sum, s) => sum + seamLength(s), 0)
    return mm === 0
      ? []
      : [
          step({
            id: `${prefixOf(own)}${id}`,
            part: 'sewing',
            resource: 'machine',
            title: phrase`${nameOf(of, own)}${title}`,
            says: [
              phrase`${of.say(mm)} on each cushion, stitched ${of.say(construction.rollMm)} from the fold.`,
              ...says,
            ],
            checks: ['The roll is even, the seam in its very edge.'],
            sewing: { kind: 'top-stitch', cloth: design.part.cloth.cloth, lock: 'both-ends' },
            work: lengthOfWork('roll', `${prefixOf(own)}${id}`, [{ count, mm }], 'rolled edges of every cushion'),
          }),
        ]
  }
  const stop = phrase`Start and stop ${of.say(ROLL_STOP_MM)} from each corner.`
  return [
    ...roll(
      'rolls',
      'Roll the long edges',
      seams.filter((s) => s.kind === 'plate'),
      ['Fold each edge out, the seam in the very edge.', stop, 'The open side is left: its roll closes the cushion.'],
    ),
    ...roll(
      'corner-rolls',
      'Roll the corner edges',
      seams.filter((s) => s.kind === 'join'),
      [stop],
    ),
  ]
}

/** Half an inch: nearer to a corner the foot does not come round. */
const ROLL_STOP_MM = 12
