import { describe, expect, it } from 'vitest'
import { facetsOf, type Cover, type Space } from '../../core/cover/index.ts'
import { areaOf, type Point } from '../../core/outline/index.ts'
import { boxSolid, coverOf, roundSolid } from '../../core/testing/jobs.ts'
import { seen, seenFaces } from './seen-cover.ts'

/* Of a body without hollows the faces that are seen lie side by side and fill its silhouette: no more and no less. */

/** Area within the tightest ring round some points, by gift wrapping. */
function hullArea(points: readonly Point[]): number {
  const first = points.reduce((a, b) => (b.x < a.x || (b.x === a.x && b.y < a.y) ? b : a))
  const ring: Point[] = []
  let here = first
  do {
    ring.push(here)
    let next = points.find((p) => p !== here)!
    for (const p of points) {
      const side = (next.x - here.x) * (p.y - here.y) - (next.y - here.y) * (p.x - here.x)
      const farther = Math.hypot(p.x - here.x, p.y - here.y) > Math.hypot(next.x - here.x, next.y - here.y)
      if (side < 0 || (side === 0 && farther)) next = p
    }
    here = next
  } while (here !== first && ring.length <= points.length)
  return ring.reduce((sum, p, i) => {
    const q = ring[(i + 1) % ring.length]!
    return sum + (p.x * q.y - q.x * p.y) / 2
  }, 0)
}

const placesOf = (cover: Cover): readonly Space[] => cover.patches.flatMap((patch) => facetsOf(patch, 0.8).space)

const BODIES: readonly (readonly [string, Cover])[] = [
  ['a boxed bench', coverOf(boxSolid(600, 500, 100))],
  ['a boxed round', coverOf(roundSolid(400, 60))],
  ['a knife-edge round, thin', coverOf(roundSolid(400, 50), { kind: 'knife-edge' })],
  ['a knife-edge round, thick', coverOf(roundSolid(400, 120), { kind: 'knife-edge' })],
  ['a knife-edge square', coverOf(boxSolid(450, 450, 120), { kind: 'knife-edge' })],
  ['a bolster', coverOf(boxSolid(600, 200, 200), { kind: 'bolster' })],
]

describe.each(BODIES)('%s', (_, cover) => {
  it('is seen whole, each place once', () => {
    const faces = seenFaces(cover).map((f) => areaOf(f.corners))
    // Right side up, each of them: what shows its back has its corners the other way round.
    expect(Math.min(...faces)).toBeGreaterThan(-0.01)
    const drawn = faces.reduce((sum, area) => sum + area, 0)
    const silhouette = hullArea(placesOf(cover).map(seen))
    expect(Math.abs(drawn / silhouette - 1), `${drawn} of ${silhouette} mm²`).toBeLessThan(0.004)
  })
})
