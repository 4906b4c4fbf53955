import { describe, expect, it } from 'vitest'
import { LayProblem } from '../../contract/index.ts'
import { seeded } from '../random/index.ts'
import { acceptLay, instanceOf } from './index.ts'
import { layOf } from './lay-of.ts'
import { beginningsOf, firstRecipes } from './orders.ts'
import { Placer } from './placer.ts'

/** Rounded plates, wings and strips, with a gap between them. */
function many(count: number, more: object = {}): LayProblem {
  const random = seeded(11)
  const whole = (low: number, high: number) => Math.round(low + random() * (high - low))
  const shapes = [
    (w: number, h: number) => [
      [0, 0],
      [w, 0],
      [w, h * 0.3],
      [w * 0.3, h * 0.3],
      [w * 0.3, h],
      [0, h],
    ],
    (w: number, h: number) => [
      [0, 0],
      [w, 0],
      [w * 0.8, h],
      [w * 0.2, h],
    ],
    (w: number) => [
      [0, 0],
      [w, 0],
      [w, 60],
      [0, 60],
    ],
  ]
  return LayProblem.parse({
    format: 'loft-seam/lay-problem',
    version: 1,
    cloth: { width: 1400 },
    gap: 6,
    pieces: Array.from({ length: count }, (_, i) => ({
      id: `p${i}`,
      turns: [0, 180],
      outline: shapes[i % 3]!(whole(200, 600), whole(200, 500)),
    })),
    ...more,
  })
}

describe('hundreds of pieces laid in batches', () => {
  const problem = many(156)
  const instance = instanceOf(problem)
  const placer = new Placer(instance)
  const recipe = beginningsOf(instance)[0]!
  const found = placer.arrange(recipe)!

  it('are all laid, sound by the exact check, their gaps too', () => {
    expect(recipe.batch).not.toBeNull()
    expect(recipe.order.toSorted((a, b) => a - b)).toEqual(instance.items.map((_, i) => i))
    const lay = layOf(instance, found, { name: 'area', length: 0 }, 1)
    expect(lay.placements).toHaveLength(156)
    expect(acceptLay(problem, { ...lay, seconds: 0 })).toEqual([])
  })

  it('lie higher batch by batch, so that none looks at all before it, and hardly longer than when each may lie anywhere', () => {
    const lowest = Array.from({ length: Math.floor(156 / recipe.batch!) }, (_, b) =>
      Math.min(...found.spots.slice(b * recipe.batch!, (b + 1) * recipe.batch!).map((s) => s.y)),
    )
    expect(lowest).toEqual(lowest.toSorted((a, b) => a - b))
    expect(new Set(lowest).size).toBe(lowest.length)
    expect(found.length).toBeLessThan(1.12 * placer.arrange(firstRecipes(instance)[0]!)!.length)
  })

  it('fewer pieces, matched ones and sheets are laid as ever', () => {
    expect(beginningsOf(instanceOf(many(90)))[0]!.batch).toBeNull()
    expect(
      beginningsOf(instanceOf(many(180, { cloth: { width: 1400, length: 3000, count: 20 } })))[0]!.batch,
    ).toBeNull()
  })
})
