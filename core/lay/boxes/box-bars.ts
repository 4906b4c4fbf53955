import { placesBeside, type Places } from './beside.ts'
import { fillsOf } from './fills.ts'

/** A box as bars see it: how long it lies along the levels, and how wide it takes each of them. */
export interface BarSize {
  readonly long: number
  readonly wide: number
}

export interface BarKind {
  readonly count: number
  readonly sizes: readonly BarSize[]
}

/**
 * Boxes to begin at levels 0 to `levels()`, beside each other within `room()`; both may shrink while they are searched.
 */
export interface Bars {
  readonly kinds: readonly BarKind[]
  readonly room: () => number
  readonly levels: () => number
}

/** A box with the level at which it begins. */
export interface Begun extends BarSize {
  readonly kind: number
  readonly size: number
  readonly at: number
}

/**
 * 'sum': beside each other boxes only need to fit by the sum of their widths. What that forbids is
 * forbidden, and there are few ways, since a box that could begin a little earlier need not be tried.
 * 'place': every box has a place of its own across, beside all that it meets.
 */
export type Beside = 'sum' | 'place'

/** Told of boxes that all begin somewhere; their places across are null where none were found. */
export type OnAll = (begun: readonly Begun[], places: Places | null) => void

/** Boxes that lie at a level, by their ends. */
interface Open {
  readonly end: number
  readonly wide: number
}

/**
 * How things stand at a level that boxes end at: what was begun just before, what still lies there, and how much of it
 * and below is filled.
 */
interface Way {
  readonly added: readonly Begun[]
  readonly level: number
  readonly open: readonly Open[]
  readonly used: number
  readonly filled: number
  /** What was used just below this level. */
  readonly usedBelow: number
}

const MOST_REMEMBERED = 300_000
const WORK = { sum: 10, place: 20 } as const
const NODES_A_STEP = 16

/**
 * Tries every way of beginning boxes at levels, from the first level up. A box rests on another, so
 * a level is 0 or the end of a box. A beginning is dropped when what is filled and what the boxes
 * left can still fill of each bar is less than all boxes together. (Branch and bound over a strip's
 * bars, after Martello, Monaci and Vigo 2003 and Côté, Dell'Amico and Iori 2014.)
 * Ends with 'none' when no way is left, 'some' at the first way by the sum; by places it goes on,
 * and ends with 'undecided' when a question across was too long.
 */
export function* searchBars(
  bars: Bars,
  beside: Beside,
  onAll: OnAll,
): Generator<number, 'none' | 'some' | 'undecided'> {
  const { kinds, room, levels } = bars
  const choices = kinds.flatMap(({ sizes }, kind) => sizes.map((s, size) => ({ ...s, kind, size })))
  const area = kinds.reduce((sum, k) => sum + k.count * k.sizes[0]!.long * k.sizes[0]!.wide, 0)
  const alone = kinds.findIndex((k) => k.count === 1)
  const fills = fillsOf(kinds, room())
  const left = kinds.map((k) => k.count)
  const begun: Begun[] = []
  const tried = new Set<string>()
  let [nodes, isUndecided] = [0, false]

  const isStopped = yield* goOn({ added: [], level: 0, open: [], used: 0, filled: 0, usedBelow: Infinity }, null)
  return isStopped ? 'some' : isUndecided ? 'undecided' : 'none'

  /** @param before Places of the boxes begun before this way, if they are known. */
  function* goOn(way: Way, before: Places | null): Generator<number, boolean> {
    if (++nodes % NODES_A_STEP === 0) yield NODES_A_STEP * WORK[beside]
    const isAll = left.every((count) => count === 0)
    let places: ReturnType<typeof placesBeside> = null
    if (isAll || (beside === 'place' && begun.length > 0)) {
      places = placesBeside(begun, room(), before)
      if (places === 'undecided') isUndecided = true
      if (isAll) {
        onAll(begun, places === 'undecided' ? null : places)
        return beside === 'sum'
      }
      if (places === null) return false
    }
    if (
      beside === 'sum' &&
      !isNew(`${left.join()}|${way.level}|${way.usedBelow}|${way.open.map((o) => `${o.end},${o.wide}`).join()}`)
    )
      return false
    for (const next of waysFrom(way)) {
      for (const b of next.added) left[b.kind]!--
      begun.push(...next.added)
      if (yield* goOn(next, places === 'undecided' ? null : places)) return true
      begun.length -= next.added.length
      for (const b of next.added) left[b.kind]!++
    }
    return false
  }

  /** All ways of beginning boxes at the level of a way, each taken on to the next level; the fullest first. */
  function waysFrom({ level, open, used, filled, usedBelow }: Way): readonly Way[] {
    const ways: Way[] = []
    choose(0, [], open, used)
    return ways.sort((a, b) => b.filled / b.level - a.filled / a.level)

    function choose(from: number, added: readonly Begun[], open: readonly Open[], used: number): void {
      for (let c = from; c < choices.length; c++) {
        const { kind, size, long, wide } = choices[c]!
        if (left[kind] === 0 || used + wide > room() || level + long > levels()) continue
        // It could begin a little earlier beside what lies there: that way is tried elsewhere.
        if (beside === 'sum' && usedBelow + wide <= room()) continue
        // A lay upside down is as long: one box may be kept to the lower half.
        if (kind === alone && 2 * level > levels() - long) continue
        left[kind]!--
        choose(
          c,
          [...added, { kind, size, at: level, long, wide }],
          withOpen(open, { end: level + long, wide }),
          used + wide,
        )
        left[kind]!++
      }
      const end = open[0]?.end
      // The room may have shrunk while this way was tried.
      if (end === undefined || used > room()) return
      const filledBelow = filled + used * (end - level)
      if (filledBelow + fillable(open, used) < area) return
      const ending = open.filter((o) => o.end === end)
      ways.push({
        added,
        level: end,
        open: open.slice(ending.length),
        used: used - sumWide(ending),
        filled: filledBelow,
        usedBelow: used,
      })
    }
  }

  /**
   * The most that can be filled from the next level on: what lies there already, and what boxes left can fill beside
   * it.
   */
  function fillable(open: readonly Open[], used: number): number {
    const mostOf = fills(left)
    let [sum, lying, level] = [0, used, open[0]!.end]
    for (let i = 0; i <= open.length; i++) {
      const end = open[i]?.end ?? levels()
      sum += (lying + mostOf(room() - lying)) * (end - level)
      ;[level, lying] = [end, lying - (open[i]?.wide ?? 0)]
    }
    return sum
  }

  function isNew(key: string): boolean {
    if (tried.has(key)) return false
    if (tried.size < MOST_REMEMBERED) tried.add(key)
    return true
  }
}

/** By their ends, equal ends by width, so that equal beginnings look equal. */
function withOpen(open: readonly Open[], added: Open): readonly Open[] {
  const at = open.findIndex((o) => o.end > added.end || (o.end === added.end && o.wide >= added.wide))
  return at < 0 ? [...open, added] : [...open.slice(0, at), added, ...open.slice(at)]
}

const sumWide = (open: readonly Open[]): number => open.reduce((sum, o) => sum + o.wide, 0)
