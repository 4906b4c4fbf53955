import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { DEMO_GRADES, keepersBench, keepersBenchPart } from '../core/demo/index.ts'
import { jobOf } from '../core/job/index.ts'
import { USUAL_WORKSHOP } from '../core/defaults/index.ts'
import {
  JOB_VERSION,
  AllowanceBook,
  Cloth,
  Grade,
  jsonPath,
  type Job,
  LayProblem,
  type Part,
  readJob,
  readWith,
  SaveJob,
  ShopSettings,
} from './index.ts'

/** As the files of older versions were written. */
const mediumBench = () => jobOf(keepersBenchPart('Gannet 30/140'))
const job = (change: (j: Job) => unknown) => readJob(JSON.parse(JSON.stringify(change(keepersBench()))))
/** A change of the only part. */
const inPart = (change: (p: Part) => unknown) => (j: Job) => ({ ...j, parts: [change(j.parts[0]!)] })
const firstFault = (change: (j: Job) => unknown) => {
  const read = job(change)
  return read.ok ? 'sound' : `${read.faults[0]!.path} ${read.faults[0]!.message}`
}

describe('jsonPath', () => {
  it.each<[PropertyKey[], string]>([
    [[], '$'],
    [['pieces', 3, 'outline'], '$.pieces[3].outline'],
    [['groups', 'left run'], '$.groups["left run"]'],
    [['groups', 'a"b'], '$.groups["a\\"b"]'],
  ])('%j', (path, text) => expect(jsonPath(path)).toBe(text))
})

