import { describe, expect, it } from 'vitest'
import type { PartJob, PipingSplit } from '../../../contract/index.ts'
import { jobOf, USUAL_PIPING } from '../../job/index.ts'
import { worked } from '../../testing/jobs.ts'
import { onAMetre } from '../../testing/on-a-metre.ts'
import { workOrder } from '../work-order.ts'

/** One cushion of 600 by 500, piped top and bottom from cloth 1000 wide: loops of 2200 and 60. */
function partOf(strips: PipingSplit, piping: Partial<typeof USUAL_PIPING> = {}): PartJob {
  const part = onAMetre(1, {
    construction: { kind: 'boxed', boxing: 'wrap' },
    piping: { ...USUAL_PIPING, cut: 'across', ...piping },
  })
  return { ...part, cloth: { ...part.cloth, strips } }
}
const saysOf = (part: PartJob) =>
  workOrder(jobOf(part), worked(part))
    .find((s) => s.title.includes('Make the piping'))!
    .says.filter((line) => line.startsWith('For '))
/** Distances round the plate, as they are read out of a line. */
const placesIn = (line: string) =>
  [.../joins at (.*)\.$/.exec(line)![1]!.matchAll(/(\d+) mm/g)].map((m) => Number(m[1]))
/** From the middle of the back of 600 by 500: corners at 300, 800, 1400 and 1900, the middle of the front at 1100. */
const KEPT_CLEAR = [300, 800, 1100, 1400, 1900]
const clear = (place: number) => Math.min(...KEPT_CLEAR.map((k) => Math.abs(k - place)))

describe('how a loop of piping is joined', () => {
  it('even strips: (2260 + 2 x 40) / 3 = 780, joins a third of the way round apart, clear of corners and front', () => {
    const [line, ...others] = saysOf(partOf({ kind: 'even', moreJoins: 0 }))
    expect(others).toEqual([])
    expect(line).toMatch(/^For a loop: strips of 780 mm, 780 mm, 780 mm, in this order; joins at /)
    const places = placesIn(line!)
    expect(places).toHaveLength(3)
    expect(Math.abs(places[1]! - places[0]! - 2200 / 3)).toBeLessThan(1.1)
    expect(Math.min(...places.map(clear))).toBeGreaterThanOrEqual(59)
  })

  it('strips to the lay: joins as far apart as their strips share the loop', () => {
    const runs = [
      { of: 'piping', count: 1, lengthsMm: [1000, 1000, 340] },
      { of: 'piping', count: 1, lengthsMm: [940, 800, 600] },
    ]
    const lines = saysOf(partOf({ kind: 'to-the-lay', runs }))
    expect(lines.map((l) => l.split(', in this')[0])).toEqual([
      'For loop 1: strips of 1000 mm, 1000 mm, 340 mm',
      'For loop 2: strips of 940 mm, 800 mm, 600 mm',
    ])
    for (const [i, line] of lines.entries()) {
      const places = placesIn(line)
      // Of 2260 sewn each strip gives what is left of it after its share of two joins of 40.
      const gives = runs[i]!.lengthsMm.map((mm) => ((mm - 80 / 3) / 2260) * 2200)
      const apart = (from: number, to: number) => (((to - from) % 2200) + 2200) % 2200
      expect(Math.abs(apart(places[0]!, places[1]!) - gives[0]!)).toBeLessThan(1.1)
      expect(Math.abs(apart(places[1]!, places[2]!) - gives[1]!)).toBeLessThan(1.1)
      expect(Math.min(...places.map(clear))).toBeGreaterThanOrEqual(59)
    }
  })

  it('one strip has no order, only where its ends meet; an open run of one says nothing', () => {
    expect(saysOf(partOf({ kind: 'even', moreJoins: 0 }, { cut: 'along' }))[0]).toMatch(
      /^For a loop: one strip of 2260 mm; its ends meet at \d+ mm\.$/,
    )
    expect(saysOf(partOf({ kind: 'even', moreJoins: 0 }, { rows: 'top', sides: ['front'] }))).toEqual([])
  })
})
