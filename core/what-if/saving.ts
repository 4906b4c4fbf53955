import type { Job, Lay } from '../../contract/index.ts'
import { foldFault } from '../cloth/index.ts'
import { solveLay } from '../lay/index.ts'
import { inEveryPart, partJob } from '../job/index.ts'
import { planJob } from '../plan/index.ts'
import { problemKey } from './joint-lay.ts'
import { SOLD_WIDTHS_MM } from './lay-choices.ts'
import { ofWidth, withFold } from './other-cloth.ts'
import { costsOver, type Costs, type Prices } from './priced.ts'
import { isSplitToLay, splitToLay, withSplitLay, type SplitLay } from './split-to-lay.ts'
import { rescued, type Rescue, type RescueCloths } from './rescued.ts'

/** One change by itself that may make a lay shorter. */
export type Saving = 'unmatched' | 'wider-cloth' | 'folded' | Exclude<Rescue, 'as-it-is' | 'joined-wide'>

/** All that is tried. */
export const SAVINGS: readonly Saving[] = [
  'other-direction',
  'folded',
  'strips-to-the-lay',
  'unmatched',
  'hidden-in-another',
  'boxing-in-another',
  'narrow-allowance',
  'joined-boxing',
  'joined-bottom',
  'joined-wrap',
  'joined-top-sides',
  'joined-top-middle',
  'wider-cloth',
]

/** What a change came to, beside the ticket as it is laid. */
export interface Saved {
  readonly saving: Saving
  /** How long the lay of the cloth is now, mm; null where it does not go on it. */
  readonly laidMm: number | null
  readonly costs: Costs | null
  /** How the piping is cut for that lay, where it is chosen with it. */
  readonly split: SplitLay | null
  /** The width that was tried, mm. */
  readonly widthMm: number
}

/**
 * The ticket with one change; null where it has nothing to which it applies. A wider cloth is the next width that is
 * sold, at the same price for its area: it cannot be taken, only bought.
 */
export function withSaving(job: Job, cloths: RescueCloths, saving: Saving): Job | null {
  const { cloth } = cloths
  switch (saving) {
    case 'unmatched':
      return job.parts.some((p) => partJob(job, p.letter).cloth.match.kind === 'matched')
        ? inEveryPart(job, (part) => ({ ...part, cloth: { ...part.cloth, match: { kind: 'none' } } }))
        : null
    case 'folded':
      return foldFault(cloth) || job.folded.includes(cloth.id) ? null : withFold(job, cloth.id, true)
    case 'wider-cloth': {
      const widthMm = widerThan(cloth.widthMm)
      return widthMm === null ? null : ofWidth(job, cloth.id, widthMm)
    }
    default:
      return rescued(job, cloths, [saving])
  }
}

const widerThan = (widthMm: number): number | null => SOLD_WIDTHS_MM.find((w) => w > widthMm) ?? null

/** A change to be tried on a ticket. */
export interface SavingAsked {
  readonly job: Job
  readonly cloths: RescueCloths
  readonly saving: Saving
  readonly prices: Prices
  /** Lengths of the lays as they are, mm, by the keys of their pieces. */
  readonly laid: ReadonlyMap<string, number>
  /** The lay of the cloth as it is: what lies on the table needs no finding. */
  readonly lay: Lay | null
  /** How much of its time is over, from 0 to 1. */
  readonly spent: () => number
}

/**
 * Lays the ticket with one change and prices it beside the ticket as it is. Where the pieces may lie as they do now, the
 * search goes on from there. Null where nothing changes.
 */
export function trySaving(asked: SavingAsked): Saved | null {
  const { job, cloths, saving, prices, laid, spent } = asked
  if (saving === 'strips-to-the-lay') return trySplit(asked)
  const changed = withSaving(job, cloths, saving)
  const [plan, before] = [changed && planJob(changed), planJob(job)]
  if (!changed || plan?.kind !== 'worked' || before.kind !== 'worked') return null
  const own = plan.cloth.lays.find((l) => l.cloth.id === cloths.cloth.id)
  if (!own || laid.has(problemKey(own.problem))) return null
  const widthMm = own.cloth.widthMm
  const budget = { steps: Infinity, isStopped: () => spent() >= 1 }
  const solved = solveLay(own.problem, { seed: 1, budget, ...(asked.lay ? { from: asked.lay } : {}) })
  if (!solved.ok) return { saving, laidMm: null, costs: null, split: null, widthMm }
  const laidMm = solved.value.lay.length
  const now = new Map([...laid, [problemKey(own.problem), laidMm]])
  return {
    saving,
    laidMm,
    split: null,
    costs: costsOver({ job: changed, plan, laid: now }, { job, plan: before, laid }, prices),
    widthMm,
  }
}

function trySplit({ job, cloths: { cloth }, prices, laid, spent }: SavingAsked): Saved | null {
  const plan = planJob(job)
  if (plan.kind !== 'worked' || isSplitToLay(plan, cloth.id)) return null
  const split = splitToLay({ job, clothId: cloth.id, prices, laid, spent })
  return (
    split && {
      saving: 'strips-to-the-lay',
      laidMm: split.lay.length,
      costs: split.costs,
      split,
      widthMm: cloth.widthMm,
    }
  )
}

/** The ticket with a change that was tried, with the strips and the lay that were found for each other. */
export const withSaved = (job: Job, cloths: RescueCloths, { saving, split }: Pick<Saved, 'saving' | 'split'>): Job =>
  split ? withSplitLay(job, cloths.cloth.id, split) : (withSaving(job, cloths, saving) ?? job)
