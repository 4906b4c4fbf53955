import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { Job, type PartJob, readJob } from '../../contract/index.ts'
import { acceptLay, solveLay } from '../lay/index.ts'
import { buyingList, chalkList } from '../lists/index.ts'
import { usualFoam } from '../filling/index.ts'
import { jobOf, setFilling, setGrade, USUAL_PIPING } from '../job/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES } from '../demo/index.ts'
import { benchJob, foamJob, foamOf, onlyDesign, worked, planOne, mediumBenchPart } from '../testing/jobs.ts'
import { sayWorking } from '../working/index.ts'

const codes = (job: PartJob) => planOne(job).warnings.map((w) => w.code)
const steps = (n: number) => ({ seed: 1, budget: { steps: n, isStopped: () => false } })

describe("the keepers' bench, worked by hand", () => {
  const job = mediumBenchPart()
  const plan = worked(job)
  const { filling, design } = onlyDesign(plan)
  const { block, cover } = filling.sizing

  it('is a valid job document', () => expect(readJob(JSON.parse(JSON.stringify(jobOf(job)))).ok).toBe(true))

  it('divides 2236 squeezed by 2 mm at two meetings into three of 746.7', () => {
    expect(design.solid.width.value).toBeCloseTo(2240 / 3, 6)
    expect(sayWorking(design.solid.width, 'mm')).toBe('(2236 − 2 × (−2)) ÷ 3 = 746.7 mm net')
    expect(plan.cushions.inOrder.map((c) => Number(c.leftMm.toFixed(2)))).toEqual([0, 744.67, 1489.33])
  })

  it('cuts a full block 2 % larger: 761.6 x 477.4 x 75', () => {
    expect([block.width.value, block.depth.value, block.thickness.value].map((v) => Number(v.toFixed(1)))).toEqual([
      761.6, 477.4, 75,
    ])
    expect(sayWorking(block.width, 'mm')).toBe('746.7 + 14.9 = 761.6 mm cut')
    expect(cover.width.value).toBeCloseTo(746.667, 3)
  })

  it('up to 81 thick by the thickness setting', () => {
    const thick = worked(foamJob((foam) => ({ ...foam, school: { kind: 'full-block', thicknessExtraMm: 6 } }), job))
    expect(onlyDesign(thick).filling.sizing.block.thickness.value).toBe(81)
  })

  it('three blocks from one sheet, by rows: floor((2000 - 20 + 2) / 763.6) x floor(1182 / 479.4) = 2 x 2', () => {
    const { groups, cost } = plan.cutting!
    expect(groups[0]!.buy!.sheet).toEqual({ lengthMm: 2000, widthMm: 1200 })
    expect(groups[0]!.group.rows!.perSheet.value).toBe(4)
    expect(groups[0]!.buy!.sheets.value).toBe(1)
    // 2.0 x 1.2 x 0.075 m³ at 260
    expect(cost.value).toBeCloseTo(46.8, 6)
  })

  it('weighs 30 kg/m³ of its volume', () => expect(filling.mass!.value).toBeCloseTo(0.7616 * 0.47736 * 0.075 * 30, 4))

  it('squeezes 1.8 % across and 1.7 % front to back: snug', () => {
    const { fit } = foamOf(onlyDesign(plan))
    expect(fit.across.value).toBeCloseTo((761.6 + 75) / (746.667 + 75) - 1, 4)
    expect(fit.verdict).toEqual({ across: 'snug', frontToBack: 'snug' })
  })

  it('lays everything, matched, and the lay passes the exact check', () => {
    const solved = solveLay(plan.cloth.lays[0]!.problem, steps(200))
    if (!solved.ok) throw new Error(solved.error.code)
    const lay = { ...solved.value.lay, seconds: 0 }
    expect(acceptLay(plan.cloth.lays[0]!.problem, lay)).toEqual([])
    expect(lay.placements.length).toBe(3 * 7 + 6)
    expect(chalkList(plan.cloth.lays[0]!, lay).map((l) => l.order)).toEqual(lay.placements.map((_, i) => i + 1))
    const buying = buyingList(job, plan, [{ laidMm: lay.length, boundMm: lay.bound }])
    expect(buying.lines[1]!.amount.value).toBe(Math.ceil(lay.length / 100) * 100)
    expect(buying.total.value).toBeCloseTo(46.8 + (Math.ceil(lay.length / 100) / 10) * 34, 6)
  })

  it('continues the stripe along the row, and down each front boxing, at the sewing line', () => {
    const solved = solveLay(plan.cloth.lays[0]!.problem, steps(30))
    if (!solved.ok) throw new Error(solved.error.code)
    const repeat = 68
    /**
     * Phase of the cloth under a panel's left finished edge, reading the panel left to right; turned pieces are read
     * through the mirror axis.
     */
    const leftPhase = (id: string) => {
      const place = solved.value.lay.placements.find((p) => p.id === id)!
      return place.turn === 0 ? place.x : -place.x
    }
    const apart = (a: number, b: number) => {
      const d = (((a - b) % repeat) + repeat) % repeat
      return Math.min(d, repeat - d)
    }
    // The pattern is its own mirror image about 11 mm (the middle of the ivory), so a turned piece reads as 22 - phase.
    const read = (id: string) =>
      solved.value.lay.placements.find((p) => p.id === id)!.turn === 0 ? leftPhase(id) : 22 + leftPhase(id)
    for (const k of [1, 2, 3]) {
      expect(apart(read(`${k}/top-plate`), read(`${k}/boxing-front`))).toBeLessThan(0.5)
      // The bottom plate is cut as a mirror image: its left edge lies at the right end of the cushion.
      expect(apart(22 - (read(`${k}/top-plate`) + 2240 / 3), read(`${k}/bottom-plate`))).toBeLessThan(0.5)
    }
    for (const k of [1, 2])
      expect(apart(read(`${k}/top-plate`) + 2240 / 3, read(`${k + 1}/top-plate`))).toBeLessThan(0.5)
    // The rust band's middle (22 + 6 + 10 + 7 = 45) lies on the middle of the row, 1120 from the left end.
    expect(apart(read('1/top-plate') + 1120, 45)).toBeLessThan(0.5)
  })
})

