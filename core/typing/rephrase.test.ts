import { describe, expect, it } from 'vitest'
import { JOB_LIMITS, type PartJob } from '../../contract/index.ts'
import { usualMakeUp } from '../cover/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES, keepersBenchPart } from '../demo/index.ts'
import { discSeat, newSeat } from '../job/index.ts'
import { areaOf, boxOf } from '../outline/index.ts'
import { cushionsFrom } from '../testing/jobs.ts'
import { readTyped, type Typed } from './index.ts'

/*
 * What people type who have not read the help, and the line of the grammar that each must come to. Open jobs are the bench
 * in three, or single cushions where it says so.
 */

const singles: PartJob = { ...keepersBenchPart(), seat: newSeat('singles', 600, 500, 80, 2) }
const context = (job: PartJob | null) => ({
  job,
  units: 'mm' as const,
  grades: DEMO_GRADES,
  cloths: DEMO_CLOTHS,
  limits: JOB_LIMITS,
  today: '2026-11-29',
})

/** What a line comes to: a seat, or the job after it. */
function taken(line: string, job: PartJob | null): string {
  const read = readTyped(line, context(job))
  if (!read.ok) return `not understood: ${read.error.code}`
  const first: Typed = read.value.kind === 'ask' ? read.value.readings[0]!.typed : read.value
  if (first.kind === 'seat') return JSON.stringify(first.seat)
  return first.kind === 'edit' ? JSON.stringify(first.edit.apply(job!)) : `${first.edit.says} ${first.look}`
}

const SEATS: readonly (readonly [string, string])[] = [
  ['600 x 500 x 80', 'seat 600 x 500 x 80'],
  ['600x500x80', 'seat 600 x 500 x 80'],
  ['600 by 500 by 80', 'seat 600 x 500 x 80'],
  ['600 × 500 × 80 mm', 'seat 600 x 500 x 80'],
  ['a cushion 600 x 500 x 80', 'seat 600 x 500 x 80'],
  ['cushion: 600 x 500 x 80', 'seat 600 x 500 x 80'],
  ['seat cushion 600 x 500 x 80', 'seat 600 x 500 x 80'],
  ['I need a seat pad 600 x 500 x 80', 'seat 600 x 500 x 80'],
  ['2 cushions 24 in x 22 in x 4 in', 'seat 24 in x 22 in x 4 in times 2'],
  ['2 cushions 24 x 22 x 4 inches', 'seat 24 x 22 x 4 in times 2'],
  ['2 cushions 24 by 22 by 4 inches', 'seat 24 x 22 x 4 in times 2'],
  ['two cushions 600 x 500 x 80', 'seat 600 x 500 x 80 times 2'],
  ['four dining chairs 450 x 430 x 60', 'seat 450 x 430 x 60 times 4'],
  ['4 seats 450 x 430 x 60', 'seat 450 x 430 x 60 times 4'],
  ['6 of box cushions 450 x 430 x 60', 'seat 450 x 430 x 60 times 6'],
  ['600 x 500 x 80, 3 of them', 'seat 600 x 500 x 80 times 3'],
  ['600 x 500 x 80 times 3', 'seat 600 x 500 x 80 times 3'],
  ['600 x 500 x 80 x3', 'seat 600 x 500 x 80 times 3'],
  ['12 kneelers 305 x 228 x 70', 'seat 305 x 228 x 70 times 12'],
  ['3 mattresses 1905 x 735 x 120', 'seat 1905 x 735 x 120 times 3'],
  ['mattress 1905 x 735 x 120', 'seat 1905 x 735 x 120'],
  ['window seat 60 1/2 x 19 x 4', 'bench 60 1/2 x 19 x 4 in 1'],
  ['window seat 1500 x 480 x 100', 'bench 1500 x 480 x 100 in 1'],
  ['corner seat 2400 x 1800 x 600 x 100 in 3 and 2', 'corner 2400 x 1800 x 600 x 100 in 3 and 2'],
  ['bench 1500 x 480 x 100', 'bench 1500 x 480 x 100 in 1'],
  ['bench seat 2236 x 468 x 75 in three', 'bench 2236 x 468 x 75 in 3'],
  ['bench 2236 by 468 by 75 divided into 3', 'bench 2236 x 468 x 75 in 3'],
  ['settle 1200 x 420 x 60 in 2', 'bench 1200 x 420 x 60 in 2'],
  ['round stool 350, 70 thick', 'disc 350 x 70'],
  ['round stool 14 inch 3 thick', 'disc 14 in x 3'],
  ['round seat 350 x 70', 'disc 350 x 70'],
  ['2 round cushions 350 x 70', 'disc 350 x 70 times 2'],
  ['circle 400 x 50', 'disc 400 x 50'],
  ['half circle 900', 'halfdisc 900 x 80'],
  ['half circle 900, 60 thick', 'halfdisc 900 x 60'],
  ['semicircle 900 x 100', 'halfdisc 900 x 100'],
  ['box 620 x 540 x 100', 'seat 620 x 540 x 100'],
  ['2 box 24 x 20 x 3 in', 'seat 24 x 20 x 3 in times 2'],
  ['footstool 450 x 450 x 120', 'seat 450 x 450 x 120'],
  ['dog bed 900 x 600 x 100', 'seat 900 x 600 x 100'],
  ['caravan cushion 1900 x 600 x 125', 'seat 1900 x 600 x 125'],
  ['settee back 600 x 450 x 120', 'seat 600 x 450 x 120'],
  ['church kneeler 400 x 250 x 60', 'seat 400 x 250 x 60'],
  ['sofa seat 3 cushions 650 x 600 x 130', 'seat 650 x 600 x 130 times 3'],
  ['pew 2400 x 350 x 50 in 2', 'bench 2400 x 350 x 50 in 2'],
  ['1400 wide 450 deep 75 thick', 'seat 1400 x 450 x 75'],
  ['window seat cushion 1400 long 450 deep 75 thick', 'bench 1400 x 450 x 75 in 1'],
  ['boat berth 1860 long 640 wide 100 thick', 'seat 1860 x 640 x 100'],
  ['2 cushions 24 in wide, 22 in deep, 4 in thick', 'seat 24 in x 22 in x 4 in times 2'],
  ['16 inch round, 2 inch thick', 'disc 16 in x 2 in'],
  ['L shaped bench 2000 x 1800 x 500 x 80', 'corner 2000 x 1800 x 500 x 80'],
  ['corner bench 2000 x 500, 1800 x 500, 80 thick', 'corner 2000 x 1800 x 500 x 80'],
  ['v berth 1900 x 700 x 300 x 100', 'berth 1900 x 700 x 300 x 100 pair'],
]

