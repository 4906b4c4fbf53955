import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readJob, type Job, type PartJob } from '../../contract/index.ts'
import { DEMO_CLOTHS, demoJobs, keepersBench } from '../demo/index.ts'
import { planJob } from '../plan/index.ts'
import { anyClothChoice } from '../testing/cloths.ts'
import { anyMakeUp } from '../testing/make-ups.ts'
import { anySeat } from '../testing/seats.ts'
import {
  addPart,
  allLieAs,
  jobOf,
  mergeJobs,
  movePart,
  partFrom,
  partJob,
  removePart,
  setCloth,
  setOtherCloth,
  setOwnCloth,
  STARTERS,
  startPart,
  withPart,
} from './index.ts'

const calico = DEMO_CLOTHS.find((c) => c.id === 'house-calico')!
const canvas = DEMO_CLOTHS.find((c) => c.id === 'storm-canvas')!
const set = (): Job => startPart(startPart(keepersBench(), 'A', 'backs'), 'A', 'bolsters')
const isSound = (job: Job): boolean => readJob(JSON.parse(JSON.stringify(job))).ok

describe('a ticket as a part sees it', () => {
  it('what a part changes it sees again, and the others see nothing of it but the cloths', () => {
    const letters = fc.constantFrom('A', 'B', 'C')
    fc.assert(
      fc.property(letters, anySeat, anyMakeUp, anyClothChoice, (letter, seat, makeUp, cloth) => {
        const job = set()
        const changed: PartJob = { ...partJob(job, letter), seat, makeUp, cloth, note: 'seen' }
        const after = withPart(job, letter, changed)
        expect(partJob(after, letter)).toEqual(changed)
        for (const other of ['A', 'B', 'C'].filter((l) => l !== letter)) {
          const [before, now] = [partJob(job, other), partJob(after, other)]
          expect([now.seat, now.makeUp, now.filling, now.allowances]).toEqual([
            before.seat,
            before.makeUp,
            before.filling,
            before.allowances,
          ])
          expect([now.note, now.cloth.cloth]).toEqual(['seen', cloth.cloth])
        }
      }),
      { numRuns: 60 },
    )
  })

  it('nothing changed is the ticket itself, to the letter', () => {
    for (const job of demoJobs())
      for (const { letter } of job.parts) {
        const [read, same] = [job, withPart(job, letter, partJob(job, letter))].map((j) =>
          readJob(JSON.parse(JSON.stringify(j))),
        )
        expect(same!.ok && JSON.stringify(same!.value)).toBe(read!.ok && JSON.stringify(read!.value))
      }
  })

  it('a cloth of its own stays its own; any other is everybody’s', () => {
    const own = setOwnCloth(set(), 'B', 'face', true)
    const changed = withPart(own, 'B', setCloth(calico).apply(partJob(own, 'B')))
    expect(['A', 'B', 'C'].map((l) => partJob(changed, l).cloth.cloth.id)).toEqual([
      'lamp-room-ticking',
      'house-calico',
      'lamp-room-ticking',
    ])
    const all = withPart(changed, 'A', setCloth(canvas).apply(partJob(changed, 'A')))
    expect(['A', 'B', 'C'].map((l) => partJob(all, l).cloth.cloth.id)).toEqual([
      'storm-canvas',
      'house-calico',
      'storm-canvas',
    ])
    // What was matched on the ticking has nothing to match on canvas.
    expect(['A', 'B', 'C'].map((l) => partJob(all, l).cloth.match.kind)).toEqual(['none', 'none', 'none'])
    const again = setOwnCloth(all, 'B', 'face', false)
    expect(partJob(again, 'B').cloth.cloth.id).toBe('storm-canvas')
  })

  it('another face for all leaves the match of a part with its own alone', () => {
    const own = setOwnCloth(set(), 'B', 'face', true)
    const all = withPart(own, 'A', setCloth(canvas).apply(partJob(own, 'A')))
    expect(['A', 'B'].map((l) => partJob(all, l).cloth.match.kind)).toEqual(['none', 'matched'])
  })

  it('the boxing of one part from another cloth, the rest as before', () => {
    const own = setOwnCloth(set(), 'A', 'boxing', true)
    const changed = withPart(own, 'A', setOtherCloth('boxing', calico, '').apply(partJob(own, 'A')))
    expect(partJob(changed, 'A').cloth.others.boxing?.id).toBe('house-calico')
    expect(partJob(changed, 'B').cloth.others.boxing).toBeUndefined()
    expect(isSound(changed)).toBe(true)
  })

  it('all lie as one: direction and match, not the cloths', () => {
    const job = set()
    const turned = withPart(job, 'B', {
      ...partJob(job, 'B'),
      cloth: { ...partJob(job, 'B').cloth, direction: 'railroaded' },
    })
    expect(allLieAs(turned, 'B').parts.map((p) => p.cloth.direction)).toEqual([
      'railroaded',
      'railroaded',
      'railroaded',
    ])
  })
})