describe('a job document', () => {
  it('survives being written and read', () => {
    const read = job((j) => j)
    expect(read.ok && read.value).toEqual(keepersBench())
  })

  it.each<[string, (j: Job) => unknown, RegExp]>([
    ['null', () => null, /^\$ is not a job file/],
    ['a list', (j) => [j], /^\$ is not a job file/],
    ['no format', ({ format: _, ...j }) => j, /^\$\.format/],
    ['no seat', inPart(({ seat: _, ...p }) => p), /^\$\.parts\[0\]\.seat/],
    [
      'an unknown make-up',
      inPart((p) => ({ ...p, makeUp: { ...p.makeUp, construction: { kind: 'inflated' } } })),
      /^\$\.parts\[0\]\.makeUp\.construction\.kind/,
    ],
    [
      'an unknown school',
      inPart((p) => ({ ...p, filling: { ...p.filling, school: { kind: 'guess' } } })),
      /^\$\.parts\[0\]\.filling\.school\.kind/,
    ],
    [
      'a cord of 60 mm',
      inPart((p) => ({ ...p, makeUp: { ...p.makeUp, piping: { ...p.makeUp.piping, cordMm: 60 } } })),
      /^\$\.parts\[0\]\.makeUp\.piping\.cordMm/,
    ],
    [
      'a gap of 2 m',
      inPart((p) => ({ ...p, seat: { ...p.seat, division: { ...p.seat.division, gapMm: 2000 } } })),
      /^\$\.parts\[0\]\.seat\.division\.gapMm is more than 1 m/,
    ],
    [
      'a squeeze of 2 m',
      inPart((p) => ({ ...p, seat: { ...p.seat, division: { ...p.seat.division, gapMm: -2000 } } })),
      /^\$\.parts\[0\]\.seat\.division\.gapMm is squeezed by more than 100 mm/,
    ],
    [
      'a colour that is none',
      (j) => ({ ...j, cloth: { ...j.cloth, cloth: { ...j.cloth.cloth, ground: 'red' } } }),
      /^\$\.cloth\.cloth\.ground must be a colour/,
    ],
    [
      'a negative allowance',
      inPart((p) => ({ ...p, allowances: { ...p.allowances, overrides: { seamMm: -1 } } })),
      /^\$\.parts\[0\]\.allowances\.overrides\.seamMm cannot be negative/,
    ],
    [
      'an unknown allowance',
      inPart((p) => ({ ...p, allowances: { ...p.allowances, overrides: { luck: 1 } } })),
      /^\$\.parts\[0\]\.allowances\.overrides\.luck unknown key/,
    ],
    [
      'a reading on the 31st of February',
      inPart((p) => ({ ...p, seat: { ...p.seat, thickness: { readings: [{ mm: 468, on: '2026-02-31' }] } } })),
      /^\$\.parts\[0\]\.seat\.thickness\.readings\[0\]\.on/,
    ],
    [
      '200 rows of sizes',
      inPart((p) => ({
        ...p,
        seat: {
          ...p.seat,
          division: { kind: 'rows', rows: Array.from({ length: 200 }, () => ({ count: 1, readings: {} })) },
        },
      })),
      /^\$\.parts\[0\]\.seat\.division\.rows more than 60 rows of sizes: begin another part/,
    ],
    ['half a surrogate', (j) => ({ ...j, title: 'bench \ud800' }), /^\$\.title contains characters/],
    ['an empty title', (j) => ({ ...j, title: '' }), /^\$\.title cannot be empty/],
  ])('with %s is refused', (_name, change, says) => expect(firstFault(change)).toMatch(says))

  it('of version 1 is brought to the present one: nothing measured is lost', () => {
    const old = JSON.parse(readFileSync(new URL('./testing/job-version-1.json', import.meta.url), 'utf8'))
    const read = readJob(old)
    expect(read.ok && read.value).toEqual(mediumBench())
    const walled = { ...old, seat: { ...old.seat, roles: { ...old.seat.roles, left: 'wall' }, front: 'far' } }
    const again = readJob(walled)
    expect(again.ok && again.value.parts[0]!.seat).toMatchObject({
      front: 'far',
      edges: { left: { meets: 'wall', lean: null, riseMm: 0 } },
    })
  })

  it('of version 3 is brought to the present one: its make-up, piping and cloth are as they were', () => {
    const old = JSON.parse(readFileSync(new URL('./testing/job-version-3.json', import.meta.url), 'utf8'))
    const read = readJob(old)
    expect(read.ok && read.value).toEqual(mediumBench())
    const bare = readJob({
      ...old,
      makeUp: { kind: 'boxed', boxing: 'wrap', piping: { rows: 'none' } },
      allowances: { ...old.allowances, overrides: { seamMm: 15 } },
    })
    expect(bare.ok && bare.value.parts[0]!.makeUp).toMatchObject({
      construction: { kind: 'boxed', boxing: 'wrap' },
      piping: { kind: 'none' },
      closure: { kind: 'zip-gusset', side: 'back' },
    })
    expect(bare.ok && bare.value.parts[0]!.allowances.overrides).toEqual({ seamMm: 15 })
    expect(readJob({ ...old, makeUp: { ...old.makeUp, boxing: 'sideways' } })).toMatchObject({
      ok: false,
      faults: [{ path: '$.parts[0].makeUp.construction.boxing' }],
    })
  })

  it("of version 4 is brought to the present one: stripes ran along the roll, cloth was bought, lays were the planner's", () => {
    const old = JSON.parse(readFileSync(new URL('./testing/job-version-4.json', import.meta.url), 'utf8'))
    const read = readJob(old)
    expect(read.ok && read.value).toEqual(mediumBench())
    const lay = {
      format: 'loft-seam/lay',
      version: 1,
      length: 10,
      bound: 5,
      seed: 1,
      seconds: 1,
      placements: [],
      offsets: {},
    }
    const kept = readJob({
      ...old,
      lays: { 'lamp-room-ticking': { problemKey: 'k', lay } },
      cloth: { ...old.cloth, others: { liner: old.cloth.cloth } },
    })
    expect(kept.ok && kept.value.lays).toEqual({
      'lamp-room-ticking': { problemKey: 'k', lay, byHand: false, locked: [], joint: null },
    })
    expect(kept.ok && kept.value.cloth.others.liner).toMatchObject({
      pattern: { runs: 'along' },
      supply: { kind: 'to-buy' },
      flaws: [],
    })
    const bad = readJob({ ...old, cloth: 7 })
    expect(!bad.ok && bad.faults[0]!.path).toBe('$.parts[0].cloth')
  })

  it('of version 7: a flat sitter is round now, and what he had of his own stands in the note', () => {
    const read = readJob(
      JSON.parse(readFileSync(new URL('./testing/job-version-7.json', import.meta.url), 'utf8')) as unknown,
    )
    if (!read.ok) throw new Error(JSON.stringify(read.faults))
    const [seats] = read.value.parts
    // A disc of 0.2 m² reaches sqrt(0.2 / pi) = 0.2523 m from its middle.
    expect(seats!.filling.load.own).toEqual({ massShare: 0.7, slam: 1.2, reachMm: 252 })
    expect(read.value.note).toBe('Ring first.\nOwn load figures of an older release, Seats: peak over mean 1.9.')
  })

  it('of version 8: the old foam is a body of what is there, film is drawn out again, every part is made whole', () => {
    const read = readJob(
      JSON.parse(readFileSync(new URL('./testing/job-version-8.json', import.meta.url), 'utf8')) as unknown,
    )
    if (!read.ok) throw new Error(JSON.stringify(read.faults))
    const [seats, ...others] = read.value.parts
    expect(read.value.cutting).toMatchObject({ film: 'taken-out', oversizeMm: 0, glueFaces: 2, glueCoats: 1 })
    expect(seats!.there.bodies).toMatchObject([
      { found: { thicknessMm: 82 }, recovered: { thicknessMm: 93 }, newMm: 100, smells: true, use: 'replace' },
    ])
    expect(others.every((p) => p.there.bodies.length === 0 && p.work.kind === 'cover-and-filling')).toBe(true)
    expect(seats!.filling).toMatchObject({ trials: [] })
  })

  it('of version 11: all of it stays as it was', () => {
    const old = JSON.parse(readFileSync(new URL('./testing/job-version-11.json', import.meta.url), 'utf8')) as object
    const read = readJob(old)
    if (!read.ok) throw new Error(JSON.stringify(read.faults))
    const now = readJob({ ...old, version: 12 })
    expect(now.ok && now.value).toEqual(read.value)
    expect(read.value).toMatchObject({ version: JOB_VERSION, ticket: 'SL-02', title: "Keepers' bench" })
    expect(read.value.parts[0]!.seat.footprint).toMatchObject({ kind: 'rectangle' })
  })

  it('of version 12: piping that was joined twice more is, in strips of one length', () => {
    const read = readJob(
      JSON.parse(readFileSync(new URL('./testing/job-version-12.json', import.meta.url), 'utf8')) as unknown,
    )
    if (!read.ok) throw new Error(JSON.stringify(read.faults))
    expect(read.value.parts.map((p) => p.cloth.strips)).toEqual([{ kind: 'even', moreJoins: 2 }])
    expect(read.value.parts[0]!.cloth).not.toHaveProperty('stripJoins')
  })

  it('of version 9: no panel is joined', () => {
    const read = readJob(
      JSON.parse(readFileSync(new URL('./testing/job-version-9.json', import.meta.url), 'utf8')) as unknown,
    )
    if (!read.ok) throw new Error(JSON.stringify(read.faults))
    expect(read.value.parts.map((p) => p.makeUp.joins)).toEqual(read.value.parts.map(() => []))
  })

  it('of version 1 with a fault is refused by the name of the fault', () => {
    const old = JSON.parse(readFileSync(new URL('./testing/job-version-1.json', import.meta.url), 'utf8'))
    const read = readJob({ ...old, seat: { ...old.seat, depth: { readings: [] } } })
    expect(!read.ok && read.faults[0]!.path).toBe('$.parts[0].seat.footprint.depth.readings')
    expect(readJob({ ...old, seat: { ...old.seat, springs: 3 } })).toMatchObject({
      ok: false,
      faults: [{ path: '$.parts[0].seat.springs' }],
    })
  })
})

