import type { Cloth, Job, LayPiece, LayProblem } from '../../contract/index.ts'
import { acceptLay, layWhatFits, solveLay, type Found } from '../lay/index.ts'
import { areaOf, at } from '../outline/index.ts'
import { planJob } from '../plan/index.ts'
import { withJoins } from './join-pieces.ts'

/** What may be given up so that a remnant does, each seen less than the next. */
export type Rescue =
  | 'as-it-is'
  | 'narrow-allowance'
  | 'hidden-in-another'
  | 'pieced-boxing'
  | 'joined-bottom'
  | 'joined-top-sides'
  | 'joined-top-middle'

/** Ways of cutting a job from a remnant, in the order in which a maker would take them: whatever is hidden first. */
export const RESCUES: readonly (readonly Rescue[])[] = [
  ['as-it-is'],
  ['narrow-allowance'],
  ['hidden-in-another'],
  ['hidden-in-another', 'narrow-allowance'],
  ['pieced-boxing'],
  ['hidden-in-another', 'pieced-boxing', 'narrow-allowance'],
  ['joined-bottom', 'pieced-boxing'],
  ['hidden-in-another', 'pieced-boxing', 'narrow-allowance', 'joined-top-sides'],
  ['hidden-in-another', 'pieced-boxing', 'narrow-allowance', 'joined-top-middle'],
]

/** The narrowest allowance that a zigzagged seam holds in. */
export const NARROW_MM = 8

export interface Attempt {
  readonly rescue: readonly Rescue[]
  /** The lay, where all fits. */
  readonly found: Found | null
  /** Pieces that find no place, and the area they want. */
  readonly missing: readonly string[]
  readonly missingMm2: number
  readonly problem: LayProblem
}

/** Tries a way of cutting a job from a cloth in hand, for real: null where it changes nothing. */
export function tryRescue(
  job: Job,
  remnant: Cloth,
  hidden: Cloth,
  rescue: readonly Rescue[],
  isStopped: () => boolean,
): Attempt | null {
  const problem = problemOf(job, remnant, hidden, rescue)
  if (!problem) return null
  const solved = solveLay(problem, { seed: 1, budget: { steps: Infinity, isStopped } })
  if (solved.ok) {
    if (acceptLay(problem, { ...solved.value.lay, seconds: 0 }).length > 0)
      throw new RangeError('a lay that does not pass its check')
    return { rescue, found: solved.value, missing: [], missingMm2: 0, problem }
  }
  const laid = layWhatFits(problem, { seed: 1, budget: { steps: MISSING_STEPS, isStopped: () => false } }, 'least area')
  const left = problem.pieces.flatMap((p) =>
    Array.from({ length: p.qty - laid.placements.filter((q) => q.id === p.id).length }, () => p),
  )
  return {
    rescue,
    found: null,
    missing: left.map((p) => p.id),
    missingMm2: left.reduce((sum, p) => sum + Math.abs(areaOf(p.outline.map(([x, y]) => at(x, y)))), 0),
    problem,
  }
}

const MISSING_STEPS = 60

function problemOf(job: Job, remnant: Cloth, hidden: Cloth, rescue: readonly Rescue[]): LayProblem | null {
  const has = (r: Rescue) => rescue.includes(r)
  const others = has('hidden-in-another')
    ? { 'second-face': hidden, piping: hidden, base: hidden, lining: hidden, liner: hidden }
    : {}
  const seam = job.allowances.overrides.seamMm ?? job.allowances.book.seamMm
  if (has('narrow-allowance') && seam <= NARROW_MM) return null
  const overrides = has('narrow-allowance')
    ? { ...job.allowances.overrides, seamMm: NARROW_MM }
    : job.allowances.overrides
  const match =
    remnant.pattern.kind === 'plain'
      ? { kind: 'none' as const }
      : job.cloth.match.kind === 'matched'
        ? { kind: 'matched' as const, rule: { kind: 'band-on-each-centre' as const, band: 0 } }
        : job.cloth.match
  const plan = planJob({
    ...job,
    cloth: { ...job.cloth, cloth: remnant, match, others: { ...withoutCloth(job.cloth.others, remnant), ...others } },
    allowances: { ...job.allowances, overrides },
  })
  if (plan.kind !== 'worked') return null
  const own = has('narrow-allowance') ? NARROW_MM : seam
  const { problem } = plan.cloth.lays[0]
  const boxing = has('pieced-boxing')
    ? withJoins(problem, (p) => isPart(p, 'boxing') || isPart(p, 'gusset'), 'middle', own)
    : problem
  const bottom = has('joined-bottom') ? withJoins(boxing, (p) => isPart(p, 'bottom-plate'), 'middle', own) : boxing
  const top = has('joined-top-sides')
    ? withJoins(bottom, (p) => isPart(p, 'top-plate'), 'sides', own)
    : has('joined-top-middle')
      ? withJoins(bottom, (p) => isPart(p, 'top-plate'), 'middle', own)
      : bottom
  const isSame =
    JSON.stringify(top) === JSON.stringify(problem) &&
    !has('as-it-is') &&
    !has('narrow-allowance') &&
    !has('hidden-in-another')
  return isSame ? null : top
}

const withoutCloth = (others: Job['cloth']['others'], cloth: Cloth): Job['cloth']['others'] =>
  Object.fromEntries(Object.entries(others).filter(([, c]) => c.id !== cloth.id))

/** Whether a piece is of that part of its cushion: `3/boxing-front` is boxing. */
const isPart = ({ id }: LayPiece, part: string): boolean => id.split('/')[1]?.startsWith(part) === true
