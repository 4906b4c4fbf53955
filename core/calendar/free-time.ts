import type { Calendar, Resource } from '../../contract/index.ts'
import { dayNumber, weekdayOf } from './days.ts'

/** A stretch of time in minutes since 1970, local to the shop. */
export interface Stretch {
  readonly from: number
  readonly to: number
}

export const MINUTES_A_DAY = 1440

/** How far ahead is planned: beyond that a job has no place. */
const MOST_DAYS = 1500

/**
 * What is still free at one place of work, day by day, taken from the front. State is the point: every taking leaves
 * less.
 */
export class FreeTime {
  private readonly taken = new Map<number, Stretch[]>()
  private readonly holidays: ReadonlySet<number>
  private readonly hours: readonly number[]
  private readonly startsAt: number
  private readonly firstDay: number
  /** Before this day nothing is free any more. */
  private fullUntil: number

  constructor(calendar: Calendar, resource: Resource, firstDay: number) {
    this.holidays = new Set(calendar.holidays.map(dayNumber))
    this.hours = calendar.hours[resource]
    this.startsAt = calendar.startsAt * 60
    this.firstDay = firstDay
    this.fullUntil = firstDay
  }

  /** Takes the first free minutes from a moment on, over as many days as it needs. Null where no day ahead has room. */
  take(minutes: number, from: number): readonly Stretch[] | null {
    const found: Stretch[] = []
    let left = minutes
    for (let day = Math.max(this.fullUntil, Math.floor(from / MINUTES_A_DAY)); left > 0; day++) {
      if (day > this.firstDay + MOST_DAYS) return null
      for (const gap of this.gapsOn(day)) {
        const start = Math.max(gap.from, from)
        const length = Math.min(left, gap.to - start)
        if (length <= 0) continue
        this.put(day, { from: start, to: start + length })
        found.push({ from: start, to: start + length })
        left -= length
        if (left <= 0) break
      }
    }
    while (this.fullUntil < this.firstDay + MOST_DAYS && this.gapsOn(this.fullUntil).length === 0) this.fullUntil++
    return found
  }

  /** The first moment from `from` on at which the place is open, whether it is taken or not. */
  opensAt(from: number): number {
    for (let day = Math.floor(from / MINUTES_A_DAY); day <= this.firstDay + MOST_DAYS; day++) {
      const open = this.openOn(day)
      if (open && open.to > from) return Math.max(open.from, from)
    }
    return Infinity
  }

  private openOn(day: number): Stretch | null {
    const minutes = this.holidays.has(day) ? 0 : this.hours[weekdayOf(day)]! * 60
    const from = day * MINUTES_A_DAY + this.startsAt
    return minutes > 0 ? { from, to: from + minutes } : null
  }

  private gapsOn(day: number): readonly Stretch[] {
    const open = this.openOn(day)
    if (!open) return []
    const gaps: Stretch[] = []
    let at = open.from
    for (const t of this.taken.get(day) ?? []) {
      if (t.from > at) gaps.push({ from: at, to: t.from })
      at = t.to
    }
    if (at < open.to) gaps.push({ from: at, to: open.to })
    return gaps
  }

  private put(day: number, stretch: Stretch): void {
    const own = this.taken.get(day) ?? []
    const i = own.findIndex((t) => t.from > stretch.from)
    this.taken.set(day, i < 0 ? [...own, stretch] : [...own.slice(0, i), stretch, ...own.slice(i)])
  }
}
