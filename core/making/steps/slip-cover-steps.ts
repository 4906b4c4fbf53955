import { phrase } from '../../language/index.ts'
import { act, type Act } from '../acts/act.ts'
import { recordKey, type InWork } from '../acts/garments.ts'
import { step } from '../step.ts'
import { areaOfWork, countOfWork } from '../work.ts'
import { closesWith } from './closes-with.ts'
import { nameOf, prefixOf } from './names.ts'
import type { OrderOf } from './order-of.ts'
import { turned } from './right-side-steps.ts'

/** A cube's slip cover: lined, turned, and pulled over the inner cover from above; never folded through its closure. */
export function slippedOver(of: OrderOf, garment: InWork): readonly Act[] {
  const { design, cover, thing } = garment
  const key = recordKey(design)
  const { count } = design.design
  const name = nameOf(of, garment)
  const id = (what: string) => `slip.${key}.${what}`
  const base = { part: 'closing', resource: 'bench' } as const
  const wadding = cover.fittings.find((f) => f.use === 'wadding')
  const { grip } = design.part.makeUp.trims
  return [
    turned(of, garment, 'closing', id('turn')),
    act(
      step({
        ...base,
        id: id('lining'),
        title: phrase`${name}Wadding and lining into the slip cover`,
        says: [
          'Both shorter than the cover by its hem; wrong sides together, caught at the seam of the top.',
          ...(wadding ? [`${wadding.note}.`] : []),
        ],
        work: wadding ? areaOfWork('wrap', id('lining'), wadding.amount.value * count, 'the wadding') : [],
      }),
      thing,
      { kind: 'look' },
      { at: 'right-side', after: lastSeamOf(design) },
    ),
    act(
      step({
        ...base,
        id: id('over'),
        title: phrase`${name}Pull the slip cover over`,
        says: [
          'From above, a corner at a time; never folded through its closure.',
          ...(grip.kind === 'non-slip' ? ['The non-slip base stays in sight below.'] : []),
          closesWith(garment),
        ],
        checks: ['Corners upright, the hem level all round.'],
        work: countOfWork('fill', id('over'), count, 'every cushion'),
      }),
      thing,
      { kind: 'cover-over', body: `${key}, inner cover` },
      { at: 'right-side', leaves: 'shut', needs: [{ thing: `${key}, inner cover`, stage: 'shut' }] },
    ),
  ]
}

/** The lining is sewn before it goes in. */
const lastSeamOf = (design: InWork['design']): readonly string[] =>
  design.cover.seams
    .filter((s) => s.layer === 'lining')
    .slice(-1)
    .map((s) => `${prefixOf({ design, layer: 'cover' } as InWork)}${s.letter}`)
