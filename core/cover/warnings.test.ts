import { describe, expect, it } from 'vitest'
import {
  Job,
  type PartJob,
  readJob,
  type Closure,
  type Construction,
  type FoamFilling,
  type MakeUp,
} from '../../contract/index.ts'
import { jobOf, newSeat, setCloth, setLooseFibre, setMakeUp, USUAL_PIPING } from '../job/index.ts'
import { DEMO_CLOTHS, demoParts, keepersBenchPart } from '../demo/index.ts'
import { boxSolid, onlyDesign, worked, planOne } from '../testing/jobs.ts'
import { warningKey, warningWords } from '../warnings/index.ts'
import { planJob } from '../plan/index.ts'
import { FACTORY_BOOK } from '../defaults/index.ts'
import { usualWadding } from '../filling/index.ts'
import { checkCover, CLOSURES, cutOutline, makeCover, MAKE_UPS, panelOf, usualMakeUp } from './index.ts'
import { applied } from './allowances.ts'
import { boxOf } from '../outline/index.ts'

const single = (w: number, d: number, t: number): PartJob => ({
  ...keepersBenchPart(),
  seat: { ...newSeat('singles', w, d, t, 1), clearanceMm: 0 },
  cloth: { ...keepersBenchPart().cloth, match: { kind: 'none' } },
})
const made = (job: PartJob, change: (m: MakeUp) => Partial<MakeUp>): PartJob =>
  setMakeUp('', (m) => ({ ...m, ...change(m) })).apply(job)
const as =
  (kind: Construction['kind'], own: object = {}, closure?: Closure) =>
  () => ({
    construction: { ...MAKE_UPS[kind].usual, ...own } as Construction,
    closure: closure ?? CLOSURES[MAKE_UPS[kind].closures[0]].usual,
  })
const said = (job: PartJob) =>
  planOne(job).warnings.map((w) => `${w.code}: ${warningWords(w, 'mm').says} ${warningWords(w, 'mm').cure}`)
const codes = (job: PartJob) => planOne(job).warnings.map((w) => w.code)

describe('snug on purpose, loose by accident: doubts, said once', () => {
  const withSeam = (t: number, seamMm: number, book = FACTORY_BOOK) => {
    const job = single(600, 400, t)
    return { ...job, allowances: { ...job.allowances, book, overrides: { seamMm } } }
  }
  const inches = { ...FACTORY_BOOK, seamMm: 12.7 }
  const bare = (coatedBack: boolean | undefined, wadding: 'wadded' | 'bare') => {
    const job = single(600, 400, 80)
    const foam = job.filling as FoamFilling
    return {
      ...job,
      cloth: { ...job.cloth, cloth: { ...job.cloth.cloth, coatedBack } },
      filling: { ...foam, wadding: wadding === 'bare' ? null : usualWadding(10) },
      makeUp: { ...job.makeUp, liner: null },
    }
  }

  it('two seams of 12 eat more than half of a boxing 40 high, not of one 60 high', () => {
    expect(codes(withSeam(40, 12))).toContain('seam-over-half')
    expect(codes(withSeam(60, 12))).not.toContain('seam-over-half')
  })
  it('15 where the shop sews half an inch, and 38.1 for 12.7; 10 for 12 is another school', () => {
    expect(codes(withSeam(80, 15, inches))).toContain('allowance-beside-book')
    expect(codes(withSeam(120, 38.1, inches))).toContain('allowance-beside-book')
    expect(codes(withSeam(80, 12.7))).toContain('allowance-beside-book')
    expect(codes(withSeam(80, 10))).not.toContain('allowance-beside-book')
    expect(codes(withSeam(80, 15))).not.toContain('allowance-beside-book')
    expect(codes(withSeam(80, 9.525, inches))).not.toContain('allowance-beside-book')
  })
  it('a bare back on bare foam is told to be wadded; nobody said, or wadding, and it is not', () => {
    expect(said(bare(false, 'bare')).join()).toMatch(/bare-foam: .*Wrap the block in wadding/)
    for (const job of [bare(undefined, 'bare'), bare(true, 'bare'), bare(false, 'wadded')])
      expect(codes(job)).not.toContain('bare-foam')
  })
  it('a lap of 20 does not cover a hem of 25', () => {
    expect(codes(made(single(600, 400, 80), as('slit-back', { lapMm: 20, hemMm: 25 })))).toContain('lap-under-hem')
    expect(codes(made(single(600, 400, 80), as('slit-back')))).not.toContain('lap-under-hem')
  })

  it('overruled it is not said again until its figures change; a stop and a caution cannot be overruled', () => {
    const job = jobOf(withSeam(40, 12))
    const doubts = planJob(job).warnings.filter((w) => w.code === 'seam-over-half')
    const meant = (j: Job): Job => ({ ...j, meant: doubts.map(warningKey) })
    expect(planJob(meant(job)).warnings.map((w) => w.code)).not.toContain('seam-over-half')
    expect(planJob(meant(jobOf(withSeam(38, 12)))).warnings.map((w) => w.code)).toContain('seam-over-half')
    const all = planJob(job).warnings
    const every = { ...job, meant: all.map(warningKey) }
    expect(planJob(every).warnings).toEqual(all.filter((w) => w.level === 'stop' || w.level === 'safety'))
    expect(all.some((w) => w.level === 'safety')).toBe(true)
  })
})

