import { mediumBenchPart } from '../testing/jobs.ts'
import { jobOf } from '../job/index.ts'
import { describe, expect, it } from 'vitest'
import { JOB_LIMITS, readJob, type PartJob } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES } from '../demo/index.ts'
import { slotOf } from '../seat/index.ts'
import type { LengthUnit } from '../units/index.ts'
import { GRAMMAR, readTyped, typingWords } from './index.ts'

const context = (units: LengthUnit = 'mm', job: PartJob | null = { ...mediumBenchPart(), units }) => ({
  job,
  units,
  grades: DEMO_GRADES,
  cloths: DEMO_CLOTHS,
  limits: JOB_LIMITS,
})
const edited = (line: string, units: LengthUnit = 'mm'): PartJob => {
  const typed = readTyped(line, context(units))
  if (!typed.ok || typed.value.kind !== 'edit')
    throw new Error(`${line}: ${typed.ok ? 'a seat' : typingWords(typed.error)}`)
  return typed.value.edit.apply({ ...mediumBenchPart(), units })
}
const read = (job: PartJob, slot: string) => slotOf(job.seat, slot)!.dimension.readings
const refused = (line: string, job: PartJob | null = mediumBenchPart()) => {
  const typed = readTyped(line, context('mm', job))
  return typed.ok ? 'understood' : typed.error.code
}

describe('a seat typed in one line', () => {
  it('bench 2236 x 468 x 75 in 3', () => {
    const typed = readTyped('bench 2236 x 468 x 75 in 3', context('mm', null))
    expect(typed.ok && typed.value).toMatchObject({
      kind: 'seat',
      also: [],
      says: 'Bench 2236 mm x 468 mm x 75 mm net, in 3',
      seat: {
        division: { kind: 'run', count: 3 },
        footprint: { kind: 'rectangle', width: { readings: [{ mm: 2236 }] } },
      },
    })
  })

  it('bench 88 x 18 1/2 x 3 in 3, in inches', () => {
    const typed = readTyped('bench 88 x 18 1/2 x 3 in 3', context('inch-8', null))
    expect(typed.ok && typed.value).toMatchObject({ says: 'Bench 88 in x 18 1/2 in x 3 in net, in 3' })
    expect(
      typed.ok && typed.value.kind === 'seat' && slotOf(typed.value.seat, 'depth')!.dimension.readings[0]!.mm,
    ).toBeCloseTo(469.9, 6)
  })

  it.each(['bench 88 x 18 1/2 x 3 in 3', 'bench 88 x 18.5 x 3 in in 3', 'bench 88 x 18 1/2 x 3" in 3'])(
    '%s is in inches in a metric shop too',
    (line) => {
      const typed = readTyped(line, context('mm', null))
      expect(typed.ok && typed.value).toMatchObject({
        kind: 'seat',
        also: [],
        units: 'inch-8',
        says: 'Bench 88 in x 18 1/2 in x 3 in net, in 3',
        seat: { division: { count: 3 } },
      })
    },
  )

  it('mixed units and single cushions', () => {
    const typed = readTyped(`seat 61 cm × 21 1/2" × 110 times 4`, context('mm', null))
    expect(typed.ok && typed.value).toMatchObject({
      seat: { division: { kind: 'singles', count: 4 }, footprint: { width: { readings: [{ mm: 610 }] } } },
    })
  })
})

