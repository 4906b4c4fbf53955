import { firstPart } from '../job/index.ts'
import { planOne } from '../testing/jobs.ts'
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { readJob } from '../../contract/index.ts'

interface Kept {
  readonly job: { readonly title: string; readonly ticket: string }
  /** What the release that wrote the file made of it. */
  readonly stood:
    | 'unworkable'
    | { readonly cushions: number; readonly cutLines: number; readonly pieces: number; readonly clothMm2: number }
}

const kept = JSON.parse(
  readFileSync(new URL('../../contract/testing/jobs-version-6.json', import.meta.url), 'utf8'),
) as Kept[]

/** By the outlines to be laid, with the sum of corners. */
const areaOf = (outline: readonly (readonly [number, number])[]): number =>
  Math.abs(
    outline.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = outline[(i + 1) % outline.length]!
      return sum + x * nextY - nextX * y
    }, 0) / 2,
  )

describe('a job file of version 6, in every make-up', () => {
  it.each(kept.map((k) => [`${k.job.ticket} ${k.job.title}`, k] as const))(
    '%s means what it meant',
    (_name, { job, stood }) => {
      const read = readJob(job)
      if (!read.ok) throw new Error(JSON.stringify(read.faults))
      const plan = planOne(firstPart(read.value))
      if (plan.kind !== 'worked') return expect(plan.kind).toBe(stood)
      const pieces = plan.cloth.lays.flatMap((l) => l.problem.pieces)
      expect({
        cushions: plan.cushions.count,
        // Boards were not listed then.
        cutLines: plan.cutList.filter((l) => l.material !== 'board').length,
        pieces: pieces.reduce((sum, p) => sum + p.qty, 0),
        clothMm2: pieces.reduce((sum, p) => sum + p.qty * areaOf(p.outline), 0),
      }).toEqual({ ...(stood as object), clothMm2: expect.closeTo((stood as { clothMm2: number }).clothMm2, -1) })
    },
  )
})

it('papers and fits, kept by the number of the cushion, go with the only part; its foam is cut as it was', () => {
  const [{ job }] = kept as [Kept & { readonly job: { making: object; fitting: object; filling: { cutting: object } } }]
  const papers = { '2': { foamBatch: 'F-7', clothBatch: '', certificate: '' } }
  const fit = {
    day: '2026-03-02',
    widthMm: 750,
    depthMm: null,
    thicknessMm: null,
    verdict: 'right',
    wrinkles: '',
    stripesOffMm: null,
  }
  const read = readJob({ ...job, making: { ...job.making, papers }, fitting: { ...job.fitting, fits: { '3': fit } } })
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  expect(read.value.making.papers).toEqual({ A2: papers['2'] })
  expect(read.value.fitting.fits).toEqual({ A3: { ...fit, leftAbove: null } })
  expect(read.value.cutting).toEqual({
    ...job.filling.cutting,
    film: 'none',
    oversizeMm: 0,
    glueFaces: 2,
    glueCoats: 1,
  })
})