describe('bad input is stopped or warned of in words, with a cure', () => {
  it.each<[string, PartJob, RegExp]>([
    [
      'an allowance of nought',
      { ...single(600, 400, 80), allowances: { ...single(600, 400, 80).allowances, overrides: { seamMm: 0 } } },
      /no-allowance: The top plate has an edge without any allowance.*Fuse or bond/,
    ],
    [
      'roll and seam over half the thickness',
      made(single(600, 400, 40), as('rolled-edge')),
      /make-up-refused: Rolled edge: roll and seam take 22 mm, more than half the thickness \(20 mm\).*smaller.*Boxed is the nearest/,
    ],
    [
      'a lap wider than the limit for strips of boxing height',
      made(single(600, 400, 64), as('lap-closed')),
      /lap-over-limit: The lap of 26 mm is wider than 25.3 mm.*narrower tape/,
    ],
    [
      'a lap wider than the cushion is thick',
      made(single(600, 400, 40), as('lap-closed', {}, { kind: 'snap-tape', tapeMm: 60, side: 'left' })),
      /make-up-refused: .*lap of 66 mm is wider than the cushion is thick \(40 mm\).*narrower tape/,
    ],
    [
      'a cord too thick for its strip',
      made(single(600, 400, 80), () => ({ piping: { ...USUAL_PIPING, cordMm: 8, stripMm: 40 } })),
      /strip-too-narrow: A strip of 40 mm is too narrow for a cord of 8 mm: 50 mm is needed/,
    ],
    [
      'a grid of buttons outside the plate',
      made(single(600, 400, 80), (m) => ({
        trims: {
          ...m.trims,
          buttons: { rows: 2, across: 3, layout: 'even', marginMm: 320, diameterMm: 22, depthMm: 0 },
        },
      })),
      /buttons-outside: Of the buttons 6 fall outside the plate.*smaller margin/,
    ],
    [
      'an opening longer than its edge',
      made(single(600, 400, 80), as('boxed', {}, { kind: 'sewn-shut', side: 'left', openingMm: 900 })),
      /make-up-refused: Boxed: the opening of 900 mm is longer than its edge \(400 mm\)\. Make the opening shorter/,
    ],
    [
      'the same on a knife-edge',
      made(single(600, 400, 80), as('knife-edge', {}, { kind: 'sewn-shut', side: 'back', openingMm: 900 })),
      /make-up-refused: Knife-edge: the opening of 900 mm/,
    ],
    [
      'a liner inside a liner',
      made(single(600, 400, 80), () => ({ ...as('liner')(), liner: { largerShare: 0.04 } })),
      /liner-in-liner: A liner inside a liner holds nothing more\. Leave out/,
    ],
    [
      'a front rounded by more than half the thickness',
      made(single(600, 400, 80), as('waterfall', { frontRadiusMm: 60 })),
      /rounded by 60 mm; no more than 40 mm fits/,
    ],
    [
      'a slot that the base has no room for',
      made(single(300, 200, 80), as('capped', {}, { kind: 'horseshoe', shape: 'u', insetMm: 120, radiusMm: 60 })),
      /base has no room for a slot set in by 120 mm/,
    ],
    [
      'a closure that the make-up cannot have',
      made(single(600, 400, 80), as('knife-edge', {}, CLOSURES.slit.usual)),
      /cannot be closed with: lapped slit\. Choose one of the closures/,
    ],
    [
      'a bolster that is not round',
      made(single(600, 400, 80), as('bolster')),
      /as deep as it is thick; this cushion is 400 mm deep and 80 mm thick/,
    ],
    [
      'a hot knife on linen',
      made(setCloth(DEMO_CLOTHS.find((c) => c.id === 'ebb-linen')!).apply(single(600, 400, 80)), (m) => ({
        trims: { ...m.trims, finishing: 'hot-knife' },
      })),
      /hot-knife-cloth: Ebb linen is not all synthetic/,
    ],
    [
      'bound edges on a narrow allowance',
      {
        ...made(single(600, 400, 80), (m) => ({ trims: { ...m.trims, finishing: 'bound' } })),
        allowances: { ...single(600, 400, 80).allowances, overrides: { seamMm: 8 } },
      },
      /finishing-wants-allowance: Raw edges bound need an allowance of 10 mm; this job has 8 mm/,
    ],
    [
      'four ties on a slatted seat',
      {
        ...made(single(600, 400, 80), (m) => ({
          trims: {
            ...m.trims,
            ties: {
              places: [{ at: 'edge', row: 'foot', side: 'back', count: 4 }],
              finishedMm: 15,
              lengthMm: 260,
              way: 'folded',
              caught: 'at-the-middle',
            },
          },
        })),
        filling: { ...single(600, 400, 80).filling, load: { ...single(600, 400, 80).filling.load, base: 'slats' } },
      },
      /ties-unreachable: With 4 ties to a side/,
    ],
  ])('%s', (_name, job, words) => {
    expect(Job.safeParse(jobOf(job)).success).toBe(true)
    const found = said(job).filter((s) => words.test(s))
    expect(found, said(job).join('\n')).toHaveLength(1)
  })

  it.each<[string, (j: PartJob) => unknown, RegExp]>([
    [
      'cloth that stretches 60 %',
      (j) => ({ ...j, cloth: { ...j.cloth, cloth: { ...j.cloth.cloth, stretch: { across: 0.6, along: 0 } } } }),
      /stretch\.across is more than half: no cover holds its size in that/,
    ],
    [
      'cloth that shrinks by half',
      (j) => ({ ...j, cloth: { ...j.cloth, cloth: { ...j.cloth.cloth, shrink: { across: 0, along: 0.5 } } } }),
      /shrink\.along is more than a fifth/,
    ],
    [
      'an edge allowance of 3 m',
      (j) => ({ ...j, allowances: { ...j.allowances, edges: { 'top-plate/front': 3000 } } }),
      /edges.*is more than 500 mm/,
    ],
    [
      'piping on no edge',
      (j) => ({ ...j, makeUp: { ...j.makeUp, piping: { ...USUAL_PIPING, sides: [] } } }),
      /piping\.sides/,
    ],
    [
      'a liner twice as large',
      (j) => ({ ...j, makeUp: { ...j.makeUp, liner: { largerShare: 1 } } }),
      /liner\.largerShare is more than a tenth larger/,
    ],
  ])('%s is refused at the door', (_name, change, words) => {
    const read = readJob(jobOf(change(keepersBenchPart()) as PartJob))
    expect(!read.ok && read.faults.map((f) => `${f.path} ${f.message}`).join('\n')).toMatch(words)
  })

  it('what a footprint cannot take is said with the nearest that can: a waterfall on the ring of SL-01', () => {
    const ring = made(demoParts()[0]!, as('waterfall'))
    expect(said(ring)[0]).toMatch(/^make-up-refused: Waterfall: the .* edge is bowed.*Boxed is the nearest that can\.$/)
    expect(said(made(demoParts()[0]!, as('capped')))[0]).toMatch(/Capped: the .* edge is bowed/)
    expect(said(made(demoParts()[5]!, as('knife-edge')))[0]).toMatch(
      /Knife-edge: the hull side leans\..*Boxed is the nearest/,
    )
    expect(said(made(demoParts()[2]!, as('pull-over')))[0]).toMatch(/Pull-over on a board: .*Boxed is the nearest/)
  })
})