const CHANGES: readonly (readonly [string, string])[] = [
  ['cover only', 'order cover'],
  ['not matched', 'match none'],
  ['unmatched', 'match none'],
  ['new covers only', 'order cover'],
  ['recover', 'order cover'],
  ['keep the old foam', 'order cover'],
  ['foam only', 'order filling'],
  ['only new foam', 'order filling'],
  ['replacement inserts only', 'order filling'],
  ['reuse the covers', 'order filling'],
  ['zip at back', 'close zip gusset back'],
  ['zip at the back', 'close zip gusset back'],
  ['zipper on the left', 'close zip gusset left'],
  ['put the zip in the right', 'close zip gusset right'],
  ['zip in the seam', 'close zip seam'],
  ['no zip', 'close sewn shut'],
  ['sewn shut', 'close sewn shut'],
  ['no piping', 'pipe none'],
  ['without piping', 'pipe none'],
  ['no welting', 'pipe none'],
  ['piped', 'pipe both'],
  ['piping', 'pipe both'],
  ['piping all round', 'pipe both'],
  ['piping top and bottom', 'pipe both'],
  ['piping front only', 'pipe front'],
  ['piping only on the front', 'pipe front'],
  ['piping at front', 'pipe front'],
  ['pipe the front edge', 'pipe front'],
  ['piping on top', 'pipe top'],
  ['piping front and left', 'pipe front left'],
  ['piping cord 6', 'pipe both cord 6'],
  ['seam 15', 'sa 15'],
  ['seam 1/2 in', 'sa 1/2 in'],
  ['seam allowance 15', 'sa 15'],
  ['seam allowance of 15 mm', 'sa 15 mm'],
  ['15 mm seams', 'sa 15 mm'],
  ['allowance 20', 'sa 20'],
  ['100 thick', 'thickness 100'],
  ['4 inches thick', 'thickness 4 in'],
  ['make it 100 thick', 'thickness 100'],
  ['thickness: 100', 'thickness 100'],
  ['thick 90', 'thickness 90'],
  ['height 90', 'thickness 90'],
  ['500 deep', 'depth 500'],
  ['set the depth to be 500', 'depth 500'],
  ['deep 500', 'depth 500'],
  ['2300 long', 'length 2300'],
  ['length is 2300', 'length 2300'],
  ['2300 wide', 'length 2300'],
  ['round corners 50', 'round 50'],
  ['rounded corners 50 mm', 'round 50 mm'],
  ['corner radius 50', 'round 50'],
  ['50 mm rounded corners', 'round 50 mm'],
  ['square corners', 'square'],
  ['divide into 4', 'in 4'],
  ['split it in 4', 'in 4'],
  ['4 cushions', 'in 4'],
  ['make it four cushions', 'in 4'],
  ['5 of them', 'in 5'],
  ['make 4', 'in 4'],
  ['please make four of them', 'in 4'],
  ['railroaded', 'railroad'],
  ['turn the cloth', 'railroad'],
  ['up the roll', 'up'],
  ['firm foam', 'foam gannet 36'],
  ['foam firm', 'foam gannet 36'],
  ['memory foam', 'foam eider'],
  ['latex', 'foam petrel'],
  ['rebond foam', 'foam rook'],
  ['closed cell foam', 'foam auk'],
  ['gannet 24', 'foam gannet 24'],
  ['Fulmar 50/220', 'foam fulmar 50'],
  ['fibre filling', 'fibre'],
  ['loose fibre', 'fibre'],
  ['filled with fibre', 'fibre'],
  ['wrap 20', 'wadding 20'],
  ['batting: 20', 'wadding 20'],
  ['no wadding', 'wadding none'],
  ['with a liner', 'liner'],
  ['inner cover', 'liner'],
  ['without liner', 'liner none'],
  ['tufted 3 x 5', 'buttons 3 x 5'],
  ['buttons: 2x4', 'buttons 2 x 4'],
  ['no buttons', 'buttons none'],
  ['for dining', 'use dining'],
  ['for the sofa', 'use lounge'],
  ['for sleeping', 'use sleeping'],
  ['for a boat', 'use cockpit'],
  ['outdoors', 'lives wet'],
  ['indoors', 'lives indoors'],
  ['in the sun', 'lives sun'],
  ['gap between them 5', 'gap 5'],
  ['touching', 'gap 0'],
  ['no gap', 'gap 0'],
  ['squeeze by 2', 'squeeze 2'],
  ['squeezed together 2 mm', 'squeeze 2 mm'],
  ['leave 6 free', 'clearance 6'],
  ['wall at left', 'wall left'],
  ['mirrored', 'mirror'],
  ['in inches', 'units in'],
  ['metric', 'units mm'],
  ['inches please', 'units in'],
  ['storm canvas', 'cloth storm canvas'],
  ['covered in storm canvas', 'cloth storm canvas'],
  ['fabric: ebb linen', 'cloth ebb linen'],
  ['linen', 'cloth ebb linen'],
  ['vinyl', 'cloth hull vinyl'],
  ['in calico', 'cloth house calico'],
  ['knife edge', 'makeup knife-edge'],
  ['knife-edge cushion', 'makeup knife-edge'],
  ['waterfall', 'makeup waterfall'],
  ['capped', 'makeup capped'],
  ['make it boxed', 'makeup boxed'],
  ['add backs', 'part backs'],
  ['due tomorrow', 'due 2026-11-30'],
  ['due friday', 'due 2026-12-04'],
  ['due next friday', 'due 2026-12-04'],
  ['due in 2 weeks', 'due 2026-12-13'],
  ['due 12 december', 'due 2026-12-12'],
  ['due dec 12', 'due 2026-12-12'],
  ['due 3 march', 'due 2027-03-03'],
  ['no zip, sewn shut', 'close sewn shut'],
  ['ties at the back', 'ties back'],
  ['4 ties', 'ties 4'],
  ['three ties along the front', 'ties 3 front'],
  ['no ties', 'ties none'],
  ['a handle', 'handles 1'],
  ['two handles on the left', 'handles 2 left'],
  ['without handles', 'handles none'],
  ['buttons 3 rows of 4', 'buttons 3 x 4'],
  ['match the stripes', 'match'],
  ['pattern matched', 'match'],
  ['do not match', 'match none'],
  ['stripes run front to back', 'up'],
  ['stripes across', 'railroad'],
  ['rotate the fabric', 'railroad'],
  ['lean back 5 degrees', 'lean 5 back'],
  ['back leans by 10', 'lean 10 back'],
  ['round the front corners 60', 'round 60 front'],
  ['rounded corners at front 60 mm', 'round 60 mm front'],
  ['add a back', 'part backs'],
  ['add two bolsters', 'part bolsters: times 2'],
  ['bull nose', 'makeup waterfall'],
  ['box with welt', 'pipe both'],
  ['100 mm foam', 'thickness 100 mm'],
  ['20 mm deeper', 'depth 488'],
  ['add 20 to the depth', 'depth 488'],
  ['take 20 mm off the length', 'length 2216'],
  ['wrap in wadding 20', 'wadding 20'],
  ['wrapped in wadding 20 mm', 'wadding 20 mm'],
  ['waterfall front edge', 'makeup waterfall'],
  ['zipped', 'close zip gusset'],
  ['tied at the back', 'ties back'],
  ['thinner by 5', 'thickness 70'],
  ['change the thickness to 90', 'thickness 90'],
  ['thickness = 90', 'thickness 90'],
  ['width to 600', 'length 600'],
  ['change the foam to firm', 'foam gannet 36'],
  ['use firm foam', 'foam gannet 36'],
  ['foam: gannet 30', 'foam gannet 30'],
  ['change cloth to ebb linen', 'cloth ebb linen'],
  ['add piping', 'pipe both'],
  ['add a zip', 'close zip gusset'],
  ['remove the zip', 'close sewn shut'],
  ['move zip to left', 'close zip gusset left'],
  ['seam allowance half an inch', 'sa 1/2 in'],
  ['quarter inch seams', 'sa 1/4 in'],
  ['qty 4', 'in 4'],
  ['tufting 2 x 3', 'buttons 2 x 3'],
  ['customer: Ada Tern', 'customer ada tern'],
  ['by friday', 'due friday'],
  ['due by friday', 'due friday'],
  ['wanted on 12 december', 'due 12 december'],
  ['piped cord 6 bias', 'pipe both cord 6 bias'],
  ['bias piping', 'pipe both bias'],
  ['bias cut piping', 'pipe both bias'],
  ['piping cut on the bias', 'pipe both bias'],
  ['piped top with cord 6', 'pipe top cord 6'],
  ['piped along the roll', 'pipe both along'],
  ['front bowed 30', 'bow 30 front'],
  ['curved back 40', 'bow 40 back'],
  ['lean back edge 5', 'lean 5 back'],
  ['outdoor use', 'lives wet'],
  ['cut corner 100 x 50 back left', 'cut 100 x 50 far left'],
  ['round 50 front right', 'round 50 near right'],
  ['longer by 1 in', 'length 2261.4 mm'],
]

