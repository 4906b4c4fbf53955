/** Strips of one length that are wanted, mm as cut. */
export interface WantedStrip {
  readonly id: string
  readonly name: string
  readonly lengthMm: number
  readonly count: number
}

/** Lengths to cut from: a row across the roll, of which there are as many as wanted, or pieces left over. */
export interface StripStock {
  readonly id: string
  readonly name: string
  readonly lengthMm: number
  /** Null: as many as are wanted. */
  readonly count: number | null
  /** What one of it costs in mm of roll; nought for what is left over. */
  readonly costMm: number
}

/** One way of cutting a length: how many of each wanted strip. */
export interface Pattern {
  readonly stock: number
  readonly counts: readonly number[]
  readonly wasteMm: number
}

export interface StripProblem {
  readonly wanted: readonly WantedStrip[]
  readonly stock: readonly StripStock[]
  readonly patterns: readonly Pattern[]
  /** False where there were more ways of cutting than are looked at: then the answer is good, not proven. */
  readonly isComplete: boolean
}

export type StripFault = {
  readonly code: 'strip-too-long'
  readonly strip: string
  readonly lengthMm: number
  readonly longestMm: number
}

/** More ways of cutting than this are not looked at. */
export const MOST_PATTERNS = 20_000

/**
 * The one-dimensional cutting stock problem of strips: every way of cutting a length that leaves no
 * room for another strip. After Gilmore and Gomory, all patterns written out.
 */
export function stripProblem(wanted: readonly WantedStrip[], stock: readonly StripStock[]): StripProblem | StripFault {
  const longestMm = Math.max(0, ...stock.map((s) => s.lengthMm))
  const over = wanted.find((w) => w.lengthMm > longestMm + HAIR_MM)
  if (over) return { code: 'strip-too-long', strip: over.name, lengthMm: over.lengthMm, longestMm }
  const order = wanted.map((_, i) => i).toSorted((a, b) => wanted[b]!.lengthMm - wanted[a]!.lengthMm)
  const patterns: Pattern[] = []
  let isComplete = true
  stock.forEach((own, s) => {
    const counts = wanted.map(() => 0)
    const shortest = Math.min(...wanted.map((w) => w.lengthMm))
    const fill = (at: number, left: number): void => {
      if (patterns.length >= MOST_PATTERNS) {
        isComplete = false
        return
      }
      if (at === order.length) {
        // Nothing more of what is wanted fits: a full pattern.
        const isFull = wanted.every((w, i) => counts[i] === w.count || w.lengthMm > left + HAIR_MM)
        if (isFull && counts.some((n) => n > 0)) patterns.push({ stock: s, counts: [...counts], wasteMm: left })
        return
      }
      const i = order[at]!
      const most = Math.min(wanted[i]!.count, Math.floor((left + HAIR_MM) / wanted[i]!.lengthMm))
      for (let n = most; n >= 0; n--) {
        counts[i] = n
        fill(at + 1, left - n * wanted[i]!.lengthMm)
      }
      counts[i] = 0
    }
    if (own.lengthMm + HAIR_MM >= shortest) fill(0, own.lengthMm)
  })
  return { wanted, stock, patterns, isComplete }
}

const HAIR_MM = 1e-6

/**
 * The problem in the LP format of mixed integer solvers: x_p times pattern p, least roll, every
 * strip cut at least as often as wanted, no more of the stock than there is.
 */
export function asLp({ wanted, stock, patterns }: StripProblem): string {
  const terms = (of: (p: Pattern) => number) => {
    const found = patterns.flatMap((p, i) => (of(p) === 0 ? [] : [`${of(p)} x${i}`]))
    return found.length === 0 ? '0 x0' : found.join('\n + ')
  }
  // A row that costs nothing still counts a little, so that no needless piece is cut.
  const objective = patterns
    .map((p, i) => `${Number((stock[p.stock]!.costMm + p.wasteMm * TIE_BREAK + TIE_BREAK).toFixed(9))} x${i}`)
    .join('\n + ')
  const demands = wanted.map((w, k) => ` w${k}: ${terms((p) => p.counts[k]!)} >= ${w.count}`)
  const limits = stock.flatMap((s, k) =>
    s.count === null ? [] : [` s${k}: ${terms((p) => (p.stock === k ? 1 : 0))} <= ${s.count}`],
  )
  return `Minimize\n obj: ${objective}\nSubject To\n${[...demands, ...limits].join('\n')}\nGeneral\n ${patterns.map((_, i) => `x${i}`).join('\n ')}\nEnd\n`
}

