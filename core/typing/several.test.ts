import { describe, expect, it } from 'vitest'
import { JOB_LIMITS, type PartJob } from '../../contract/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES, keepersBenchPart } from '../demo/index.ts'
import { valueOf } from '../seat/index.ts'
import { readTyped, typingWords, withTypedSeat, type Typed } from './index.ts'

const context = (job: PartJob | null) => ({
  job,
  units: 'mm' as const,
  grades: DEMO_GRADES,
  cloths: DEMO_CLOTHS,
  limits: JOB_LIMITS,
  today: '2026-11-29',
})

function typed(line: string, job: PartJob | null): Typed {
  const read = readTyped(line, context(job))
  if (!read.ok) throw new Error(`${line}: ${JSON.stringify(read.error)}`)
  if (read.value.kind === 'ask') throw new Error(`${line}: asks ${read.value.says}`)
  return read.value
}

/** What a line on the shelf makes, in few words: shape or make-up, sizes in mm, count. */
function made(line: string): string {
  const said = typed(line, null)
  if (said.kind !== 'seat') return said.kind
  const { seat, makeUp } = withTypedSeat(keepersBenchPart(), said)
  const { footprint, division, thickness } = seat
  const own = makeUp.construction.kind === 'boxed' ? '' : `${makeUp.construction.kind} `
  const count = 'count' in division ? division.count : 0
  const sizes =
    footprint.kind === 'rectangle'
      ? [footprint.width, footprint.depth]
      : footprint.kind === 'taper'
        ? [footprint.near, footprint.far, footprint.depth]
        : []
  const in_ = division.kind === 'run' ? 'in' : 'times'
  const words = [...sizes, thickness].map((d) => Number(valueOf(d).toFixed(1))).join(' x ')
  return `${own}${footprint.kind === 'rectangle' ? '' : `${footprint.kind} `}${words} ${in_} ${count}`
}

