import type { ClothChoice, Job, LayProblem } from '../../contract/index.ts'
import type { ClothLay, Shortfall } from '../cloth/index.ts'
import { layWhatFits, solveLay, type SolveOptions } from '../lay/index.ts'
import { cushionKey, firstPart, inEveryPart } from '../job/index.ts'
import { planJob } from '../plan/index.ts'

/** What a shortfall is worked out from, plain enough for a worker. */
export interface InHand {
  readonly problem: LayProblem
  /** The cushion that each piece of the problem belongs to, by its number; null for strips of several. */
  readonly cushions: readonly (string | null)[]
  readonly turned: { readonly direction: ClothChoice['direction']; readonly problem: LayProblem } | null
}

/** The same pieces as they would be laid the other way of the cloth; null where all of it is to be bought. */
export function inHandOf(job: Job, own: ClothLay): InHand | null {
  if (own.cloth.supply.kind === 'to-buy') return null
  const direction = firstPart(job).cloth.direction === 'railroaded' ? 'up-the-roll' : 'railroaded'
  const other = planJob(inEveryPart(job, (part) => ({ ...part, cloth: { ...part.cloth, direction } })))
  const turned = other.kind === 'worked' ? other.cloth.lays.find((l) => l.cloth.id === own.cloth.id) : undefined
  return {
    problem: own.problem,
    cushions: own.pieces.map(({ of }) => of && cushionKey(of.part, of.cushion)),
    turned: turned ? { direction, problem: turned.problem } : null,
  }
}

/**
 * Tried for real: on cloth without an end, both ways, and how many cushions the piece in hand gives. Each search ends
 * with its first answer.
 */
export function shortfallOf({ problem, cushions, turned }: InHand): Shortfall {
  const needed = (p: LayProblem): number | null => {
    const solved = solveLay(withoutEnd(p), FIRST_ANSWER)
    return solved.ok ? solved.value.lay.length : null
  }
  const [own, other] = [needed(problem), turned && needed(turned.problem)]
  const all = numbered(cushions)
  return {
    shortMm: own === null ? null : Math.max(0, own - problem.cloth.length!),
    fit: cushionsIn(problem, cushions),
    of: all.length,
    turned: turned && typeof other === 'number' ? { direction: turned.direction, neededMm: other } : null,
  }
}

const FIRST_ANSWER: SolveOptions = { seed: 1, budget: { steps: Infinity, isStopped: () => true } }

const numbered = (cushions: readonly (string | null)[]): readonly string[] => [
  ...new Set(cushions.flatMap((c) => c ?? [])),
]

/** The width and its flaws go on for ever; a remnant's own outline does not. */
const withoutEnd = ({ cloth: { outline: _, ...cloth }, ...problem }: LayProblem): LayProblem => ({
  ...problem,
  cloth: { ...cloth, length: null },
})

/** As many whole cushions as go on the piece, the first ones first. */
function cushionsIn(problem: LayProblem, cushions: readonly (string | null)[]): number {
  const all = numbered(cushions)
  for (let most = all.length - 1; most > 0; most--) {
    const among = new Set(all.slice(0, most))
    const pieces = problem.pieces.filter((_, i) => cushions[i] !== null && among.has(cushions[i]!))
    const laid = layWhatFits({ ...problem, pieces }, FIRST_ANSWER)
    if (laid.placements.length === pieces.reduce((sum, p) => sum + p.qty, 0)) return most
  }
  return 0
}
