import { phrase } from '../language/index.ts'
import type { Job, Part, PartJob, Pose, Seat } from '../../contract/index.ts'
import { usualMakeUp } from '../cover/index.ts'
import { mainGrade, NOTHING_THERE, usualFoam } from '../filling/index.ts'
import { cushionsOf } from '../seat/index.ts'
import { newSeat } from './new-job.ts'
import { partJob } from './part-job.ts'
import { addPart, partFrom, usualName } from './parts.ts'

/** What a further part may be begun as. */
export const STARTERS = ['seats', 'backs', 'bolsters', 'copy'] as const
export type Starter = (typeof STARTERS)[number]

/** How cushions of each kind stand until it is told otherwise. */
export const USUAL_POSES = {
  lies: { kind: 'lies' },
  'stands-at-back': { kind: 'stands-at-back', leanDeg: 12 },
  'stands-at-end': { kind: 'stands-at-end', end: 'both' },
} as const satisfies { readonly [K in Exclude<Pose['kind'], 'lies-on'>]: Extract<Pose, { kind: K }> }

const USUAL_BACK = { heightMm: 450, thicknessMm: 120 } as const
const BOLSTER_MM = 180

/** A part more, begun from one that is there: as wide as its seats, as long as they are deep, or the same again. */
export function startPart(job: Job, letter: string, as: Starter): Job {
  const from = partJob(job, letter)
  return as === 'copy'
    ? addPart(job, partFrom(job, from), phrase`${from.name || usualName(from)} again`)
    : addPart(job, partBeside(from, as), { seats: 'More seats', backs: 'Backs', bolsters: 'Bolsters' }[as])
}

/** What further cushions of a kind are made like, beside one part. */
export function partBeside(from: PartJob, as: Exclude<Starter, 'copy'>): Part {
  switch (as) {
    case 'seats':
      return freshPart(from, null)
    case 'backs':
      return backsOf(from)
    case 'bolsters':
      return bolstersOf(from)
    default:
      return as satisfies never
  }
}

/** The usual choices on another seat, in the cloths of the ticket; a plain small seat where none is told. */
export function freshPart({ filling, cloth: { cloth: _, others: _o, ...lies } }: PartJob, wanted: Seat | null): Part {
  const seat = wanted ?? newSeat('singles', 500, 500, 80, 1)
  const made = filling.kind === 'foam' ? usualFoam(mainGrade(filling.layers)) : filling
  return {
    letter: 'A',
    name: '',
    pose: USUAL_POSES.lies,
    follows: null,
    work: { kind: 'cover-and-filling' },
    there: NOTHING_THERE,
    seat,
    // A bed so small would be an infant's, which is not made here.
    filling: { ...made, load: { ...filling.load, use: filling.load.use === 'sleeping' ? 'lounge' : filling.load.use } },
    makeUp: usualMakeUp('boxed'),
    cloth: { ...lies, own: {} },
    allowances: { overrides: {}, edges: {}, learned: null },
  }
}

/** One for each seat, as wide as it, its stripes on the seat's. */
function backsOf(from: PartJob): Part {
  const { count, widthMm } = firstSize(from)
  const part = freshPart(from, newSeat('singles', widthMm, USUAL_BACK.heightMm, USUAL_BACK.thicknessMm, count))
  return {
    ...part,
    pose: USUAL_POSES['stands-at-back'],
    follows: { part: from.letter, how: 'same-centre' },
    seat: { ...part.seat, clearanceMm: 0 },
    filling: { ...part.filling, load: { ...part.filling.load, use: 'back' } },
    makeUp: { ...part.makeUp, piping: from.makeUp.piping },
  }
}

/** A pair across the seat, as long as it is deep. */
function bolstersOf(from: PartJob): Part {
  const part = freshPart(from, newSeat('singles', firstSize(from).depthMm, BOLSTER_MM, BOLSTER_MM, 2))
  return {
    ...part,
    pose: USUAL_POSES['stands-at-end'],
    seat: { ...part.seat, clearanceMm: 0 },
    filling: { ...part.filling, load: { ...part.filling.load, use: 'back' } },
    makeUp: usualMakeUp('bolster'),
    cloth: { ...part.cloth, match: { kind: 'none' } },
  }
}

/** How many cushions a part has, and how large the first is; a usual seat where it has none. */
function firstSize({ seat }: PartJob): { readonly count: number; readonly widthMm: number; readonly depthMm: number } {
  const found = cushionsOf(seat)
  const solid = found.ok ? found.value.designs[0]?.solid : undefined
  if (!found.ok || !solid) return { count: 1, widthMm: 500, depthMm: 500 }
  return {
    count: found.value.count,
    widthMm: Math.round(solid.width.value * 10) / 10,
    depthMm: Math.round(solid.depth.value * 10) / 10,
  }
}