describe('every shape typed in one line', () => {
  const shape = (line: string) => {
    const typed = readTyped(line, context('mm', null))
    if (!typed.ok) throw new Error(typingWords(typed.error))
    if (typed.value.kind !== 'seat') throw new Error('an edit')
    return typed.value
  }
  it.each<[string, object]>([
    [
      'taper 1124 x 860 x 402 x 60 left -20 times 2',
      { footprint: { kind: 'taper', offset: { kind: 'left', mm: -20 } }, division: { kind: 'singles', count: 2 } },
    ],
    [
      'taper 2400 x 1500 x 450 x 80 left 400 in 3',
      {
        footprint: { kind: 'taper', offset: { kind: 'left', mm: 400 } },
        division: { kind: 'run', count: 3, gapMm: 0, cuts: 'straight' },
      },
    ],
    ['taper 1124 x 860 x 402 x 60', { footprint: { offset: { kind: 'centred' } } }],
    [
      'tseat 610 x 545 x 110 ears 62 x 148 times 4',
      {
        footprint: {
          kind: 'eared',
          left: { out: { readings: [{ mm: 62 }] } },
          right: { deep: { readings: [{ mm: 148 }] } },
        },
        division: { count: 4 },
      },
    ],
    ['lseat 610 x 545 x 110 right 62 x 148', { footprint: { kind: 'eared', left: null } }],
    [
      'corner 2400 x 1800 x 500 x 90 in 3 and 2 mitre',
      { footprint: { kind: 'corner-bench' }, division: { kind: 'corner', countA: 3, countB: 2, corner: 'mitre' } },
    ],
    [
      'ring 1870 x 520 x 90 wall 3640 in 5',
      { footprint: { kind: 'ring', at: 'inner', extent: { by: 'length' } }, division: { count: 5, cuts: 'radial' } },
    ],
    [
      'ring outer chord 3000 x 620 x 520 x 90 straight in 4',
      {
        footprint: { at: 'outer', curve: { by: 'chord' }, extent: { by: 'chord' } },
        division: { count: 4, cuts: 'straight' },
      },
    ],
    [
      'ring 1870 x 520 x 90 angle 120',
      { footprint: { extent: { by: 'angle', degrees: 120 } }, division: { count: 1 } },
    ],
    [
      'berth 1860 x 640 x 215 x 100 hull 24 at 600 610, 1200 450 smooth pair',
      {
        footprint: {
          kind: 'berth',
          hull: 'smooth',
          stations: [{ at: { readings: [{ mm: 600 }] } }, { width: { readings: [{ mm: 450 }] } }],
        },
        edges: { hull: { meets: 'hull', lean: { by: 'angle', degrees: 24 } } },
        division: { mirrored: 1 },
        clearanceMm: 6,
      },
    ],
    [
      'taped AB 900, BC 600, CD 500, DA 700, AC 1000, A-CD 800 thick 80 hollow C',
      { footprint: { kind: 'taped', corners: 4, hollow: ['C'], tapes: { 5: { from: 'A', to: 'CD' } } } },
    ],
    [
      'points 0 0, 600 -20, 600 500, 0 500 thick 80',
      { footprint: { kind: 'points', points: [{ x: 0 }, { y: -20 }, {}, {}] } },
    ],
  ])('%s', (line, expected) => {
    const { seat } = shape(line)
    expect(seat).toMatchObject(expected)
    expect(readJob(JSON.parse(JSON.stringify(jobOf({ ...mediumBenchPart(), seat })))).ok).toBe(true)
  })

  it('in inches, with fractions, in a metric shop', () => {
    expect(shape('tseat 24 x 21 1/2 x 4 3/8 ears 2 1/2 x 5 7/8 times 4')).toMatchObject({
      units: 'inch-8',
      says: '4 of 24 in x 21 1/2 in x 4 3/8 in, ears 2 1/2 in x 5 7/8 in net',
    })
  })
})