/** Sizes worked by hand: an inch is 25.4 mm. */
const SEATS: readonly (readonly [line: string, makes: string])[] = [
  ['3 cushions 1800 x 500 x 100 bench each', '1800 x 500 x 100 times 3'],
  ['taper 1500 x 2400 x 450 x 80 in 3, piped', 'taper 1500 x 2400 x 450 x 80 in 3'],
  [
    'bay window seat, three cushions, 2400 along the back, 1500 along the front, 450 deep, 80 thick',
    'taper 1500 x 2400 x 450 x 80 in 3',
  ],
  ['bay window seat 2400 x 1500 x 450 x 80', 'taper 2400 x 1500 x 450 x 80 in 1'],
  [`cockpit cushion 6'2" x 18" x 4"`, '1879.6 x 457.2 x 101.6 times 1'],
  ['3 off 550 x 540 x 100', '550 x 540 x 100 times 3'],
  ['6 square seat pads 400mm, 40mm thick', '400 x 400 x 40 times 6'],
  ['4 square cushions 18 in, 3 in thick', '457.2 x 457.2 x 76.2 times 4'],
  ['3 square cushions 450 x 450 x 60', '450 x 450 x 60 times 3'],
  ['24 inch square, 4 inch thick', '609.6 x 609.6 x 101.6 times 1'],
  ['replace the foam in 2 seats 600 x 600 x 100', '600 x 600 x 100 times 2'],
  ['chair pad 17 front 14 back 16 deep 2 thick inches', 'taper 431.8 x 355.6 x 406.4 x 50.8 times 1'],
  ['seat pads: 4 @ 400 x 410 x 50', '400 x 410 x 50 times 4'],
  ['4 pcs 400 x 410 x 50, piped', '400 x 410 x 50 times 4'],
  ['3 off 550 x 540 x 100, covers only', '550 x 540 x 100 times 3'],
  ['a pair of boat cushions 1800x600x100', '1800 x 600 x 100 times 2'],
  ['600 x 500 x 80, back left corner cut off 100 x 110', '600 x 500 x 80 times 1'],
  ['window seat taper 2400 to 1500 x 450 x 80 in 3, piped', 'taper 2400 x 1500 x 450 x 80 in 3'],
  ['tapered bench, front 1500, back 1200, 450 deep, 80 thick in 2', 'taper 1500 x 1200 x 450 x 80 in 2'],
  ['two seat cushions 24 x 24 x 5 in with zips', '609.6 x 609.6 x 127 times 2'],
  ['boat settee 6ft x 2ft x 4in', '1828.8 x 609.6 x 101.6 times 1'],
  ['bench 4 foot by 18 inches by 3 inches', '1219.2 x 457.2 x 76.2 in 1'],
  ['camper bed 72 x 48 x 4 in, in two pieces', '1828.8 x 1219.2 x 101.6 in 2'],
  ['bar stool round 14 in, 2 in thick x4', 'disc 50.8 times 4'],
  ['L-shaped banquette 2400 by 1800, 500 deep, 100 thick', 'corner-bench 100 times 0'],
  ['trapezoid 600 front 500 back 450 deep 80 thick', 'taper 600 x 500 x 450 x 80 times 1'],
  ['tapered cushion 600 to 500, 450 deep, 80 thick', 'taper 600 x 500 x 450 x 80 times 1'],
  ['2 tapered cushions 20 x 16 x 18 x 3 in, ties', 'taper 508 x 406.4 x 457.2 x 76.2 times 2'],
  ['1800 x 500 x 100 bench in 3', '1800 x 500 x 100 in 3'],
  ['1800 x 500 x 100 window seat divided into 2', '1800 x 500 x 100 in 2'],
  ['600 x 500 x 80 dining chairs, 6 of them', '600 x 500 x 80 times 6'],
  ['6 off 600 x 500 x 80', '600 x 500 x 80 times 6'],
  ['quantity 4, 450 x 430 x 60', '450 x 430 x 60 times 4'],
  ['4 chairs, 100 thick, 500 deep, 600 wide', '600 x 500 x 100 times 4'],
  ['thickness 100, width 600, depth 500', '600 x 500 x 100 times 1'],
  ['600 long 500 wide 80 deep', '600 x 500 x 80 times 1'],
  ['1800 x 500, 100 thick, bench', '1800 x 500 x 100 in 1'],
  ['2 cushions 24 in square, 4 in thick', '609.6 x 609.6 x 101.6 times 2'],
  ['a pair of cushions 500 x 400 x 50', '500 x 400 x 50 times 2'],
  ['a dozen kneelers 305 x 228 x 70', '305 x 228 x 70 times 12'],
  ['bolster 900 x 180', 'bolster 900 x 180 x 180 times 1'],
  ['bolster 180 x 900', 'bolster 900 x 180 x 180 times 1'],
  ['bolster 8 in diameter 36 in long', 'bolster 914.4 x 203.2 x 203.2 times 1'],
  ['2 bolsters 900 long, 180 across', 'bolster 900 x 180 x 180 times 2'],
  ['cube 450', 'cube 450 x 450 x 450 times 1'],
  ['cube 18 in', 'cube 457.2 x 457.2 x 457.2 times 1'],
  ['2 cubes 400 x 400 x 420', 'cube 400 x 400 x 420 times 2'],
  ['pouffe 500 square 350 high', 'cube 500 x 500 x 350 times 1'],
  ['3 round cushions, 400 across, 50 thick', 'disc 50 times 3'],
  ['50 thick round stool 350 diameter', 'disc 50 times 1'],
  ['piped bench 1800x500x100 in 3', '1800 x 500 x 100 in 3'],
  ['box cushion 24 x 24 x 4 in with zip', '609.6 x 609.6 x 101.6 times 1'],
  ['2 @ 600 x 500 x 80', '600 x 500 x 80 times 2'],
  ['600 x 500 x 80 (4)', '600 x 500 x 80 times 4'],
  ['4x 600 x 500 x 80', '600 x 500 x 80 times 4'],
  ['600 x 500 x 80 x 4', '600 x 500 x 80 times 4'],
  ['5ft6 x 18in x 3in', '1676.4 x 457.2 x 76.2 times 1'],
  ['banquette 3 m long 500 deep 100 thick in 4', '3000 x 500 x 100 in 4'],
  ['new ticket 600 x 500 x 80', '600 x 500 x 80 times 1'],
  ['L-shaped bench: 2000 x 1800 x 500 x 80', 'corner-bench 80 times 0'],
  ['W600 x D500 x H80', '600 x 500 x 80 times 1'],
  ['600w x 500d x 80h x 4', '600 x 500 x 80 times 4'],
  ['cushion h 4 in w 24 in d 22 in', '609.6 x 558.8 x 101.6 times 1'],
  ['2 pads 500 mm d x 600 mm w x 80 mm t', '600 x 500 x 80 times 2'],
  ['22 1/2 w x 24 d x 5 t', '571.5 x 609.6 x 127 times 1'],
  ['chair seat front 520 back 460 depth 480 thick 75', 'taper 520 x 460 x 480 x 75 times 1'],
  ['2 chairs: front 20 in, back 17 in, 18 in deep, 3 in thick', 'taper 508 x 431.8 x 457.2 x 76.2 times 2'],
  ['taper 520 x 460 x 480 x 75, round near corners 60', 'taper 520 x 460 x 480 x 75 times 1'],
  ['tapering seat 520 x 460 x 480 x 75, round 60 near', 'taper 520 x 460 x 480 x 75 times 1'],
  ['600 x 500 x 80 in the storm canvas', '600 x 500 x 80 times 1'],
  ['cushion width 600 depth 500 thickness 80', '600 x 500 x 80 times 1'],
  ['swing seat cushion 1400 by 500, 10cm thick', '1400 x 500 x 100 times 1'],
  ['1400 x 500 x 10 cm', '1400 x 500 x 100 times 1'],
  ['bench 500 x 60 x 6 cm in 4', '5000 x 600 x 60 in 4'],
  ['bolster 800 x 20 cm', 'bolster 800 x 200 x 200 times 1'],
  ['3 covers only 600 x 600 x 120', '600 x 600 x 120 times 3'],
  ['round pouffe 450 dia 300 high', 'disc 300 times 1'],
  ['hearth cushion 1200 x 300 x 75', '1200 x 300 x 75 times 1'],
  ['2 no. 1500 x 500 x 100, no piping', '1500 x 500 x 100 times 2'],
  ['three 400 x 300 x 60', '400 x 300 x 60 times 3'],
  ['ottoman top 20 in square 4 in thick with buttons 3 x 3', '508 x 508 x 101.6 times 1'],
]