const OF_SINGLES: readonly (readonly [string, string])[] = [
  ['6 of them', 'times 6'],
  ['Make 6 of these.', 'times 6'],
  ['6 cushions', 'times 6'],
  ['x 6', 'times 6'],
  ['six chairs', 'times 6'],
  ['650 wide', 'width 650'],
  ['width: 650', 'width 650'],
  ['25 inches wide', 'width 25 in'],
  ['20 wider', 'width 620'],
  ['narrower by 15', 'width 585'],
]

const OF_WRAPS: readonly (readonly [string, string])[] = [
  ['hook and loop', 'close hook and loop'],
  ['hook and loop at the back', 'close hook and loop back'],
  ['closes with snaps', 'close snaps'],
]

describe('what people type comes to a line of the grammar', () => {
  it.each(SEATS)('on the shelf, "%s" is: %s', (phrase, line) => {
    expect(taken(line, null)).not.toMatch(/^not understood/)
    expect(taken(phrase, null)).toBe(taken(line, null))
  })
  it.each(CHANGES)('on the bench, "%s" is: %s', (phrase, line) => {
    const job = keepersBenchPart()
    expect(taken(line, job)).not.toMatch(/^not understood/)
    expect(taken(phrase, job)).toBe(taken(line, job))
  })
  it.each(OF_SINGLES)('on single cushions, "%s" is: %s', (phrase, line) => {
    expect(taken(line, singles)).not.toMatch(/^not understood/)
    expect(taken(phrase, singles)).toBe(taken(line, singles))
  })

  it.each(OF_WRAPS)('on a lap-closed cover, "%s" is: %s', (phrase, line) => {
    const job = { ...keepersBenchPart(), makeUp: usualMakeUp('lap-closed') }
    expect(taken(line, job)).not.toMatch(/^not understood/)
    expect(taken(phrase, job)).toBe(taken(line, job))
  })

  it('front corners are the near ones, back corners the far ones', () => {
    const rounded = (line: string) =>
      Object.keys((JSON.parse(taken(line, keepersBenchPart())) as PartJob).seat.corners).toSorted()
    expect(rounded('round the front corners 60')).toEqual(['near left', 'near right'])
    expect(rounded('rounded corners at back 60')).toEqual(['far left', 'far right'])
    expect(rounded('round left corners 60')).toEqual(['far left', 'near left'])
  })

  it('a piped box is piped, and nothing else is taken for one', () => {
    const bench = keepersBenchPart()
    expect(taken('box with welt', bench)).toBe(taken('pipe both', bench))
    expect(taken('box with welt', { ...bench, makeUp: usualMakeUp('knife-edge') })).toBe(
      taken('pipe both', {
        ...bench,
        makeUp: { ...usualMakeUp('knife-edge'), construction: bench.makeUp.construction },
      }),
    )
  })

  it.each([
    'sofa',
    'purple',
    '600',
    'zip nowhere',
    'x',
    'due sometime',
    'due 31 november',
    'seat of my dreams',
    'seat',
    'wider',
    'ties of silk',
    '12 ties',
    'stripes of courage',
    'foam',
  ])('"%s" is not guessed at', (phrase) => expect(taken(phrase, keepersBenchPart())).toMatch(/^not understood/))
})

