import type { Prices } from './covering.ts'

/** What may lie across the cloth, at one of its widths. */
export interface PricedRow {
  readonly kind: number
  readonly width: number
}

export interface Pattern {
  readonly worth: number
  readonly taken: readonly (readonly [row: number, count: number])[]
}

export interface Patterns {
  /** The pattern across the cloth that is worth most, each kind in it as often as there are copies at most. */
  readonly dearest: (prices: Prices) => Pattern
  /** Looks that one search takes. */
  readonly work: number
}

/** Looks that take a twentieth of a second or so. */
const MOST_WORK = 10_000_000

/**
 * Patterns of what lies abreast on a capacity, widths counted in whole steps and rounded down: the dearest of them is
 * worth no less than the dearest true one. Null where one search would take too long to be stopped in time.
 */
export function patternsOn(
  rows: readonly PricedRow[],
  counts: readonly number[],
  capacity: number,
  stepMm: number,
): Patterns | null {
  const room = Math.floor(capacity / stepMm)
  const widths = rows.map((r) => Math.max(0, Math.floor(r.width / stepMm)))
  /** A stage for each copy that there can be room for. */
  const stages = counts.flatMap((count, kind) => {
    const own = rows.flatMap((r, i) => (r.kind === kind && widths[i]! <= room ? [i] : []))
    const least = Math.max(1, Math.min(...own.map((i) => widths[i]!)))
    return own.length === 0 ? [] : Array.from({ length: Math.min(count, Math.floor(room / least)) }, () => own)
  })
  const work = stages.reduce((sum, own) => sum + own.length, 0) * room
  if (work > MOST_WORK) return null
  const chosen = stages.map(() => new Int16Array(room + 1))
  const worth = new Float64Array(room + 1)
  return {
    work,
    dearest: (prices) => {
      worth.fill(0)
      stages.forEach((own, s) => {
        const choice = chosen[s]!.fill(-1)
        const priced = own.filter((i) => prices[i]! > 0)
        if (priced.length === 0) return
        for (let at = room; at >= 0; at--) {
          let best = worth[at]!
          for (const i of priced) {
            const w = widths[i]!
            if (w <= at && worth[at - w]! + prices[i]! > best) {
              best = worth[at - w]! + prices[i]!
              choice[at] = i
            }
          }
          worth[at] = best
        }
      })
      const taken = new Map<number, number>()
      for (let s = stages.length - 1, at = room; s >= 0; s--) {
        const i = chosen[s]![at]!
        if (i < 0) continue
        taken.set(i, (taken.get(i) ?? 0) + 1)
        at -= widths[i]!
      }
      return { worth: worth[room]!, taken: [...taken] }
    },
  }
}
