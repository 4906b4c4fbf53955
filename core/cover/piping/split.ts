import {
  entered,
  figure,
  given,
  minus,
  over,
  plus,
  roundUp,
  times,
  type Expression,
  type Figure,
} from '../../working/index.ts'
import type { PipingGroup } from './piping-plan.ts'
import { joinPlaces } from './where-joins-lie.ts'

/** Strips for one run of piping when none may be longer than the cloth allows. */
export interface StripSplit {
  readonly strips: Figure
  /** Of each strip, in the order in which they are joined. */
  readonly lengths: readonly Figure[]
  /**
   * Distance of each join from the back centre, counter-clockwise round the plate as seen from above; empty for an open
   * run.
   */
  readonly joinsMm: readonly number[]
  /** How near a join comes to a corner or to the middle of the front; Infinity without joins. */
  readonly clearMm: number
}

/** What a run is cut from: no strip longer than `longestMm`, each after the first losing `lossMm` to its join. */
export interface StripRules {
  readonly longestMm: number
  readonly lossMm: number
  /** Where a strip may be turned on the cloth, one that is laid by itself may be longer. */
  readonly longestLaidMm: number
}

/**
 * Splits a run into equal strips and turns a loop so that its joins stay off the front and as far
 * from corners as can be; `more` joins beyond those needed make shorter strips.
 */
export function splitRun(
  run: PipingGroup,
  { longestMm, lossMm }: Pick<StripRules, 'longestMm' | 'lossMm'>,
  more = 0,
): StripSplit {
  const loss = given(lossMm, 'length', 'lost to a join')
  const fewest = roundUp(
    over(
      plus(run.length, times(-1, loss)),
      plus(given(longestMm, 'length', 'longest strip on this cloth'), times(-1, loss)),
    ),
    1,
    'count',
  )
  const strips = stripCount(run, more === 0 ? fewest : plus(fewest, given(more, 'count', 'joins more than needed')))
  const n = Math.max(1, strips.value)
  const each = figure({
    id: 'piping.stripLength',
    label: 'Length of each strip',
    quantity: 'length',
    line: 'cut',
    sum: over(plus(run.length, times(given(n - 1, 'count', 'joins'), loss)), given(n, 'count', 'strips')),
    rule: 'the run and its joins, shared out evenly',
  })
  return turnedClear(
    run,
    strips,
    Array.from({ length: n }, () => each),
  )
}

/**
 * Splits a run into strips of given lengths, as the lay has room for them; the last makes up what is wanted. Null where
 * they were given for another run: too short or too long together, or one longer than the cloth allows.
 */
export function splitToLay(
  run: PipingGroup,
  { longestLaidMm, lossMm }: StripRules,
  lengthsMm: readonly number[],
): StripSplit | null {
  const joined = lengthsMm.reduce((sum, mm) => sum + mm, 0) - (lengthsMm.length - 1) * lossMm
  if (Math.abs(joined - run.length.value) > SAME_RUN_MM || lengthsMm.some((mm) => mm > longestLaidMm + SAME_RUN_MM))
    return null
  const strips = stripCount(run, given(lengthsMm.length, 'count', 'as the lay has room'))
  const chosen = lengthsMm
    .slice(0, -1)
    .map((value) =>
      entered({
        id: 'piping.stripInLay',
        label: 'Length of a strip',
        quantity: 'length',
        line: 'cut',
        value,
        rule: 'as the lay has room for it',
        setBy: 'job',
        change: 'lay.strips',
      }),
    )
  const loss = times(given(lengthsMm.length - 1, 'count', 'joins'), given(lossMm, 'length', 'lost to a join'))
  const last = figure({
    id: 'piping.lastStrip',
    label: 'Length of the last strip',
    quantity: 'length',
    line: 'cut',
    sum: minus(plus(run.length, loss), ...chosen),
    rule: 'what the run and its joins want beside the others',
  })
  return turnedClear(run, strips, [...chosen, last])
}

/** Lengths are kept to a hundredth of a millimetre. */
const SAME_RUN_MM = 0.05

const stripCount = (run: PipingGroup, sum: Expression): Figure =>
  figure({
    id: 'piping.strips',
    label: run.isClosed ? 'Strips for one loop' : 'Strips for one run',
    quantity: 'count',
    sum,
    rule: 'each strip after the first loses a join',
  })

/** Joins share the way round a plate as their strips share the run. */
function turnedClear(run: PipingGroup, strips: Figure, lengths: readonly Figure[]): StripSplit {
  if (!run.isClosed) return { strips, lengths, joinsMm: [], clearMm: Infinity }
  const sewn = lengths.reduce((sum, l) => sum + l.value, 0)
  const lostEach = (sewn - run.length.value) / lengths.length
  const shares = lengths.map((l) => (l.value - lostEach) / run.length.value)
  const { places, clearMm } = joinPlaces(
    run.panel,
    shares.map((_, i) => shares.slice(0, i).reduce((sum, share) => sum + share, 0)),
  )
  return { strips, lengths, joinsMm: places, clearMm }
}
