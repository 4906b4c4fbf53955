import type { Cloth, ClothChoice, Job, LayProblem } from '../../contract/index.ts'
import type { LaidPiece } from '../cloth/index.ts'
import { isBottomPlate, isTopPlate } from '../cover/index.ts'
import { layWhatFits, solveLay, type Found } from '../lay/index.ts'
import { areaOf, at } from '../outline/index.ts'
import { inEveryPart } from '../job/index.ts'
import { planJob } from '../plan/index.ts'
import { joined } from './join-pieces.ts'

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
  /** What the pieces are called that find no place, and the area they want. */
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
  const rescued = problemOf(job, remnant, hidden, rescue)
  if (!rescued) return null
  const { problem, names } = rescued
  const solved = solveLay(problem, { seed: 1, budget: { steps: Infinity, isStopped } })
  if (solved.ok) return { rescue, found: solved.value, missing: [], missingMm2: 0, problem }
  const laid = layWhatFits(problem, { seed: 1, budget: { steps: MISSING_STEPS, isStopped: () => false } }, 'least area')
  const left = problem.pieces.flatMap((piece, i) =>
    Array.from({ length: piece.qty - laid.placements.filter((q) => q.id === piece.id).length }, () => ({
      name: names[i]!,
      areaMm2: Math.abs(areaOf(piece.outline.map(([x, y]) => at(x, y)))),
    })),
  )
  return {
    rescue,
    found: null,
    missing: left.map((p) => p.name),
    missingMm2: left.reduce((sum, p) => sum + p.areaMm2, 0),
    problem,
  }
}

const MISSING_STEPS = 60

interface RescuedProblem {
  readonly problem: LayProblem
  /** What each piece is called. */
  readonly names: readonly string[]
}

function problemOf(job: Job, remnant: Cloth, hidden: Cloth, rescue: readonly Rescue[]): RescuedProblem | null {
  const has = (r: Rescue) => rescue.includes(r)
  const others = has('hidden-in-another')
    ? { 'second-face': hidden, piping: hidden, base: hidden, lining: hidden, liner: hidden }
    : {}
  const seam = Math.max(...job.parts.map((p) => p.allowances.overrides.seamMm ?? job.book.seamMm))
  if (has('narrow-allowance') && seam <= NARROW_MM) return null
  const own = has('narrow-allowance') ? NARROW_MM : seam
  const plan = planJob(
    inEveryPart(job, (part) => ({
      ...part,
      cloth: {
        ...part.cloth,
        cloth: remnant,
        match: matchOn(remnant, part.cloth.match),
        others: { ...withoutCloth(part.cloth.others, remnant), ...others },
      },
      allowances: {
        ...part.allowances,
        overrides: { ...part.allowances.overrides, ...(has('narrow-allowance') ? { seamMm: own } : {}) },
      },
    })),
  )
  if (plan.kind !== 'worked') return null
  const lay = plan.cloth.lays.find((l) => l.cloth.id === remnant.id)
  if (!lay) return null
  const { problem, pieces } = lay
  const cut = pieces.flatMap((laid, i) => {
    const [piece, where] = [problem.pieces[i]!, joinOf(laid, rescue)]
    return (where ? joined(piece, where, own) : [piece]).map((part) => ({
      part,
      name: laid.of?.panel.name ?? laid.name,
    }))
  })
  const changes = has('as-it-is') || has('narrow-allowance') || has('hidden-in-another') || cut.length > pieces.length
  return changes ? { problem: { ...problem, pieces: cut.map((c) => c.part) }, names: cut.map((c) => c.name) } : null
}

/** On a remnant every cushion is matched by itself: a run would want more cloth than there is. */
function matchOn(remnant: Cloth, match: ClothChoice['match']): ClothChoice['match'] {
  if (remnant.pattern.kind === 'plain') return { kind: 'none' }
  return match.kind === 'matched' ? { kind: 'matched', rule: { kind: 'band-on-each-centre', band: 0 } } : match
}

/** Where a panel is joined, if it is: only covers are, never what is hidden inside. */
function joinOf({ of }: LaidPiece, rescue: readonly Rescue[]): 'middle' | 'sides' | null {
  if (!of || of.layer !== 'cover') return null
  const { panel } = of
  const has = (r: Rescue) => rescue.includes(r)
  if (has('pieced-boxing') && (panel.role === 'boxing' || panel.role === 'gusset')) return 'middle'
  if (has('joined-bottom') && isBottomPlate(panel)) return 'middle'
  if (has('joined-top-sides') && isTopPlate(panel)) return 'sides'
  return has('joined-top-middle') && isTopPlate(panel) ? 'middle' : null
}

const withoutCloth = (others: ClothChoice['others'], cloth: Cloth): ClothChoice['others'] =>
  Object.fromEntries(Object.entries(others).filter(([, c]) => c.id !== cloth.id))