describe('a bench in inches, worked by hand', () => {
  it('88 x 18 1/2 x 3 in 3: each 29 3/8 wide', () => {
    const inch = 25.4
    const { design, cover } = onlyDesign(
      worked({ ...benchJob({ width: 88 * inch, depth: 18.5 * inch, thickness: 3 * inch, gapMm: 0 }), units: 'inch-8' }),
    )
    expect(sayWorking(design.solid.width, 'inch-8')).toBe('88 ÷ 3 = 29 3/8 in net')
    // 29.3333 + 2 x 12 mm (0.9449 in) = 30.278 in
    expect(cover.panels[0]!.figures.cutWidth.value / inch).toBeCloseTo(30.2782, 3)
  })
})

describe('railroaded', () => {
  it('puts plates on their side, matches the side boxing, and says the front cannot match', () => {
    const base = mediumBenchPart()
    const job: PartJob = { ...base, cloth: { ...base.cloth, direction: 'railroaded' } }
    const plan = worked(job)
    const piece = (id: string) => plan.cloth.lays[0]!.problem.pieces.find((p) => p.id === id)!
    expect(piece('2/top-plate').turns).toEqual([270, 90])
    expect(piece('2/boxing-front').match).toBeNull()
    expect(piece('2/boxing-right').match?.across).toBeTypeOf('number')
    expect(plan.warnings).toContainEqual({
      station: 'lay',
      level: 'note',
      code: 'sides-cannot-match',
      edges: 'front',
      because: 'runs-along',
    })
    const solved = solveLay(plan.cloth.lays[0]!.problem, steps(30))
    expect(solved.ok && acceptLay(plan.cloth.lays[0]!.problem, { ...solved.value.lay, seconds: 0 })).toEqual([])
  })
})

