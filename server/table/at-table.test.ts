import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { begun, IDLE, movedOn, resumed, stateOf, stopped, unfinished, type Run } from './at-table.ts'

const run: Run = { name: 'SL-02', totalMm: 2000, speedMmS: 100, jamAtMm: null }

describe('what the simulated table is at', () => {
  it('cuts 100 mm in each second, and is done at the end', () => {
    const at = begun(run, 5000)
    expect(stateOf(movedOn(at, 8000, 1))).toEqual({ kind: 'cutting', name: 'SL-02', doneMm: 300, totalMm: 2000 })
    // In a hurry of ten a second is ten.
    expect(stateOf(movedOn(at, 6000, 10))).toMatchObject({ doneMm: 1000 })
    expect(stateOf(movedOn(at, 5000 + 20_000, 1))).toEqual({ kind: 'done', name: 'SL-02', totalMm: 2000 })
    expect(unfinished(movedOn(at, 24_999, 1))).toBe('SL-02')
    expect(unfinished(movedOn(at, 25_000, 1))).toBeNull()
  })

  it('jams once where it is to, and goes on from there', () => {
    const jammed = movedOn(begun({ ...run, jamAtMm: 800 }, 0), 9500, 1)
    expect(stateOf(jammed)).toMatchObject({ kind: 'jammed', doneMm: 800 })
    expect(movedOn(jammed, 60_000, 1)).toEqual(jammed)
    expect(stateOf(movedOn(resumed(jammed, 60_000), 61_000, 1))).toMatchObject({ kind: 'cutting', doneMm: 900 })
  })

  it('keeps its place when it is stopped, and lets go the second time', () => {
    const held = stopped(movedOn(begun(run, 0), 4000, 1))
    expect(stateOf(movedOn(held, 90_000, 1))).toMatchObject({ kind: 'stopped', doneMm: 400 })
    expect(stateOf(movedOn(resumed(held, 90_000), 91_000, 1))).toMatchObject({ kind: 'cutting', doneMm: 500 })
    expect(stopped(held)).toEqual(IDLE)
    expect(stopped({ kind: 'refused', why: 'no units' })).toEqual(IDLE)
    expect(resumed(IDLE, 0)).toEqual(IDLE)
  })

  it('however often it is asked, it gets as far', () => {
    const asks = fc.array(fc.integer({ min: 1, max: 900 }), { maxLength: 20 })
    fc.assert(
      fc.property(asks, fc.option(fc.integer({ min: 1, max: 1999 })), (pauses, jamAtMm) => {
        const at = begun({ ...run, jamAtMm }, 0)
        const times = pauses.map((_, i) => pauses.slice(0, i + 1).reduce((sum, ms) => sum + ms, 0))
        const often = times.reduce((before, ms) => movedOn(before, ms, 1), at)
        const atMm = Math.min((times.at(-1) ?? 0) / 10, jamAtMm ?? Infinity, 2000)
        expect(often.kind === 'run' && often.doneMm).toBeCloseTo(atMm, 6)
      }),
    )
  })
})