describe('a seat said in any order', () => {
  it.each(SEATS)('"%s" makes %s', (line, makes) => expect(made(line)).toBe(makes))

  it.each(['3 cushions', 'bench 1800 x 500', 'round 400', 'bolster 900', '600 x 500'])(
    '"%s" is not guessed at',
    (line) => expect(readTyped(line, context(null)).ok).toBe(false),
  )
  it('a number beside a grade is no thickness', () => {
    const error = (line: string) => {
      const read = readTyped(line, context(null))
      return read.ok ? null : read.error
    }
    expect(error('4 cushions 72 x 24 x 4 in, auk 60 foam')).toMatchObject({
      code: 'two-thicknesses',
      first: '4 in',
      second: '60 in',
    })
    expect(made('4 cushions 72 x 24 x 4 in, 4 in foam')).toBe('1828.8 x 609.6 x 101.6 times 4')
    expect(made('600 x 500 x 80, units in')).toBe('600 x 500 x 80 times 1')
  })
  it('a name that several bear is asked about, alone too', () => {
    const read = readTyped('gannet', context(keepersBenchPart()))
    expect(read.ok && read.value.kind === 'ask' && read.value.readings.map((r) => r.says).join()).toMatch(
      /24.110.*30.140.*36.180/,
    )
  })
  it('where sizes of a bench and a number of cushions are said, it is asked which of two', () => {
    const read = readTyped('window seat 1800 long, 450 deep, 80 thick, three cushions', context(null))
    if (!read.ok || read.value.kind !== 'ask') throw new Error('not asked')
    const divisions = read.value.readings.map(({ typed: t }) => t.kind === 'seat' && t.seat.division)
    expect(divisions).toMatchObject([
      { kind: 'run', count: 3 },
      { kind: 'singles', count: 3 },
    ])
  })
  it('sizes of two seats are two parts, and of a word not known it is told how a known one is typed', () => {
    const words = (line: string, job: PartJob | null) => {
      const read = readTyped(line, context(job))
      return read.ok ? '' : typingWords(read.error)
    }
    expect(words('3 seats 24x22x5 and 3 backs 24x20x4', null)).toMatch(/several kinds of cushion.*part backs: seat/)
    expect(words('firmer foam', keepersBenchPart())).toBe('The shop has no firmer foam.')
    expect(words('4 buttons each', keepersBenchPart())).toMatch(/"4" is not a word.*buttons 2 x 5/)
    expect(words('3 cushions T-shaped 560 x 530 x 150', null)).toMatch(/tseat 610 x 545 x 110 ears/)
  })
  it('bedding for infants is refused wherever its word stands', () => {
    const read = readTyped('mattress 1200 x 600 x 100 for a baby', context(null))
    expect(!read.ok && read.error.code).toBe('infant')
  })
})