describe('parts come and go', () => {
  it.each(STARTERS)('%s can be begun from any demo ticket, and is planned', (as) => {
    for (const job of demoJobs()) {
      const more = startPart(job, job.parts[0]!.letter, as)
      expect(more.parts.length).toBe(job.parts.length + 1)
      expect(isSound(more), job.ticket).toBe(true)
      const plan = planJob(more)
      expect(plan.parts.at(-1)!.warnings.filter((w) => w.level === 'stop')).toEqual([])
    }
  })

  it('backs are as wide as their seats and as many, bolsters as long as the seat is deep', () => {
    const plan = planJob(set())
    const sizes = plan.parts.map(({ cushions }) => {
      const { solid } = cushions!.designs[0]!
      return [cushions!.count, Number(solid.width.value.toFixed(1)), Number(solid.depth.value.toFixed(1))]
    })
    expect(sizes).toEqual([
      [3, 746.7, 468],
      [3, 746.7, 450],
      [2, 468, 180],
    ])
  })

  it('letters stay with their parts; a free one is used again; the seventeenth has none', () => {
    const without = removePart(set(), 'B')
    expect(without.parts.map((p) => p.letter)).toEqual(['A', 'C'])
    expect(startPart(without, 'A', 'copy').parts.map((p) => p.letter)).toEqual(['A', 'C', 'B'])
    expect(movePart(set(), 'C', -2).parts.map((p) => p.letter)).toEqual(['C', 'A', 'B'])
    let full = keepersBench()
    for (let i = 0; i < 20; i++) full = addPart(full, full.parts[0]!, `${i}`)
    expect(full.parts.map((p) => p.letter).join('')).toBe('ABCDEFGHIJKLMNOP')
  })

  it('a part of another ticket brings the cloths that this one has not', () => {
    const backs = demoJobs().find((j) => j.ticket === 'SL-03')!
    const taken = addPart(keepersBench(), partFrom(keepersBench(), partJob(backs, 'B')), 'Backs')
    const own = taken.parts[1]!.cloth.own
    expect([own.face?.id, own.liner?.id]).toEqual(['moss-loop', 'house-calico'])
    expect(taken.cloth).toEqual(keepersBench().cloth)
    expect(isSound(taken)).toBe(true)
    expect(partJob(taken, 'B').filling).toEqual(partJob(backs, 'B').filling)
  })
})

describe('two makers on one set', () => {
  const job = set()
  const widened = (letter: string, widthMm: number): Job => {
    const part = partJob(job, letter)
    const { footprint } = part.seat
    if (footprint.kind !== 'rectangle') throw new Error(footprint.kind)
    const seat = { ...part.seat, footprint: { ...footprint, width: { readings: [{ mm: widthMm }] } } }
    return withPart(job, letter, { ...part, seat })
  }

  it('change a part each: both changes stay', () => {
    const { job: merged, clashes } = mergeJobs(job, widened('A', 2300), widened('B', 720))
    expect(clashes).toEqual([])
    expect(merged).toEqual(withPart(widened('A', 2300), 'B', partJob(widened('B', 720), 'B')))
  })

  it('change the same size: it is asked which, by the part', () => {
    const { clashes } = mergeJobs(job, widened('B', 720), widened('B', 730))
    expect(clashes).toEqual(['parts.B.seat.footprint.width.readings'])
  })

  it('one takes out what the other follows: what is left stands by itself, and can be saved', () => {
    const { job: merged } = mergeJobs(job, removePart(job, 'A'), widened('B', 720))
    expect(merged.parts.map((p) => [p.letter, p.follows])).toEqual([
      ['B', null],
      ['C', null],
    ])
    expect(isSound(merged)).toBe(true)
  })

  it('one takes out what the other has just let something follow: it stands by itself', () => {
    const led = {
      ...job,
      parts: job.parts.map((p) => (p.letter === 'C' ? { ...p, follows: { part: 'B', how: 'alike' as const } } : p)),
    }
    const { job: merged } = mergeJobs(job, removePart(job, 'B'), led)
    expect(merged.parts.map((p) => [p.letter, p.follows])).toEqual([
      ['A', null],
      ['C', null],
    ])
    expect(isSound(merged)).toBe(true)
  })

  it('one adds while the other moves: both are there, each once', () => {
    const { job: merged } = mergeJobs(job, startPart(job, 'A', 'copy'), movePart(job, 'C', -2))
    expect(merged.parts.map((p) => p.letter).toSorted()).toEqual(['A', 'B', 'C', 'D'])
    expect(isSound(merged)).toBe(true)
  })

  it('a single part and a set of the same name are the same document', () => {
    expect(jobOf(partJob(keepersBench(), 'A'))).toEqual(keepersBench())
  })
})
