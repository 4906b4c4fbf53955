import { describe, expect, it } from 'vitest'
import { newSeat, setMakeUp } from '../../job/index.ts'
import { DEMO_CLOTHS, keepersBenchPart } from '../../demo/index.ts'
import { boxSolid, onlyDesign, worked } from '../../testing/jobs.ts'
import { checkCover, panelOf } from '../index.ts'
import { wallOf, wholePart } from '../wall.ts'
import { pieced } from './pieced.ts'

const solid = boxSolid(900, 500, 80)
const wall = wallOf(solid)
/** Left, front and right of the box, from its back left corner. */
const run = [{ ...wholePart(wall, 3), from: 0 }, wholePart(wall, 0), wholePart(wall, 1)]
const lengths = (parts: ReturnType<typeof pieced>) => parts.map((r) => r.reduce((sum, p) => sum + p.to - p.from, 0))

describe('boxing longer than the cloth gives', () => {
  it('500 + 900 + 500 from 1350: two joins 275 from the ends, on the sides, alike from the middle', () => {
    expect(lengths(pieced(wall, solid.edges, run, 1350))).toEqual([275, 1350, 275])
  })

  it('a piece is never shorter than 150', () =>
    expect(lengths(pieced(wall, solid.edges, run, 1880))).toEqual([150, 1600, 150]))

  it('a join that would fall at a front corner is moved along: 1900 less twice 500 is 900', () => {
    const [end, middle] = lengths(pieced(wall, solid.edges, run, 940))
    expect(end).toBeGreaterThanOrEqual(480)
    // Within 30 of the corner at 500 there is no join; on the front beyond it there may be one.
    expect(Math.abs(end! - 500)).toBeGreaterThanOrEqual(30)
    expect(2 * end! + middle!).toBeCloseTo(1900, 9)
  })

  it('what fits stays whole, and what cannot be pieced so does too', () => {
    expect(pieced(wall, solid.edges, run, 1900)).toEqual([run])
    expect(pieced(wall, solid.edges, run, null)).toEqual([run])
    expect(pieced(wall, solid.edges, run, 200)).toEqual([run])
  })

  it('on a job: a wrap on a one-way cloth is joined, says so, and stays sound', () => {
    const job = { ...keepersBenchPart(), seat: { ...newSeat('singles', 900, 500, 80, 1), clearanceMm: 0 } }
    const moss = setMakeUp('', (m) => ({ ...m, construction: { kind: 'boxed', boxing: 'wrap' } })).apply({
      ...job,
      cloth: { ...job.cloth, cloth: DEMO_CLOTHS.find((c) => c.id === 'moss-loop')!, match: { kind: 'none' } },
    })
    const { cover } = onlyDesign(worked(moss))
    expect(cover.notes).toEqual([{ code: 'boxing-joined' }])
    expect(checkCover(cover).flatMap((c) => c.faults)).toEqual([])
    const [left, front, right] = ['boxing-left', 'boxing-front', 'boxing-right'].map(
      (id) => panelOf(cover, id).figures.cutWidth.value,
    )
    expect(left).toBeCloseTo(right!, 6)
    expect(front).toBeLessThanOrEqual(1360)
  })
})
