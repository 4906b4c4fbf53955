import type { Cloth, ClothChoice, Job, LayProblem, PipingSplit } from '../../contract/index.ts'
import { foldFault } from '../cloth/index.ts'
import { beforeWash } from '../pattern/index.ts'
import { firstPart, inEveryPart } from '../job/index.ts'
import { planJob } from '../plan/index.ts'
import { ofWidth, withFold } from './other-cloth.ts'

/** One way in which a job could be cut. */
export interface LayChoice {
  readonly widthMm: number
  readonly direction: ClothChoice['direction']
  readonly isMatched: boolean
  readonly isPiped: boolean
  /** How runs of piping are cut from strips. */
  readonly strips: PipingSplit
  readonly isFolded: boolean
  /** The ticket cut so, in all its parts. */
  readonly take: (job: Job) => Job
  /** The lay of the job's own cloth; null where it cannot be worked. */
  readonly problem: LayProblem | null
}

/** What is to be varied beside the width. */
export interface Varied {
  readonly widthsMm: readonly number[]
  readonly direction: boolean
  readonly match: boolean
  readonly piping: boolean
  /** Piping strips split once and twice more than they must be. */
  readonly joins: boolean
  /** Flat, and folded where the cloth may be. */
  readonly fold: boolean
}

/** Widths that cloth is sold in. */
export const SOLD_WIDTHS_MM = [1120, 1220, 1370, 1400, 1520] as const

/**
 * Every combination of what is varied; what is not stays as the job has it. The job's own width is always among them.
 */
export function layChoices(job: Job, varied: Varied): readonly LayChoice[] {
  const { cloth } = firstPart(job)
  const isPiped = job.parts.some((p) => p.makeUp.piping.kind !== 'none')
  const widths = [...new Set([...varied.widthsMm, cloth.cloth.widthMm])].toSorted((a, b) => a - b)
  const directions = varied.direction ? (['up-the-roll', 'railroaded'] as const) : [cloth.direction]
  const matches =
    varied.match && cloth.match.kind === 'matched' ? [cloth.match, { kind: 'none' as const }] : [cloth.match]
  const pipings = varied.piping && isPiped ? [isPiped, false] : [isPiped]
  const splits = varied.joins && isPiped ? [...EVEN_SPLITS, ...ownSplit(cloth.strips)] : [cloth.strips]
  const isFolded = job.folded.includes(cloth.cloth.id)
  const folds = varied.fold && !foldFault(cloth.cloth) ? [false, true] : [isFolded]
  return widths.flatMap((widthMm) =>
    directions.flatMap((direction) =>
      matches.flatMap((match) =>
        pipings.flatMap((piped) =>
          (piped ? splits : [cloth.strips]).flatMap((strips) =>
            folds.map((folded): LayChoice => {
              const take = (to: Job): Job =>
                inEveryPart(withFold(to, cloth.cloth.id, folded), (part) => ({
                  ...part,
                  makeUp: { ...part.makeUp, piping: piped ? part.makeUp.piping : { kind: 'none' } },
                  cloth: {
                    ...part.cloth,
                    direction: varied.direction ? direction : part.cloth.direction,
                    match: match.kind === 'none' && varied.match ? match : part.cloth.match,
                    strips: varied.joins ? strips : part.cloth.strips,
                  },
                }))
              const plan = planJob(ofWidth(take(job), cloth.cloth.id, widthMm))
              return {
                widthMm,
                direction,
                isMatched: match.kind === 'matched',
                isPiped: piped,
                strips,
                isFolded: folded,
                take,
                problem: plan.kind === 'worked' ? (plan.cloth.lays[0]?.problem ?? null) : null,
              }
            }),
          ),
        ),
      ),
    ),
  )
}

const EVEN_SPLITS = [0, 1, 2].map((moreJoins): PipingSplit => ({ kind: 'even', moreJoins }))

const ownSplit = (strips: PipingSplit): readonly PipingSplit[] =>
  strips.kind === 'even' && strips.moreJoins < EVEN_SPLITS.length ? [] : [strips]

/** What the cloth of a lay costs: longer by what washing takes, bought by the step, at the price of a metre. */
export function clothCost(
  cloth: Pick<Cloth, 'pricePerMetre' | 'buyingStepMm' | 'washFirst' | 'shrink'>,
  laidMm: number,
): { readonly boughtMm: number; readonly cost: number } {
  const { buyingStepMm, pricePerMetre } = cloth
  const boughtMm = Math.ceil(beforeWash(cloth, laidMm) / buyingStepMm - 1e-9) * buyingStepMm
  return { boughtMm, cost: (boughtMm / 1000) * pricePerMetre }
}