describe('changes of the open job', () => {
  it.each<[string, LengthUnit, (job: PartJob) => unknown, unknown]>([
    ['depth 470 469', 'mm', (j) => read(j, 'depth').map((r) => r.mm), [470, 469]],
    ['depth 18 1/2 18 5/8', 'inch-8', (j) => read(j, 'depth').map((r) => Number(r.mm.toFixed(2))), [469.9, 473.07]],
    ['length 223,6 cm', 'mm', (j) => read(j, 'width')[0]!.mm, 2236],
    ['thickness 3 in', 'mm', (j) => Number(j.seat.thickness.readings[0]!.mm.toFixed(3)), 76.2],
    ['squeeze 2', 'mm', (j) => j.seat.division, { kind: 'run', count: 3, gapMm: -2, cuts: 'straight' }],
    ['gap −3', 'mm', (j) => j.seat.division.kind === 'run' && j.seat.division.gapMm, -3],
    ['in 4', 'mm', (j) => j.seat.division.kind === 'run' && j.seat.division.count, 4],
    ['sa 15', 'mm', (j) => j.allowances.overrides.seamMm, 15],
    ['sa 1/2', 'inch-8', (j) => j.allowances.overrides.seamMm, 12.7],
    ['pipe none', 'mm', (j) => j.makeUp.piping.kind, 'none'],
    [
      'pipe top cord 6 bias',
      'mm',
      (j) => j.makeUp.piping,
      {
        kind: 'corded',
        rows: 'top',
        sides: ['front', 'right', 'back', 'left'],
        cordMm: 6,
        clothMm: 0,
        stripMm: null,
        cut: 'bias',
      },
    ],
    [
      'top eider 25',
      'mm',
      (j) => (j.filling.kind === 'foam' ? j.filling.layers.map((l) => [l.grade.name, l.thicknessMm]) : null),
      [
        ['Gannet 30/140', null],
        ['Eider 50/60', 25],
      ],
    ],
    [
      'top eider 1 1/2',
      'inch-8',
      (j) => (j.filling.kind === 'foam' ? j.filling.layers[1]!.thicknessMm?.toFixed(1) : null),
      '38.1',
    ],
    ['use lounge', 'mm', (j) => j.filling.load.use, 'lounge'],
    ['lives wet', 'mm', (j) => j.filling.load.exposure, 'wet'],
    ['on webbing', 'mm', (j) => j.filling.load.base, 'webbing'],
    ['sitters 100 to 45', 'mm', (j) => [j.filling.load.lightestKg, j.filling.load.heaviestKg], [45, 100]],
    ['sitters 110 lb to 220 lb', 'mm', (j) => [j.filling.load.lightestKg, j.filling.load.heaviestKg], [49.895, 99.79]],
    ['sitters 110 to 220', 'inch-8', (j) => [j.filling.load.lightestKg, j.filling.load.heaviestKg], [49.895, 99.79]],
    ['sitters 50 kg', 'inch-16', (j) => [j.filling.load.lightestKg, j.filling.load.heaviestKg], [50, 50]],
    ['board 9', 'mm', (j) => j.filling.boardMm.now, 9],
    ['school snug cover', 'mm', (j) => (j.filling.kind === 'foam' ? j.filling.school.kind : null), 'snug-cover'],
    ['wadding 20', 'mm', (j) => (j.filling.kind === 'foam' ? j.filling.wadding?.loftMm : null), 20],
    ['wadding none', 'mm', (j) => (j.filling.kind === 'foam' ? j.filling.wadding : 0), null],
    ['fibre', 'mm', (j) => j.filling.kind, 'loose-fibre'],
    ['order cover', 'mm', (j) => j.work.kind, 'cover-only'],
    ['order filling', 'mm', (j) => j.work.kind, 'filling-only'],
    ['order both', 'mm', (j) => j.work.kind, 'cover-and-filling'],
    [
      'foam gannet 36',
      'mm',
      (j) => (j.filling.kind === 'foam' ? j.filling.layers[0]!.grade.name : ''),
      'Gannet 36/180',
    ],
    ['cloth storm', 'mm', (j) => [j.cloth.cloth.name, j.cloth.match.kind], ['Storm canvas', 'none']],
    ['railroad', 'mm', (j) => j.cloth.direction, 'railroaded'],
    [
      'cut 330 x 210 far right',
      'mm',
      (j) => j.seat.corners,
      { 'far right': { kind: 'cut', arrivingMm: 330, leavingMm: 210 } },
    ],
    ['round 60', 'mm', (j) => Object.keys(j.seat.corners).length, 4],
    ['round 2 1/2 near left', 'inch-8', (j) => j.seat.corners['near left'], { kind: 'round', radiusMm: 63.5 }],
    ['bow 40 front', 'mm', (j) => j.seat.edges['near'], { meets: 'open', lean: null, riseMm: 40 }],
    ['lean 24° left', 'mm', (j) => j.seat.edges['left']!.lean, { by: 'angle', degrees: 24 }],
    ['overhang 40 far', 'mm', (j) => j.seat.edges['far']!.lean, { by: 'overhang', mm: 40 }],
    ['wall back', 'mm', (j) => j.seat.edges['far']!.meets, 'wall'],
    ['front right', 'mm', (j) => j.seat.front, 'right'],
    ['mirror', 'mm', (j) => j.seat.mirrored, true],
    ['turn -15', 'mm', (j) => j.seat.turnDeg, -15],
    ['times 1 and 1 mirrored', 'mm', (j) => j.seat.division, { kind: 'singles', count: 1, mirrored: 1 }],
    ['clearance 6', 'mm', (j) => j.seat.clearanceMm, 6],
    ['units in16', 'mm', (j) => j.units, 'inch-16'],
  ])('%s (in %s)', (line, units, found, expected) => {
    const job = edited(line, units)
    expect(found(job)).toEqual(expected)
    expect(readJob(JSON.parse(JSON.stringify(jobOf(job)))).ok).toBe(true)
  })
})

