import { describe, expect, it } from 'vitest'
import type { PanelLayer, PartJob } from '../../contract/index.ts'
import { DEMO_CLOTHS, keepersBenchPart } from '../demo/index.ts'
import { jobOf, newSeat } from '../job/index.ts'
import { workOrder } from '../making/index.ts'
import { boxOf } from '../outline/index.ts'
import { boxSolid, coverOf, onlyDesign, planOne, worked } from '../testing/jobs.ts'
import { checkCover, CLOSURES, cutOutline, usualMakeUp, type Cover } from './index.ts'

const layer = (change: Partial<PanelLayer> = {}): PanelLayer => ({
  kind: 'wadding',
  behind: ['top'],
  quilt: null,
  ...change,
})
const size = (cover: Cover, id: string) => {
  const panel = cover.layers.find((l) => l.id === id)!
  const { minX, maxX, minY, maxY } = boxOf(cutOutline(panel))
  return [maxX - minX, maxY - minY].map((v) => Number(v.toFixed(3)))
}
const wadding = { ...DEMO_CLOTHS.find((c) => c.id === 'house-calico')!, id: 'sheet', name: 'Sheet', thicknessMm: 10 }

describe('what lies behind a panel', () => {
  it('is a piece of its own, as large as its panel: 600 x 400 and 12 all round; and no other panel has one', () => {
    const cover = coverOf(boxSolid(600, 400, 80), { layers: [layer()] })
    expect(cover.layers.map((l) => l.id)).toEqual(['top-plate~wadding'])
    expect(size(cover, 'top-plate~wadding')).toEqual([624, 424])
    expect(checkCover(cover).flatMap((c) => c.faults)).toEqual([])
  })

  it('stops short of hems by the hem: a lapped side 40 high, half of a lap of 26 beyond it, has no more behind it', () => {
    const cover = coverOf(boxSolid(600, 400, 80), {
      kind: 'lap-closed',
      closure: CLOSURES['hook-and-loop'].usual,
      layers: [layer({ kind: 'lining', behind: ['sides'] })],
    })
    const lapped = cover.panels.filter((p) => p.edges.some((e) => e.treatment === 'lap'))
    expect(lapped).toHaveLength(2)
    for (const panel of lapped) {
      const { minY, maxY } = boxOf(cutOutline(panel))
      // t/2 + s + v/2 + the hem v + 6, and without the hem.
      expect(maxY - minY).toBeCloseTo(40 + 12 + 13 + 32, 6)
      expect(size(cover, `${panel.id}~lining`)[1]).toBeCloseTo(40 + 12 + 13, 3)
    }
  })

  it('follows an allowance that is set on its panel, and the shrinking of its own cloth alone', () => {
    const part: PartJob = {
      ...keepersBenchPart(),
      seat: { ...newSeat('singles', 600, 400, 80, 1), clearanceMm: 0 },
      makeUp: { ...usualMakeUp('boxed'), layers: [layer()] },
    }
    const own = { ...part, allowances: { ...part.allowances, edges: { 'top-plate/front': 20 } } }
    const shrinks = { ...wadding, shrink: { across: 0.1, along: 0 } }
    const cloth = { ...part.cloth, match: { kind: 'none' as const }, others: { wadding: shrinks } }
    const { cover } = onlyDesign(worked({ ...own, cloth }))
    const top = boxOf(cutOutline(cover.panels.find((p) => p.id === 'top-plate')!))
    const [w, d] = size(cover, 'top-plate~wadding')
    expect(d).toBeCloseTo(top.maxY - top.minY, 3)
    expect(w).toBeCloseTo((top.maxX - top.minX) / 0.9, 3)
  })

  it('has a lay and lines on the cut list of its own cloth', () => {
    const part = {
      ...keepersBenchPart(),
      makeUp: { ...keepersBenchPart().makeUp, layers: [layer({ behind: ['top', 'sides'] })] },
    }
    const plan = worked({ ...part, cloth: { ...part.cloth, others: { wadding } } })
    const lay = plan.cloth.lays.find((l) => l.cloth.id === 'sheet')!
    // Three cushions, each a plate and all of its boxing and gusset.
    const layers = onlyDesign(plan).cover.layers
    expect(lay.problem.pieces).toHaveLength(3 * layers.length)
    expect(plan.cutList.filter((l) => l.from === 'Sheet').map((l) => [l.what, l.count])).toEqual(
      layers.map((l) => [l.name, 3]),
    )
    expect(lay.pieces.every((p) => !p.matched)).toBe(true)
  })

  it('is basted, and quilted no further apart than asked: 600 in lines of 150 at most are three, 400 long', () => {
    const part: PartJob = {
      ...keepersBenchPart(),
      seat: { ...newSeat('singles', 600, 400, 80, 1), clearanceMm: 0 },
      makeUp: { ...usualMakeUp('boxed'), layers: [layer({ quilt: { spacingMm: 150, mostMm: 150 } })] },
    }
    const plan = worked({ ...part, cloth: { ...part.cloth, others: { wadding } } })
    const { cover } = onlyDesign(plan)
    const box = boxOf(cover.panels.find((p) => p.id === 'top-plate')!.finished)
    const lines = cover.panels.find((p) => p.id === 'top-plate')!.marks.filter((m) => m.kind === 'quilt')
    const gaps = Math.ceil((box.maxX - box.minX) / 150)
    expect(lines).toHaveLength(gaps - 1)
    const step = workOrder(jobOf(part), plan).find((s) => s.id.endsWith('backed'))!
    expect(step.work.find((w) => w.kind === 'join')!.amount.value).toBeCloseTo(
      2 * (box.maxX - box.minX + box.maxY - box.minY),
      3,
    )
    expect(step.work.find((w) => w.kind === 'top-stitch')!.amount.value).toBeCloseTo(
      (gaps - 1) * (box.maxY - box.minY),
      1,
    )
  })

  it('is doubted where it has no cloth, is quilted too wide, or makes a thick seam', () => {
    const codes = (layers: PanelLayer[], others: PartJob['cloth']['others']) =>
      planOne({
        ...keepersBenchPart(),
        makeUp: { ...keepersBenchPart().makeUp, layers },
        cloth: { ...keepersBenchPart().cloth, others },
      }).warnings.map((w) => w.code)
    expect(codes([layer()], {})).toContain('layer-without-cloth')
    expect(codes([layer({ quilt: { spacingMm: 200, mostMm: 150 } })], { wadding })).toContain('quilted-too-wide')
    expect(codes([layer({ quilt: { spacingMm: 150, mostMm: 150 } })], { wadding })).not.toContain('quilted-too-wide')
    // Two sheets of 10 squeezed to a fifth, twice over, are 8 under the foot.
    expect(codes([layer({ behind: ['top', 'sides'] }), layer({ behind: ['top', 'sides'] })], { wadding })).toContain(
      'thick-seam',
    )
    expect(codes([layer()], { wadding })).not.toContain('thick-seam')
  })
})
