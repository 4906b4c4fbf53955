import type { Backup } from '../../contract/index.ts'

const HOUR_MS = 3_600_000
const DAY_MS = 24 * HOUR_MS

/**
 * One of each hour of the last day, of each day of two weeks, of each week of two months, of each month of two years.
 */
const SPANS: readonly { readonly stepMs: number; readonly reachMs: number }[] = [
  { stepMs: HOUR_MS, reachMs: DAY_MS },
  { stepMs: DAY_MS, reachMs: 14 * DAY_MS },
  { stepMs: 7 * DAY_MS, reachMs: 60 * DAY_MS },
  { stepMs: 30 * DAY_MS, reachMs: 730 * DAY_MS },
]
/** Each kind that is not made by the clock is kept for itself, the newest of it. */
const MOST: Readonly<Record<Exclude<Backup['kind'], 'timed'>, number>> = {
  manual: 30,
  'before-restore': 12,
  'before-import': 12,
  'before-migration': 12,
}

/**
 * Backups that may go: by age where the clock made them, by number otherwise. What is dated after now was made by a
 * clock that was wrong: it stays, and counts for nothing.
 */
export function spentBackups(backups: readonly Backup[], now: Date): readonly Backup[] {
  const past = backups
    .filter((b) => Date.parse(b.savedAt) <= now.getTime())
    .toSorted((a, b) => b.savedAt.localeCompare(a.savedAt))
  const kept = new Set<Backup>()
  const timed = past.filter((b) => b.kind === 'timed')
  for (const { stepMs, reachMs } of SPANS) {
    // From the newest on the oldest of each step comes last, and stays: what was kept yesterday is not another one
    // today.
    const ofStep = new Map<number, Backup>()
    for (const b of timed) {
      const ms = Date.parse(b.savedAt)
      if (now.getTime() - ms <= reachMs) ofStep.set(Math.floor(ms / stepMs), b)
    }
    ofStep.forEach((b) => kept.add(b))
  }
  if (timed[0]) kept.add(timed[0])
  for (const [kind, most] of Object.entries(MOST))
    past
      .filter((b) => b.kind === kind)
      .slice(0, most)
      .forEach((b) => kept.add(b))
  return past.filter((b) => !kept.has(b))
}

/** Whether it is time for the next one that the clock makes. */
export function isBackupDue(backups: readonly Backup[], now: Date): boolean {
  return !backups.some(({ kind, savedAt }) => {
    const ageMs = now.getTime() - Date.parse(savedAt)
    return kind === 'timed' && ageMs >= 0 && ageMs < HOUR_MS
  })
}