describe('several things said in one line', () => {
  const begun = (line: string): PartJob => {
    const said = typed(line, null)
    if (said.kind !== 'seat') throw new Error(said.kind)
    return withTypedSeat(keepersBenchPart(), said)
  }
  const changed = (line: string): PartJob => {
    const said = typed(line, keepersBenchPart())
    if (said.kind !== 'edit') throw new Error(said.kind)
    return said.edit.apply(keepersBenchPart())
  }

  it('a new ticket with cloth, foam, piping, closure, customer and day', () => {
    const job = begun(
      '2 cushions 24 x 22 x 4 in, storm canvas, firm foam, no piping, zip at the back, customer Mrs Tern, due friday',
    )
    expect(job.units).toBe('inch-8')
    expect(job.cloth.cloth.name).toBe('Storm canvas')
    expect(job.filling.kind === 'foam' && job.filling.layers[0]!.grade.name).toBe('Gannet 36/180')
    expect(job.makeUp.piping.kind).toBe('none')
    expect(job.makeUp.closure).toMatchObject({ kind: 'zip-gusset', side: 'back' })
    expect(job.customer).toBe('Mrs Tern')
    expect(job.terms.dueOn).toBe('2026-12-04')
  })
  it('without commas too, each the longest that is understood', () => {
    const job = begun('600 x 500 x 80 piped knife edge cushion in ebb linen with a liner')
    expect(job.makeUp.construction.kind).toBe('knife-edge')
    expect(job.makeUp.piping.kind).toBe('corded')
    expect(job.makeUp.liner).not.toBeNull()
    expect(job.cloth.cloth.name).toMatch(/Ebb linen/)
  })
  it('a side and a change of size are no use of it, and wadding is no make-up', () => {
    expect(readTyped('the back is 10 mm wider', context(keepersBenchPart())).ok).toBe(false)
    const job = changed('wrap in wadding 20 mm')
    expect(job).toMatchObject({ units: 'mm', makeUp: { construction: { kind: 'boxed' } } })
    expect(changed('for the back, 10 mm wider').makeUp).toEqual(keepersBenchPart().makeUp)
    expect(changed('customer is Ada Tern').customer).toBe('Ada Tern')
  })
  it('on an open ticket, said back one after the other', () => {
    const said = typed('100 thick and 500 deep, sa 15', keepersBenchPart())
    expect(said.kind === 'edit' && said.edit.says.split('; ')).toHaveLength(3)
    const job = changed('100 thick and 500 deep, sa 15')
    expect(valueOf(job.seat.thickness)).toBe(100)
    expect(job.allowances.overrides.seamMm).toBe(15)
  })
  it('a later change sees what the one before it made', () => {
    expect(changed('knife edge, zip in the seam').makeUp).toMatchObject({
      construction: { kind: 'knife-edge' },
      closure: { kind: 'zip-seam' },
    })
  })
  it('a name goes on to its comma only where the rest is understood', () => {
    expect(changed('customer Mrs Tern, due friday')).toMatchObject({ customer: 'Mrs Tern' })
    expect(changed('customer Tern, Gull and Daughters').customer).toBe('Tern, Gull and Daughters')
    expect(changed('customer Mrs Tern due 14 december')).toMatchObject({
      customer: 'Mrs Tern',
      terms: { dueOn: '2026-12-14' },
    })
    expect(changed('note zip at back, piped').note).toBe('zip at back, piped')
  })
  it('what a cushion is called says nothing beside its sizes, and is no change by itself', () => {
    const read = readTyped('sofa 12', context(keepersBenchPart()))
    expect(!read.ok && read.error).toMatchObject({ code: 'unknown-word', word: 'sofa' })
  })
})