describe('round seats', () => {
  const cushion = (line: string) => {
    const read = readTyped(line, context(null))
    if (!read.ok || read.value.kind !== 'seat') throw new Error(line)
    return cushionsFrom(read.value.seat).designs[0]!.solid.outline
  }
  it('a disc of 350 is as large as its circle', () => {
    const { minX, minY, maxX, maxY } = boxOf(cushion('disc 350 x 70'))
    expect([maxX - minX, maxY - minY].map((v) => Number(v.toFixed(1)))).toEqual([350, 350])
    expect(areaOf(cushion('disc 350 x 70'))).toBeCloseTo(Math.PI * 175 * 175, -2)
  })
  it.each(['diameter 420', 'across 42 cm', 'width 420', '420 wide', '420 across', '420 diameter'])(
    '"%s" makes an open one wider, and deeper with it',
    (line) => {
      const job: PartJob = { ...keepersBenchPart(), seat: discSeat(400, 50, 2) }
      const read = readTyped(line, context(job))
      if (!read.ok || read.value.kind !== 'edit') throw new Error(`${line}: ${JSON.stringify(read)}`)
      const { minX, minY, maxX, maxY } = boxOf(cushionsFrom(read.value.edit.apply(job).seat).designs[0]!.solid.outline)
      expect([maxX - minX, maxY - minY].map((v) => Number(v.toFixed(1)))).toEqual([420, 420])
    },
  )
  it('half of 900 across is 450 deep', () => {
    const { minX, minY, maxX, maxY } = boxOf(cushion('halfdisc 900 x 60'))
    expect([maxX - minX, maxY - minY].map((v) => Number(v.toFixed(1)))).toEqual([900, 450])
    expect(areaOf(cushion('halfdisc 900 x 60'))).toBeCloseTo((Math.PI * 450 * 450) / 2, -3)
  })
})