describe('what is not understood', () => {
  it.each([
    ['', 'empty'],
    ['sofa 3', 'unknown-word'],
    ['bench 2236 x 468 in 3', 'sizes'],
    ['bench 0 x 468 x 75', 'length'],
    ['bench -5 x 468 x 75', 'length'],
    ['bench 1/0 x 468 x 75', 'length'],
    ['bench 25000 x 468 x 75', 'length'],
    ['bench NaN x 468 x 75', 'length'],
    ['bench 2236 x 468 x 75 in 0', 'count'],
    ['bench 2236 x 468 x 75 in 200', 'count'],
    ['bench 2236 x 468 x 75 in lots', 'count'],
    ['taper 1124 x 860 x 402', 'sizes'],
    ['tseat 610 x 545 x 110', 'pattern'],
    ['ring 1870 x 520 x 90', 'pattern'],
    ['ring 1870 x 520 x 90 angle 400', 'angle'],
    ['berth 1860 x 640 x 215 x 100 hull 95', 'angle'],
    ['taped AB 1860, BC thick 100', 'pattern'],
    ['taped AB 1860, BC 640, CA 900', 'pattern'],
    ['points 0 0, 600 0 thick 80', 'pattern'],
    ['lean 24 roof', 'which'],
    ['round 60 middle', 'which'],
    ['radius 500', 'unknown-word'],
    ['front', 'which'],
    ['turn north', 'angle'],
    ['clearance -1', 'length'],
    ['constructor 3', 'unknown-word'],
    ['sa -3', 'length'],
    ['sa 900', 'length'],
    ['pipe sideways', 'choice'],
    ['foam', 'which'],
    ['foam heron', 'which'],
    ["cloth '; drop table cloths", 'which'],
    ['units furlongs', 'choice'],
    ['use sofa', 'choice'],
    ['order', 'choice'],
    ['order foam', 'choice'],
    ['use b', 'choice'],
    ['lives', 'choice'],
    ['sitters 5', 'pattern'],
    ['sitters 40 to 400', 'pattern'],
    ['sitters nobody', 'pattern'],
    ['top 25', 'which'],
    ['top eider thick', 'length'],
    ['wadding 900', 'length'],
    ['board -3', 'length'],
    ['cot', 'infant'],
  ])('%s', (line, code) => expect(refused(line)).toBe(code))

  it('words of foam mean nothing on loose fibre', () => {
    const fibre = edited('fibre')
    for (const line of ['top eider 25', 'school snug', 'wadding 20']) expect(refused(line, fibre)).toBe('pattern')
  })

  it('changes want an open job', () => expect(refused('sa 12', null)).toBe('wants-job'))

  it('is told in words with a cure', () => {
    const typed = readTyped('bench 1/0 x 468 x 75', context())
    expect(!typed.ok && typingWords(typed.error)).toBe('The length "1/0" divides by nought. Check the fraction.')
  })
})

it('every example of the help is understood', () => {
  for (const { example } of GRAMMAR) expect(readTyped(example, context()).ok, example).toBe(true)
})

describe('the echo of a corner', () => {
  const echo = (line: string, units: LengthUnit) => {
    const typed = readTyped(line, context(units))
    return typed.ok && typed.value.kind === 'edit' ? typed.value.edit.says : ''
  }
  it.each<[string, LengthUnit, string]>([
    ['round 50', 'mm', 'All corners: rounded 50 mm'],
    ['round 2', 'inch-8', 'All corners: rounded 2 in'],
    ['cut 210 x 330 far right', 'mm', 'Corner far right: cut off 210 x 330 mm'],
  ])('%s (%s) is said back as: %s', (line, units, says) => expect(echo(line, units)).toBe(says))
})