describe('cloth that gives, shrinks, or is another', () => {
  it('vinyl that gives 2 % across and 1 % along is cut 1 % and half a per cent smaller, seams besides', () => {
    const job = setCloth(DEMO_CLOTHS.find((c) => c.id === 'hull-vinyl')!).apply(single(600, 400, 80))
    const plate = panelOf(onlyDesign(worked(job)).cover, 'top-plate')
    expect(plate.figures.cutWidth.value).toBeCloseTo(600 * 0.99 + 24, 6)
    expect(plate.figures.cutHeight.value).toBeCloseTo(400 * 0.995 + 24, 6)
    const box = boxOf(cutOutline(plate))
    expect([box.maxX - box.minX, box.maxY - box.minY]).toEqual([expect.closeTo(618, 6), expect.closeTo(422, 6)])
    expect(codes(job)).toContain('cloth-gives')
  })

  it('a cloth that gives more than 8 % is cut 4 % smaller, no more', () => {
    const job = setCloth({
      ...DEMO_CLOTHS.find((c) => c.id === 'hull-vinyl')!,
      stretch: { across: 0.3, along: 0 },
    }).apply(single(600, 400, 80))
    expect(panelOf(onlyDesign(worked(job)).cover, 'top-plate').figures.cutWidth.value).toBeCloseTo(600 * 0.96 + 24, 6)
  })

  it('linen that is not washed first is cut larger: 624 / 0.98 across, 424 / 0.96 along; railroaded the other way', () => {
    const linen = { ...DEMO_CLOTHS.find((c) => c.id === 'ebb-linen')!, washFirst: false }
    const job = setCloth(linen).apply(single(600, 400, 80))
    const size = (j: PartJob) =>
      Object.values(panelOf(onlyDesign(worked(j)).cover, 'top-plate').figures)
        .slice(2)
        .map((f) => Number(f.value.toFixed(3)))
    expect(size(job)).toEqual([Number((624 / 0.98).toFixed(3)), Number((424 / 0.96).toFixed(3))])
    expect(size({ ...job, cloth: { ...job.cloth, direction: 'railroaded' } })).toEqual([
      Number((624 / 0.96).toFixed(3)),
      Number((424 / 0.98).toFixed(3)),
    ])
    expect(size(setCloth({ ...linen, washFirst: true }).apply(single(600, 400, 80)))).toEqual([624, 424])
  })

  it('an edge of its own allowance moves that edge alone, and says so', () => {
    const solid = boxSolid(600, 400, 80)
    const cover = makeCover({
      units: 'mm',
      solid,
      makeUp: usualMakeUp('boxed'),
      cloth: single(1, 1, 1).cloth,
      allowances: applied(keepersBenchPart().allowances),
      edges: { 'top-plate/front': 30 },
    })
    if (!cover.ok) throw new Error('refused')
    const plate = panelOf(cover.value, 'top-plate')
    expect(plate.figures.cutHeight.value).toBe(400 + 30 + 12)
    expect(plate.figures.cutWidth.value).toBe(624)
    expect(plate.edges[0]!.allowance.rule).toBe('set on this edge, in place of what the make-up gives it')
    expect(checkCover(cover.value).flatMap((c) => c.faults)).toEqual([])
  })

  it('each cloth has a lay of its own: base of mesh, liner of calico', () => {
    const lays = (of: PartJob) => worked(of).cloth.lays.map((l) => [l.cloth.id, l.pieces.map((p) => p.id)])
    expect(lays(demoParts()[5]!)).toEqual([
      ['storm-canvas', ['1/blank', '2/blank']],
      ['brine-mesh', ['1/base', '2/base']],
    ])
    const backs = lays(demoParts().find((p) => p.name === 'Backs')!)
    expect(backs.map(([id]) => id)).toEqual(['moss-loop', 'house-calico'])
    expect(backs[1]![1]).toContain('4/liner/bottom-plate')
  })
})

describe('liners and rolls', () => {
  it('a liner with a back shorter than its usual opening is opened over that whole edge, and is checked with its cover', () => {
    const fibre = setLooseFibre.apply(made(single(600, 200, 140), as('knife-edge')))
    const narrow = { ...fibre, seat: { ...newSeat('singles', 200, 600, 140, 1), clearanceMm: 0 } }
    const { liner, checks } = onlyDesign(worked(narrow))
    expect(liner!.closures[0]!.lengthMm.value).toBeLessThan(250)
    expect(liner!.closures[0]!.lengthMm.value).toBeGreaterThan(50)
    expect(checks.flatMap((c) => c.faults)).toEqual([])
  })

  it('a bolster D 190 x 620 of fibre takes π/4 of its box: 0.01758 m³ at 24 kg/m³ = 0.422 kg', () => {
    const roll = setLooseFibre.apply(made(single(620, 190, 190), as('bolster')))
    expect(onlyDesign(worked(roll)).filling.mass!.value).toBeCloseTo((Math.PI / 4) * 0.19 * 0.19 * 0.62 * 24, 6)
    expect(onlyDesign(worked(roll)).liner!.panels.map((p) => p.name)).toEqual(['Body', 'Left end', 'Right end'])
  })
})