const TIE_BREAK = 1e-6

/** How often each pattern is cut. */
export interface CutRow {
  readonly stock: StripStock
  readonly times: number
  readonly pieces: readonly { readonly strip: WantedStrip; readonly count: number }[]
  readonly leftMm: number
}

export interface StripPlan {
  readonly rows: readonly CutRow[]
  /** Roll taken, mm: the cost of all rows. */
  readonly rollMm: number
  /** No cutting takes less than this. */
  readonly boundMm: number
  readonly isProven: boolean
}

/** Reads the solver's counts back into rows; what is cut too often is left out of the last row that has it. */
export function readPlan(problem: StripProblem, counts: readonly number[], isOptimal: boolean): StripPlan {
  const spare = problem.wanted.map(
    (w, k) => problem.patterns.reduce((sum, p, i) => sum + p.counts[k]! * Math.round(counts[i] ?? 0), 0) - w.count,
  )
  const rows = problem.patterns.flatMap((p, i): CutRow[] => {
    const times = Math.round(counts[i] ?? 0)
    return Array.from({ length: times }, () => {
      const own = p.counts.map((n, k) => {
        const dropped = Math.min(n, Math.max(0, spare[k]!))
        spare[k]! -= dropped
        return n - dropped
      })
      const used = own.reduce((sum, n, k) => sum + n * problem.wanted[k]!.lengthMm, 0)
      const stock = problem.stock[p.stock]!
      return {
        stock,
        times: 1,
        pieces: own.flatMap((count, k) => (count > 0 ? [{ strip: problem.wanted[k]!, count }] : [])),
        leftMm: stock.lengthMm - used,
      }
    })
  })
  const rollMm = rows.reduce((sum, r) => sum + r.stock.costMm, 0)
  return {
    rows: merged(rows.filter((r) => r.pieces.length > 0)),
    rollMm,
    boundMm: isOptimal && problem.isComplete ? rollMm : lengthBound(problem),
    isProven: isOptimal && problem.isComplete,
  }
}

const merged = (rows: readonly CutRow[]): readonly CutRow[] =>
  rows.reduce<CutRow[]>((all, row) => {
    const key = (r: CutRow) => `${r.stock.id} ${r.pieces.map((p) => `${p.strip.id}:${p.count}`).join()}`
    const same = all.findIndex((r) => key(r) === key(row))
    return same < 0 ? [...all, row] : all.map((r, i) => (i === same ? { ...r, times: r.times + 1 } : r))
  }, [])

/** By length alone: what is left over used up first, the rest in whole rows. */
export function lengthBound({ wanted, stock }: StripProblem): number {
  const total = wanted.reduce((sum, w) => sum + w.count * w.lengthMm, 0)
  const free = stock.filter((s) => s.costMm === 0).reduce((sum, s) => sum + s.lengthMm * (s.count ?? Infinity), 0)
  const paid = stock.filter((s) => s.costMm > 0)
  if (paid.length === 0 || total <= free) return 0
  const cheapest = Math.min(...paid.map((s) => s.costMm / s.lengthMm))
  return (total - free) * cheapest
}

/** A first answer without a solver: the longest strips first, each into the first row that has room. */
export function firstFit(problem: StripProblem): readonly number[] {
  const counts = problem.patterns.map(() => 0)
  const left = problem.wanted.map((w) => w.count)
  const room = problem.stock.map((s) => s.count ?? Infinity)
  while (left.some((n) => n > 0)) {
    const open = problem.patterns.map((p, i) => ({ p, i })).filter(({ p }) => room[p.stock]! > 0)
    const gain = ({ p }: { p: Pattern }) =>
      p.counts.reduce((sum, n, k) => sum + Math.min(n, left[k]!) * problem.wanted[k]!.lengthMm, 0) /
      (problem.stock[p.stock]!.costMm + 1)
    const best = open.reduce<{ p: Pattern; i: number } | null>((a, b) => (a && gain(a) >= gain(b) ? a : b), null)
    if (!best || gain(best) <= 0) break
    counts[best.i]! += 1
    room[best.p.stock]! -= 1
    best.p.counts.forEach((n, k) => (left[k] = Math.max(0, left[k]! - n)))
  }
  return counts
}
