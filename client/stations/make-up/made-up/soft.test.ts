import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { keepersBench } from '../../../../core/demo/index.ts'
import { planJob } from '../../../../core/plan/index.ts'
import type { FillingPlan } from '../../../../core/filling/index.ts'
import type { WorkedPlan } from '../../../../core/planned/index.ts'
import { rectangle } from '../../../../core/outline/index.ts'
import { crownOf } from './crown.ts'
import { hullOf } from './hull.ts'
import { softPatch } from './soft-patch.ts'

const flat = (widthMm: number, depthMm: number) => ({
  panel: 'top',
  bend: 'flat' as const,
  outline: rectangle(widthMm, depthMm),
  place: ({ x, y }: { x: number; y: number }) => ({ x, y, z: 100 }),
})

describe('a filled face', () => {
  it('is as high as its crown in the middle, stays at its seams, and leans outwards on the way', () => {
    const { flat: at, space, normals, triangles } = softPatch(flat(600, 500), { faceMm: 12, sideMm: 4 })
    expect(triangles.length).toBeGreaterThan(100)
    at.forEach((p, i) => {
      const inMm = Math.min(p.x, 600 - p.x, p.y, 500 - p.y)
      const { z } = space[i]!
      // 170 mm inside it is as high as it gets: 12, at half that 12 x (1 - 1/8).
      const left = Math.max(0, 1 - inMm / 170)
      expect(z).toBeCloseTo(100 + 12 * (1 - left * left * left), 6)
      expect(Math.hypot(normals[i]!.x, normals[i]!.y, normals[i]!.z)).toBeCloseTo(1, 6)
      if (inMm > 5 && inMm < 100 && p.x < 600 - p.x && p.x === inMm) expect(normals[i]!.x).toBeLessThan(0)
    })
    expect(Math.max(...space.map((p) => p.z))).toBeCloseTo(112, 6)
  })

  it('between two seams stands out by the side of the crown alone; what is filled out already stays', () => {
    const boxing = softPatch(flat(600, 90), { faceMm: 12, sideMm: 4 })
    expect(Math.max(...boxing.space.map((p) => p.z))).toBeCloseTo(104, 1)
    const pillow = softPatch({ ...flat(600, 500), bend: 'full' }, { faceMm: 12, sideMm: 4 })
    expect(Math.max(...pillow.space.map((p) => p.z))).toBe(100)
  })

  it('softer and fuller fillings stand out farther, never beyond a fifth of the thickness', () => {
    const { filling } = (planJob(keepersBench()) as WorkedPlan).worked[0]!.designs[0]!
    if (filling.kind !== 'foam') throw new Error('the bench is of foam')
    const face = (change: Partial<typeof filling>) => crownOf({ ...filling, ...change } as FillingPlan).faceMm
    expect(face({ hardnessN: 100 })).toBeGreaterThan(face({ hardnessN: 300 }))
    expect(face({ hardnessN: 1 })).toBeLessThanOrEqual(filling.sizing.cover.thickness.value * 0.2)
  })
})

it('the hull of points holds all of them, and its corners are of them', () => {
  const place = fc.record({ x: fc.integer({ min: -500, max: 500 }), z: fc.integer({ min: -500, max: 500 }) })
  fc.assert(
    fc.property(fc.array(place, { minLength: 3, maxLength: 30 }), (points) => {
      const hull = hullOf(points)
      fc.pre(hull.length > 2)
      expect(hull.every((h) => points.some((p) => p.x === h.x && p.z === h.z))).toBe(true)
      for (const p of points)
        hull.forEach((a, i) => {
          const b = hull[(i + 1) % hull.length]!
          expect((b.x - a.x) * (p.z - a.z) - (b.z - a.z) * (p.x - a.x)).toBeGreaterThanOrEqual(0)
        })
    }),
  )
})