describe('warnings', () => {
  const job = mediumBenchPart()
  it.each<[string, PartJob, string]>([
    ['readings 9 mm apart on 468', benchJob({ depth: { readings: [{ mm: 468 }, { mm: 477 }] } }), 'readings-spread'],
    ['thickness larger than the depth', benchJob({ thickness: 600 }), 'thickness-over-depth'],
    ['gaps larger than the bench', benchJob({ count: 30, gapMm: 200 }), 'seat-fault'],
    [
      'an allowance over half of the gusset',
      { ...job, allowances: { ...job.allowances, overrides: { seamMm: 40 } } },
      'seam-over-half',
    ],
    ['one block of 2.2 m', benchJob({ count: 1 }), 'block-joined'],
    ['plates wider than the cloth', benchJob({ count: 1 }), 'piece-wider-than-cloth'],
    ['a thickness no stack makes', benchJob({ thickness: 83 }), 'no-sheet-thickness'],
    [
      'stripes wider than the cloth',
      {
        ...job,
        cloth: {
          ...job.cloth,
          cloth: {
            ...job.cloth.cloth,
            pattern: {
              kind: 'stripes',
              runs: 'along',
              startMm: 0,
              bands: [
                { name: 'a', colour: '#ffffff', widthMm: 800 },
                { name: 'b', colour: '#000000', widthMm: 900 },
              ],
            },
          },
        },
      },
      'repeat-over-width',
    ],
    ['a snug cover', foamJob((foam) => ({ ...foam, school: { kind: 'snug-cover' } })), 'cover-shrinks-seat'],
    [
      'matching a plain cloth',
      { ...job, cloth: { ...job.cloth, cloth: DEMO_CLOTHS.find((c) => c.id === 'storm-canvas')! } },
      'nothing-to-match',
    ],
  ])('%s', (_name, doubtful, code) => expect(codes(doubtful)).toContain(code))

  it('says nothing but the notes and cautions of an ordinary job', () => {
    const firm = setGrade(DEMO_GRADES.find((g) => g.name === 'Fulmar 50/220')!).apply(job)
    const carried = setFilling('', { load: { ...firm.filling.load, lightestKg: 60, heaviestKg: 90 } }).apply(firm)
    expect(planOne(carried).warnings.filter((w) => w.level === 'stop' || w.level === 'warning')).toEqual([])
  })
})

describe('planJob is total', () => {
  it('answers any valid job with a plan, never an exception', () => {
    const size = fc.double({ min: 0.1, max: 20_000, noNaN: true })
    fc.assert(
      fc.property(
        fc.record({
          w: size,
          d: size,
          t: size,
          n: fc.integer({ min: 1, max: 6 }),
          gap: fc.double({ min: -100, max: 1000, noNaN: true }),
          s: fc.double({ min: 0, max: 60, noNaN: true }),
          grade: fc.integer({ min: 0, max: DEMO_GRADES.length - 1 }),
          cloth: fc.integer({ min: 0, max: DEMO_CLOTHS.length - 1 }),
          railroaded: fc.boolean(),
          bias: fc.boolean(),
        }),
        (r) => {
          const job = mediumBenchPart()
          const tried: PartJob = {
            ...benchJob({ width: r.w, depth: r.d, thickness: r.t, count: r.n, gapMm: r.gap }),
            filling: usualFoam(DEMO_GRADES[r.grade]!),
            makeUp: { ...job.makeUp, piping: { ...USUAL_PIPING, cut: r.bias ? 'bias' : 'along' } },
            cloth: {
              ...job.cloth,
              cloth: DEMO_CLOTHS[r.cloth]!,
              direction: r.railroaded ? 'railroaded' : 'up-the-roll',
            },
            allowances: { ...job.allowances, overrides: { seamMm: r.s } },
          }
          expect(Job.safeParse(jobOf(tried)).success).toBe(true)
          const plan = planOne(tried)
          if (plan.kind === 'worked') expect(plan.designs.flatMap((d) => d.checks).flatMap((c) => c.faults)).toEqual([])
          else expect(plan.warnings.some((w) => w.level === 'stop')).toBe(true)
        },
      ),
      { numRuns: 200 },
    )
  })
})
