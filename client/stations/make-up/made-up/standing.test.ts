import { describe, expect, it } from 'vitest'
import type { Job, Pose } from '../../../../contract/index.ts'
import { demoJobs, keepersBench } from '../../../../core/demo/index.ts'
import { partJob, startPart, withPart } from '../../../../core/job/index.ts'
import { planJob } from '../../../../core/plan/index.ts'
import type { WorkedPlan } from '../../../../core/planned/index.ts'
import { standing, type Standing } from './standing.ts'

const QUARTER = Math.PI / 2
const stood = (job: Job): readonly Standing[] => standing(planJob(job) as WorkedPlan)
const of = (all: readonly Standing[], letter: string) => all.filter((s) => s.part.part.letter === letter)
const posed = (job: Job, letter: string, pose: Pose): Job =>
  withPart(job, letter, { ...partJob(job, letter), pose, follows: null })

/** The corners of a cushion in space, turned and tilted by hand: width along x, depth towards the back, height up. */
function corners({ design, x, y, z, turnRad, tiltRad }: Standing): { x: number; y: number; z: number }[] {
  const { width, depth, thickness } = design.cover.solid
  const [sin, cos] = [Math.sin(tiltRad), Math.cos(tiltRad)]
  return [0, width.value].flatMap((w) =>
    [0, depth.value].flatMap((d) =>
      [0, thickness.value].map((t) => {
        // Tilted about its own front edge: depth rises, what was up comes forward.
        const [back, up] = [d * cos - t * sin, d * sin + t * cos]
        return {
          x: x + w * Math.cos(turnRad) - back * Math.sin(turnRad),
          y: y + w * Math.sin(turnRad) + back * Math.cos(turnRad),
          z: z + up,
        }
      }),
    ),
  )
}
const box = (all: readonly Standing[]) => {
  const points = all.flatMap(corners)
  const span = (way: 'x' | 'y' | 'z') => [
    Math.min(...points.map((p) => p[way])),
    Math.max(...points.map((p) => p[way])),
  ]
  return { x: span('x'), y: span('y'), z: span('z') } as Record<'x' | 'y' | 'z', [number, number]>
}

describe('how a set stands', () => {
  const job = startPart(startPart(keepersBench(), 'A', 'backs'), 'A', 'bolsters')

  it('every cushion once, seats where they lay without the others', () => {
    const all = stood(job)
    expect(all).toHaveLength(3 + 3 + 2)
    const place = ({ x, y, z }: Standing) => [x, y, z]
    expect(of(all, 'A').map(place)).toEqual(stood(keepersBench()).map(place))
  })

  it('backs stand on their seats, middle over middle, and lean back from its back edge', () => {
    const all = stood(job)
    const [seats, backs] = [of(all, 'A'), of(all, 'B')]
    for (const [i, back] of backs.entries()) {
      const [under, over] = [box([seats[i]!]), box([back])]
      expect((over.x[0] + over.x[1]) / 2).toBeCloseTo((under.x[0] + under.x[1]) / 2, 6)
      // Its foot is on the seat, which is 75 high, and inside its depth of 468.
      expect(over.z[0]).toBeCloseTo(75, 6)
      expect(over.y[0]).toBeGreaterThan(0)
      expect(over.y[0]).toBeLessThan(468)
      // 450 high, 12 degrees from upright: its top is 450 sin 12 further back than its foot.
      expect(over.y[1]).toBeCloseTo(468 + 450 * Math.sin((12 * Math.PI) / 180), 3)
    }
  })

  it('upright where it does not lean', () => {
    const backs = of(stood(posed(job, 'B', { kind: 'stands-at-back', leanDeg: 0 })), 'B')
    expect(backs.every((b) => Math.abs(b.tiltRad - QUARTER) < 1e-9)).toBe(true)
    expect(box(backs).y.map((v) => Math.round(v))).toEqual([468 - 120, 468])
  })

  it('bolsters lie across the seat inside both its ends, or at the one that is said', () => {
    const row = box(of(stood(job), 'A'))
    const ends = (end: 'left' | 'right' | 'both') =>
      of(stood(posed(job, 'C', { kind: 'stands-at-end', end })), 'C').map((s) => box([s]))
    const both = ends('both')
    expect(both[0]!.x[0]).toBeCloseTo(row.x[0], 6)
    expect(both[1]!.x[1]).toBeCloseTo(row.x[1], 6)
    for (const b of both) {
      expect(b.y.map(Math.round)).toEqual([0, 468])
      expect(b.z[0]).toBeCloseTo(75, 6)
    }
    expect(ends('left').every((b) => b.x[1] < (row.x[0] + row.x[1]) / 2)).toBe(true)
    expect(ends('right').every((b) => b.x[0] > (row.x[0] + row.x[1]) / 2)).toBe(true)
  })

  it('what lies on another lies as high as it; two that lie stand beside each other', () => {
    const on = stood(posed(job, 'B', { kind: 'lies-on', part: 'A' }))
    expect(of(on, 'B').every((s) => s.z === 75 && s.tiltRad === 0)).toBe(true)
    const beside = stood(posed(job, 'B', { kind: 'lies' }))
    expect(box(of(beside, 'B')).x[0]).toBeGreaterThan(box(of(beside, 'A')).x[1])
  })

  it('every demo ticket stands somewhere', () => {
    for (const ticket of demoJobs())
      for (const s of stood(ticket)) expect([s.x, s.y, s.z, s.turnRad, s.tiltRad].every(Number.isFinite)).toBe(true)
  })
})