describe('a line of the grammar, and more after a comma', () => {
  it.each([
    ['corner 2400 x 1800 x 500 x 90 in 3 and 2, piped', 'corner-bench'],
    ['ring 1870 x 520 x 90 wall 3640 in 5, piped, sewn shut', 'ring'],
    ['berth 1860 x 640 x 215 x 100 hull 24 pair at 600 610, 1200 450, piped', 'berth'],
    ['points 0 0, 600 0, 600 500, 0 500 thick 80, piped', 'points'],
    ['taped AB 900, BC 600, CD 900, DA 600, AC 1082 thick 80, piped', 'taped'],
    ['tseat 610 x 545 x 110 ears 62 x 148 times 4, piped', 'eared'],
  ])('"%s"', (line, kind) => {
    const said = typed(line, null)
    if (said.kind !== 'seat') throw new Error(said.kind)
    const { seat, makeUp } = withTypedSeat(keepersBenchPart(), said)
    expect([seat.footprint.kind, makeUp.piping.kind]).toEqual([kind, 'corded'])
  })
  it('keeps what is not understood as a note, whatever the shape', () => {
    const read = readTyped('ring 1870 x 520 x 90 wall 3640 in 5, piped, waterproof', context(null))
    if (!read.ok || read.value.kind !== 'ask') throw new Error('does not ask')
    expect(read.value.readings.map((r) => r.says)).toEqual([
      expect.stringMatching(/^Round bench.*in 5.*Piping on both.*Note: waterproof$/),
    ])
  })
})

describe('corners', () => {
  const corners = (line: string) => {
    const said = typed(line, null)
    if (said.kind !== 'seat') throw new Error(said.kind)
    return withTypedSeat(keepersBenchPart(), said).seat.corners
  }
  const cut = (mm: number) => ({ kind: 'cut', arrivingMm: mm, leavingMm: mm })
  it.each([
    ['600 x 500 x 80, back left corner cut 100 x 100', { 'far left': cut(100) }],
    ['2 seats 600 x 500 x 80, corner back left cut off 90 x 90', { 'far left': cut(90) }],
    ['600 x 500 x 80, corner near right rounded 60', { 'near right': { kind: 'round', radiusMm: 60 } }],
    ['600 x 500 x 80, corner cut off 300 x 300 back left', { 'far left': cut(300) }],
    ['600 x 500 x 80, cut off the near right corner 50 x 50', { 'near right': cut(50) }],
    [
      '600 x 500 x 80 front corners rounded 40',
      { 'near left': { kind: 'round', radiusMm: 40 }, 'near right': { kind: 'round', radiusMm: 40 } },
    ],
    [
      'seat front 520 back 460 depth 480 thick 75, round back corners 60',
      { 'far left': { kind: 'round', radiusMm: 60 }, 'far right': { kind: 'round', radiusMm: 60 } },
    ],
  ])('"%s"', (line, set) => expect(corners(line)).toEqual(set))
})