describe('what a lay problem may leave out', () => {
  it('is filled in', () => {
    const read = readWith(LayProblem, {
      format: 'loft-seam/lay-problem',
      version: 1,
      cloth: { width: 900 },
      pieces: [
        {
          id: 'a',
          outline: [
            [0, 0],
            [1, 0],
            [0, 1],
          ],
        },
      ],
    })
    expect(read.ok && read.value).toMatchObject({
      gap: 0,
      groups: {},
      cloth: { length: null, selvedge: [0, 0], repeat: { across: null, along: null }, flaws: [] },
      pieces: [{ qty: 1, turns: [0], flip: false, match: null }],
    })
  })

  it('a match of null and a phase of null are no demand', () => {
    const piece = {
      id: 'a',
      outline: [
        [0, 0],
        [1, 0],
        [0, 1],
      ],
      match: { group: 'g', anchor: [0, 0], across: null },
    }
    const read = readWith(LayProblem, {
      format: 'loft-seam/lay-problem',
      version: 1,
      cloth: { width: 900 },
      pieces: [piece, { ...piece, id: 'b', match: null }],
    })
    expect(read.ok && read.value.pieces.map((p) => p.match)).toEqual([
      { group: 'g', anchor: [0, 0], across: null, along: null },
      null,
    ])
  })
})

describe('the shop', () => {
  it.each([
    ['a grade', Grade, { ...DEMO_GRADES[1]!, densityKgM3: 0 }],
    ['a grade', Grade, { ...DEMO_GRADES[1]!, thicknessesMm: [] }],
    ['a cloth', Cloth, { ...keepersBench().cloth.cloth, widthMm: 9000 }],
    ['a cloth', Cloth, { ...keepersBench().cloth.cloth, pattern: { kind: 'stripes', startMm: 0, bands: [] } }],
    ['a book', AllowanceBook, { ...keepersBench().book, notchMm: 7 }],
    [
      'settings',
      ShopSettings,
      {
        shopName: 'x',
        currency: 'crowns',
        units: 'mm',
        book: keepersBench().book,
        address: '',
        taxNumber: '',
        locale: '',
        paper: 'A4',
        schools: [],
        workshop: USUAL_WORKSHOP,
      },
    ],
    ['a save', SaveJob, { job: {}, baseRevision: 0 }],
  ] as const)('%s that cannot be is refused', (_name, schema, document) =>
    expect(readWith(schema as never, document).ok).toBe(false),
  )
})
