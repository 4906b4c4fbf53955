import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Backup } from '../../contract/index.ts'
import { isBackupDue, spentBackups } from './kept-backups.ts'

const HOUR_MS = 3_600_000
const START = Date.parse('2026-03-02T09:00:00Z')
const backup = (ms: number, kind: Backup['kind'] = 'timed'): Backup => ({
  name: `${new Date(ms).toISOString()}-${kind}`,
  savedAt: new Date(ms).toISOString(),
  bytes: 1,
  kind,
})

/** Makes one every hour for so many days, and lets go what is spent each time, as the shop does. */
function afterDays(days: number): { readonly kept: readonly Backup[]; readonly now: Date } {
  let kept: readonly Backup[] = []
  let ms = START
  for (let hour = 0; hour < days * 24; hour++, ms += HOUR_MS) {
    kept = [...kept, backup(ms)]
    const spent = new Set(spentBackups(kept, new Date(ms)))
    kept = kept.filter((b) => !spent.has(b))
  }
  return { kept, now: new Date(ms - HOUR_MS) }
}

describe('backups of the clock', () => {
  it('after two years there is one of every month, of the last weeks, of the last days, of the last hours', () => {
    const { kept, now } = afterDays(720)
    const agesH = kept.map((b) => (now.getTime() - Date.parse(b.savedAt)) / HOUR_MS)
    const within = (fromH: number, toH: number) => agesH.filter((a) => a >= fromH && a < toH).length
    expect(within(0, 24)).toBeGreaterThanOrEqual(24)
    for (let day = 1; day < 13; day++) expect(within(day * 24, day * 24 + 24), `day ${day}`).toBeGreaterThanOrEqual(1)
    for (let week = 2; week < 8; week++) expect(within(week * 168, week * 168 + 168), `week ${week}`).toBeGreaterThan(0)
    for (let month = 2; month < 23; month++)
      expect(within(month * 720, month * 720 + 720), `month ${month}`).toBeGreaterThan(0)
    expect(kept.length).toBeLessThan(90)
  }, 180_000)

  it('of no other kind are pushed out, nor push others out', () => {
    const manual = Array.from({ length: 31 }, (_, i) => backup(START + i * 1000, 'manual'))
    const before = [backup(START - 30 * 24 * HOUR_MS), backup(START - 60 * 24 * HOUR_MS, 'before-restore')]
    const spent = spentBackups([...before, ...manual], new Date(START + HOUR_MS))
    expect(spent).toEqual([manual[0]])
  })

  it('what a clock that was ahead made takes the place of none of its kind', () => {
    const ahead = Array.from({ length: 30 }, (_, i) => backup(START + (i + 1) * 24 * HOUR_MS, 'manual'))
    const own = backup(START - HOUR_MS, 'manual')
    expect(spentBackups([...ahead, own], new Date(START))).toEqual([])
  })

  it('a clock that was ahead once keeps none from being made, and what it made stays', () => {
    const ahead = backup(START + 365 * 24 * HOUR_MS)
    expect(isBackupDue([ahead], new Date(START))).toBe(true)
    expect(isBackupDue([ahead, backup(START - HOUR_MS / 2)], new Date(START))).toBe(false)
    expect(spentBackups([ahead, backup(START)], new Date(START))).toEqual([])
  })

  it('whatever there is, the newest of each kind stays, and what is dated after now', () => {
    const kinds = ['timed', 'manual', 'before-restore', 'before-import', 'before-migration'] as const
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: -20_000, max: 500 }), fc.constantFrom(...kinds)), { maxLength: 80 }),
        (list) => {
          const all = list.map(([hours, kind]) => backup(START + hours * HOUR_MS, kind))
          const spent = new Set(spentBackups(all, new Date(START)))
          for (const kind of kinds) {
            const past = all.filter((b) => b.kind === kind && Date.parse(b.savedAt) <= START)
            const newest = past.toSorted((a, b) => b.savedAt.localeCompare(a.savedAt))[0]
            if (newest) expect(spent.has(newest)).toBe(false)
          }
          expect(all.some((b) => Date.parse(b.savedAt) > START && spent.has(b))).toBe(false)
        },
      ),
    )
  })
})
