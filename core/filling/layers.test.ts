import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readJob, type PartJob } from '../../contract/index.ts'
import { jobOf, setFilling, setFoam, setGrade, setLayers, setLooseFibre } from '../job/index.ts'
import { DEMO_GRADES, keepersBenchPart } from '../demo/index.ts'
import { anyGrade } from '../testing/fillings.ts'
import {
  firmnessOf,
  quotedForceN,
  mainGrade,
  newLayer,
  settleLayers,
  stackForceN,
  USUAL_LOAD,
  type Firmness,
} from './index.ts'

const named = (name: string) => DEMO_GRADES.find((g) => g.name === name)!
const [firm, soft] = [named('Gannet 36/180'), named('Eider 50/60')]
const isSound = (job: PartJob) => readJob(JSON.parse(JSON.stringify(jobOf(job)))).ok

describe('layers of a block', () => {
  it('the free one takes what the others leave, wherever it lies', () => {
    expect(settleLayers([newLayer(firm, null), newLayer(soft, 25)], 120).map((l) => l.thicknessMm)).toEqual([95, 25])
    expect(settleLayers([newLayer(firm, 50), newLayer(soft, null)], 120).map((l) => l.thicknessMm)).toEqual([50, 70])
  })

  it('is never thinner than foam can be cut', () =>
    expect(settleLayers([newLayer(firm, null), newLayer(soft, 130)], 120)[0]!.thicknessMm).toBe(5))

  it('a job is named by the layer that takes the rest', () =>
    expect(mainGrade([newLayer(soft, 25), newLayer(firm, null)])).toBe(firm))
})

describe('firmness of a stack', () => {
  it('of one grade is its own, to the newton', () => {
    for (const grade of DEMO_GRADES)
      expect(
        stackForceN(
          [
            { grade, thicknessMm: 40 },
            { grade, thicknessMm: 60 },
          ],
          0.4,
        ),
      ).toBe(grade.at40N)
  })

  it('of two lies between theirs', () => {
    fc.assert(
      fc.property(
        anyGrade,
        anyGrade,
        fc.integer({ min: 10, max: 100 }),
        fc.integer({ min: 10, max: 100 }),
        (a, b, t, u) => {
          for (const strain of [0.25, 0.4] as const) {
            const layers = [
              { grade: a, thicknessMm: t },
              { grade: b, thicknessMm: u },
            ]
            const own = [a, b].map((g) => quotedForceN(g, strain)!)
            expect(stackForceN(layers, strain)).toBeGreaterThanOrEqual(Math.min(...own) * 0.999)
            expect(stackForceN(layers, strain)).toBeLessThanOrEqual(Math.max(...own) * 1.001)
          }
        },
      ),
    )
  })

  it.each<[string, number, Firmness]>([
    ['Eider 50/60', 25, 'medium'],
    ['Eider 50/60', 90, 'soft'],
  ])('%s %d mm on Gannet 36/180 to 100 mm is %s', (name, t, feel) => {
    expect(
      firmnessOf(
        stackForceN(
          [
            { grade: firm, thicknessMm: 100 - t },
            { grade: named(name), thicknessMm: t },
          ],
          0.4,
        )!,
      ),
    ).toBe(feel)
  })
})

describe('edits of the filling', () => {
  const job = keepersBenchPart()

  it('an advised stack is taken over: the thickest layer takes the rest', () => {
    const next = setLayers('', [
      { grade: firm, thicknessMm: 75 },
      { grade: soft, thicknessMm: 25 },
    ]).apply(job)
    expect(next.filling.kind === 'foam' && next.filling.layers.map((l) => l.thicknessMm)).toEqual([null, 25])
    expect(isSound(next)).toBe(true)
  })

  it('another grade changes the layer that takes the rest, and leaves the others', () => {
    const layered = setLayers('', [
      { grade: firm, thicknessMm: 75 },
      { grade: soft, thicknessMm: 25 },
    ]).apply(job)
    const next = setGrade(named('Petrel 65/130')).apply(layered)
    expect(next.filling.kind === 'foam' && next.filling.layers.map((l) => l.grade.name)).toEqual([
      'Petrel 65/130',
      'Eider 50/60',
    ])
  })

  it('loose fibre keeps load and board; a grade brings foam back, changes of foam leave fibre alone', () => {
    const loaded = setFilling('', { load: { ...USUAL_LOAD, use: 'back' }, boardMm: { now: 9, before: 0 } }).apply(job)
    const fibre = setLooseFibre.apply(loaded)
    expect(fibre.filling).toMatchObject({ kind: 'loose-fibre', load: { use: 'back' }, boardMm: { now: 9 } })
    expect(isSound(fibre)).toBe(true)
    expect(setFoam('', (foam) => ({ ...foam, wadding: null })).apply(fibre)).toBe(fibre)
    const back = setGrade(firm).apply(fibre)
    expect(back.filling).toMatchObject({ kind: 'foam', load: { use: 'back' }, boardMm: { now: 9 } })
  })
})
