import type { BenchHand, JobCard, Rates, WorkKind } from '../../contract/index.ts'
import type { Firmness } from '../filling/index.ts'
import { paceOf } from '../making/index.ts'

/** One cushion: what was planned and what was measured on the seat, mm. */
export interface FitEvidence {
  readonly ticket: string
  readonly cushion: string
  readonly makeUp: string
  readonly clothId: string
  readonly cloth: string
  readonly foam: string
  readonly firmness: Firmness | null
  readonly planned: { readonly widthMm: number; readonly depthMm: number; readonly thicknessMm: number }
  readonly measured: {
    readonly widthMm: number | null
    readonly depthMm: number | null
    readonly thicknessMm: number | null
  }
  readonly verdict: 'unknown' | 'loose' | 'right' | 'tight'
  /** A sitter measured on it. */
  readonly sat: JobCard['fits'][number]['sat']
  /** How the cover squeezes its filling, the mean of both ways; null for loose fibre. */
  readonly fitShare: number | null
}

/**
 * A step with its time: the kind that most of it goes to, minutes by the shop's rates as entered, and minutes worked.
 */
export interface TimeEvidence {
  readonly ticket: string
  readonly work: WorkKind
  readonly plannedMin: number
  readonly workedMin: number
}

/** A cloth: laid and really used. */
export interface ClothEvidence {
  readonly ticket: string
  readonly clothId: string
  readonly cloth: string
  readonly laidMm: number
  readonly usedMm: number
}

/** What was left on an edge to be trimmed at the try-on, and what came off. */
export interface TrimEvidence {
  readonly ticket: string
  readonly makeUp: string
  readonly clothId: string
  readonly cloth: string
  readonly leftMm: number
  readonly trimmedMm: number
}

export interface Evidence {
  readonly fits: readonly FitEvidence[]
  readonly times: readonly TimeEvidence[]
  readonly cloths: readonly ClothEvidence[]
  readonly trims: readonly TrimEvidence[]
}

/**
 * What the logs of a job say, from its card. Times are held against the rates as entered, without what was learnt, and
 * without a beginner's pace.
 */
export function evidenceOf(
  { ticket, card }: { readonly ticket: string; readonly card: JobCard },
  rates: Rates,
  people: readonly BenchHand[] = [],
): Evidence {
  return {
    fits: card.fits.map((f) => ({
      ...f,
      ticket,
      makeUp: card.makeUp,
      clothId: card.cloth.id,
      cloth: card.cloth.name,
      foam: card.foam,
      firmness: f.firmness as Firmness | null,
      planned: f.planned as FitEvidence['planned'],
    })),
    times: card.times.flatMap((t): TimeEvidence[] => {
      const minutes = t.work
        .map((w) => ({ kind: w.kind, min: w.units * rates[w.kind] }))
        .toSorted((x, y) => y.min - x.min)
      const plannedMin = minutes.reduce((sum, m) => sum + m.min, 0)
      return minutes[0] && plannedMin > 0
        ? [{ ticket, work: minutes[0].kind, plannedMin, workedMin: t.workedMin / paceOf(people, t.by) }]
        : []
    }),
    cloths: card.used.map((u) => ({ ...u, ticket })),
    trims: card.trimmed.map((t) => ({ ...t, ticket })),
  }
}

export const joined = (all: readonly Evidence[]): Evidence => ({
  fits: all.flatMap((e) => e.fits),
  times: all.flatMap((e) => e.times),
  cloths: all.flatMap((e) => e.cloths),
  trims: all.flatMap((e) => e.trims),
})
