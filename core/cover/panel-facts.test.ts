import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { keepersBenchPart } from '../demo/index.ts'
import { FACTORY_BOOK } from '../defaults/index.ts'
import { boxSolid } from '../testing/jobs.ts'
import { anyMakeUpOf } from '../testing/make-ups.ts'
import {
  applied,
  CONSTRUCTIONS,
  isTopPlate,
  makeCover,
  normalOf,
  shortName,
  wholeId,
  type Cover,
  type PanelFace,
} from './index.ts'

/** Out of each face of the cushion: x to the right, y to the back, z up. */
const OUTWARDS: Partial<Record<PanelFace, readonly [number, number, number]>> = {
  top: [0, 0, 1],
  bottom: [0, 0, -1],
  front: [0, -1, 0],
  back: [0, 1, 0],
  left: [-1, 0, 0],
  right: [1, 0, 0],
}

/** How squarely the panel that says so faces that way, by the best of its patches; 1 is square to it. */
function facing(cover: Cover, panel: string, [x, y, z]: readonly [number, number, number]): number {
  const own = cover.patches.filter((p) => p.panel === panel)
  return Math.max(...own.map(normalOf).map((n) => n.x * x + n.y * y + n.z * z))
}

describe.each(CONSTRUCTIONS)('what the panels of %s say of themselves', (kind) => {
  it('is how they lie on the cushion', () => {
    let [told, boxed] = [0, 0]
    fc.assert(
      fc.property(anyMakeUpOf(kind), fc.integer({ min: 60, max: 160 }), (makeUp, t) => {
        const made = makeCover({
          units: 'mm',
          solid: boxSolid(900, kind === 'bolster' ? t : 500, t),
          makeUp,
          cloth: { ...keepersBenchPart().cloth, match: { kind: 'none' } },
          allowances: applied({ book: FACTORY_BOOK, overrides: {} }),
          edges: {},
        })
        if (!made.ok) return
        const { panels } = made.value
        expect(new Set(panels.filter(isTopPlate).map(wholeId)).size).toBeLessThanOrEqual(1)
        for (const panel of panels) {
          expect(shortName(panel)).toMatch(panel.role === 'trim' ? /^[a-z ]+$/ : /^[a-z-]{3,8}( [1-6])?$/)
          expect(panel.face === 'loose' && panel.role === 'plate').toBe(false)
          const way = OUTWARDS[panel.face]
          // A piece of a strip that runs round a corner goes by the face of the whole strip.
          if (!way || panel.piece || panel.times !== 1 || !made.value.patches.some((p) => p.panel === panel.id))
            continue
          told++
          if (panel.role === 'boxing' && panel.face !== 'round') boxed++
          expect(facing(made.value, panel.id, way), `${panel.name} faces ${panel.face}`).toBeGreaterThan(0.6)
        }
      }),
      { numRuns: 40 },
    )
    if (kind === 'boxed') expect(boxed).toBeGreaterThan(20)
    if (!['no-sew-wrap', 'pinch-corner', 'pull-over', 'liner'].includes(kind)) expect(told).toBeGreaterThan(0)
  })
})
