import { jobOf } from '../job/index.ts'
import { describe, expect, it } from 'vitest'
import { solveLay } from '../lay/index.ts'
import { planDocument } from './plan-document.ts'
import { benchJob, planOne, mediumBenchPart } from '../testing/jobs.ts'

const job = mediumBenchPart()
const plan = planOne(job)
const solved =
  plan.kind === 'worked'
    ? solveLay(plan.cloth.lays[0]!.problem, { seed: 1, budget: { steps: 5, isStopped: () => false } })
    : null
const lay = solved?.ok ? { ...solved.value.lay, seconds: 0 } : null

/** Every figure of a document, wherever it stands. */
function figures(node: unknown): { label: string; value: number; working: string }[] {
  if (typeof node !== 'object' || node === null) return []
  if ('working' in node && 'value' in node) return [node as { label: string; value: number; working: string }]
  return Object.values(node).flatMap(figures)
}

describe('the plan as a document', () => {
  const document = JSON.parse(JSON.stringify(planDocument(jobOf(job), plan, [lay])))

  it.each([
    ['Cushion width', '(2236 − 2 × (−2)) ÷ 3 = 746.7 mm net'],
    ['Block width', '746.7 + 14.9 = 761.6 mm cut'],
    ['Perimeter of the plate', '2 × (746.67 + 468) = 2429.3 mm net'],
    ['Gusset run', '746.7 + 2 × 117 = 980.7 mm net'],
    ['Gusset, lower half, cut height', '37.5 + 12 + 22 = 71.5 mm cut'],
    ['Front boxing, cut height', '75 + 12 + 12 = 99 mm cut'],
    ['Left boxing, net width', '468 − 117 = 351 mm net'],
    ['Piping for one loop', '2429.3 + 60 = 2489.3 mm cut'],
    ['Piping strip width', '39.7, up to the next 1 = 40 mm cut'],
  ])('%s is worked: %s', (label, working) => {
    expect(figures(document).find((f) => f.label === label)?.working).toBe(working)
  })

  it('every figure has a value and a working', () => {
    const all = figures(document)
    expect(all.length).toBeGreaterThan(60)
    for (const f of all) {
      expect(Number.isFinite(f.value), f.label).toBe(true)
      expect(f.working, f.label).not.toMatch(/NaN|undefined/)
    }
  })

  it('holds panels, seams, lay, chalk list, lists and warnings in words', () => {
    expect(document.parts[0].designs[0].cover.panels).toHaveLength(7)
    expect(document.parts[0].designs[0].cover.panels[0].cut).toHaveLength(4)
    expect(document.parts[0].designs[0].cover.checks.every((c: { faults: string[] }) => c.faults.length === 0)).toBe(
      true,
    )
    expect(document.lays[0]!.chalkList).toHaveLength(document.lays[0]!.lay.placements.length)
    expect(document.buying.hasLay).toBe(true)
    expect(document.warnings.every((w: { says: string }) => w.says.length > 10)).toBe(true)
  })

  it('says so when nothing can be worked out', () => {
    const bad = benchJob({ count: 40, gapMm: 200 })
    expect(planDocument(jobOf(bad), planOne(bad), [])).toMatchObject({
      workable: false,
      warnings: [{ code: 'seat-fault', fault: { code: 'cushion-vanishes' } }],
    })
  })
})