describe('places of another cloth', () => {
  const changed = (line: string): PartJob => {
    const said = typed(line, {
      ...keepersBenchPart(),
      makeUp: { ...keepersBenchPart().makeUp, piping: { kind: 'none' } },
    })
    if (said.kind !== 'edit') throw new Error(said.kind)
    return said.edit.apply({
      ...keepersBenchPart(),
      makeUp: { ...keepersBenchPart().makeUp, piping: { kind: 'none' } },
    })
  }
  it.each([
    ['contrast piping storm canvas', 'piping', 'Storm canvas'],
    ['contrast piping in storm canvas', 'piping', 'Storm canvas'],
    ['storm canvas piping', 'piping', 'Storm canvas'],
    ['piping in storm canvas', 'piping', 'Storm canvas'],
    ['boxing in storm canvas', 'boxing', 'Storm canvas'],
    ['bottom of house calico', 'second-face', 'House calico'],
    ['cloth house calico for the base', 'base', 'House calico'],
  ] as const)('"%s": %s of %s', (line, role, name) => {
    const job = changed(line)
    expect(job.cloth.others[role]?.name).toBe(name)
    expect(job.cloth.cloth.name).toBe(keepersBenchPart().cloth.cloth.name)
    expect(job.makeUp.piping.kind).toBe(role === 'piping' ? 'corded' : 'none')
  })
  it('without its cloth it is asked which, and each answer is that cloth', () => {
    const read = readTyped('contrast piping', context(keepersBenchPart()))
    if (!read.ok || read.value.kind !== 'ask') throw new Error('does not ask')
    expect(read.value.readings.map((r) => r.says)).toEqual(DEMO_CLOTHS.map((c) => `${c.name} for the piping`))
  })
  it('a name that fits two grades asks which of them', () => {
    const read = readTyped('foam gannet', context(keepersBenchPart()))
    if (!read.ok || read.value.kind !== 'ask') throw new Error('does not ask')
    expect(read.value.readings.length).toBe(DEMO_GRADES.filter((g) => g.name.startsWith('Gannet')).length)
  })
})

it('a cord said by itself leaves the rows and sides that are piped', () => {
  const said = typed('2 seats 600 x 500 x 80, piped top, 6 mm cord', null)
  if (said.kind !== 'seat') throw new Error(said.kind)
  const { piping } = withTypedSeat(keepersBenchPart(), said).makeUp
  expect(piping).toMatchObject({ kind: 'corded', rows: 'top', cordMm: 6 })
  const after = (job: PartJob, line: string): PartJob => {
    const change = typed(line, job)
    if (change.kind !== 'edit') throw new Error(change.kind)
    return change.edit.apply(job)
  }
  const left = after(after(keepersBenchPart(), 'pipe bottom front left'), '7mm cord')
  expect(left.makeUp.piping).toMatchObject({ rows: 'bottom', cordMm: 7 })
  expect(left.makeUp.piping).toHaveProperty('sides', expect.arrayContaining(['front', 'left']))
  expect(left.makeUp.piping).not.toHaveProperty('sides', expect.arrayContaining(['right']))
})

describe('a shop without a foam or a cloth', () => {
  it.each([
    '2 seats 24 x 22 x 5 in, piped',
    'bench 2236 x 468 x 75 in 3, no piping',
    '3 seats 24 x 22 x 5 in, 3 backs 24 x 18 x 6 in, piped',
    '2 cushions 600 x 500 x 80, sparkling, piped',
  ])('"%s" says what to enter first', (line) => {
    for (const store of [{ grades: [] }, { cloths: [] }]) {
      const read = readTyped(line, { ...context(null), ...store })
      expect(read.ok ? null : typingWords(read.error)).toMatch(/foam and a cloth .* on the pages Foam and Cloth\.$/)
    }
  })
})
