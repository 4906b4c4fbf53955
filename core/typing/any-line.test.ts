import { planJob } from '../plan/index.ts'
import { firstPart, withPart } from '../job/index.ts'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { JOB_LIMITS, readJob, type Job } from '../../contract/index.ts'
import { CLOSURES, MAKE_UPS } from '../cover/index.ts'
import { buyingList } from '../lists/index.ts'
import { ratesOf, workOrder } from '../making/index.ts'
import { chargesOf, quoteFor } from '../money/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES, DEMO_TRIMS, demoJobs } from '../demo/index.ts'
import { USUAL_WORKSHOP } from '../defaults/index.ts'
import { GRAMMAR, readTyped } from './index.ts'

const number = fc.oneof(
  fc.integer({ min: 0, max: 60 }),
  fc.integer({ min: 10, max: 900 }),
  fc.integer({ min: -200, max: 6000 }),
  fc.double({ min: 0, max: 100, noNaN: true }).map((n) => Number(n.toFixed(1))),
)
const edge = fc.constantFrom('front', 'left', 'right', 'back', 'near', 'far', 'hull', 'head', 'AB', '')
const say = (...parts: (string | fc.Arbitrary<string | number>)[]): fc.Arbitrary<string> =>
  fc.tuple(...parts.map((p) => (typeof p === 'string' ? fc.constant(p) : p))).map((words) => words.join(' ').trim())
const one = (...words: string[]) => fc.constantFrom(...words)

/** What a maker may say, sensible or not. */
const line = fc.oneof(
  say('makeup', one(...Object.values(MAKE_UPS).map((m) => m.label))),
  say('close', one(...Object.values(CLOSURES).map((c) => c.label), 'sewn shut 300'), edge),
  say(
    one(
      'width',
      'depth',
      'length',
      'thickness',
      'radius',
      'clearance',
      'sa',
      'board',
      'gap',
      'squeeze',
      'wadding',
      'in',
      'times',
      'turn',
    ),
    number,
  ),
  say(one('bow', 'lean', 'overhang'), number, edge),
  say('round', number, one('near left', 'far right', '')),
  say('cut', number, 'x', number, one('near left', 'far right', '')),
  say(one('wall', 'hinge', 'hull', 'open', 'front'), edge),
  say(
    'pipe',
    one('none', 'top', 'bottom', 'both'),
    one('', 'front', 'front, left'),
    'cord',
    number,
    one('across', 'along', 'bias'),
  ),
  say('buttons', number, 'x', number, one('', 'staggered')),
  say('top', one(...DEMO_GRADES.map((g) => g.name)), number),
  say('cloth', one(...DEMO_CLOTHS.map((c) => c.name))),
  say('sitters', number, 'to', number),
  say('units', one('mm', 'cm', 'in', 'in16')),
  say('part', one('backs', 'B', 'Seats', 'backs: sa', 'ends: seat 600 x 500 x'), number),
  say('rows', number, 'x', number, ',', number, 'x', number, 'times', number),
  say('copy to', one('backs', 'ends')),
  say('as part', one('backs', 'A')),
  one(...GRAMMAR.map((g) => g.example), 'mirror', 'liner', 'fibre', 'railroad', 'wadding none', 'school snug cover'),
)

/** The ticket after a line, as the page takes it, typed at its first part. */
function after(job: Job, text: string): Job {
  const part = firstPart(job)
  const typed = readTyped(text, {
    job: part,
    whole: job,
    units: job.units,
    grades: DEMO_GRADES,
    cloths: DEMO_CLOTHS,
    limits: JOB_LIMITS,
  })
  if (!typed.ok) return job
  // Where it is asked what was meant, the first reading is the line as it stands.
  const value = typed.value.kind === 'ask' ? typed.value.readings[0]!.typed : typed.value
  const read = readJob(
    value.kind === 'parts'
      ? value.edit.applyToJob(job)
      : withPart(job, part.letter, value.kind === 'seat' ? { ...part, seat: value.seat } : value.edit.apply(part)),
  )
  // What the line took, the job file takes too: else the maker would read of paths in a document.
  if (!read.ok) throw new Error(`${text}: ${read.faults[0]!.path} ${read.faults[0]!.message}`)
  return read.value
}

describe('whatever is typed, one line after the other, at any demo ticket', () => {
  it('the job can be saved, planned, made and priced, or says in words why not; a check that fails stops it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...demoJobs()), fc.array(line, { minLength: 1, maxLength: 5 }), (ticket, lines) => {
        const job = lines.reduce(after, ticket)
        const plan = planJob(job)
        expect(JSON.stringify(plan.warnings)).not.toMatch(/NaN|Infinity/)
        if (plan.kind === 'unworkable') return void expect(plan.warnings.some((w) => w.level === 'stop')).toBe(true)
        const laid = plan.cloth.lays.map(() => ({ laidMm: 2000, boundMm: 0 }))
        const { total } = quoteFor(
          job,
          buyingList(job, plan, laid, DEMO_TRIMS),
          workOrder(job, plan),
          ratesOf(USUAL_WORKSHOP),
          chargesOf(USUAL_WORKSHOP.charges, job),
        )
        expect(total.value).toBeGreaterThan(0)
        const isWrong = plan.designs.some((d) => d.checks.some((c) => c.faults.length > 0))
        if (isWrong) expect(plan.warnings.some((w) => w.level === 'stop' && w.station === 'pieces')).toBe(true)
      }),
      { numRuns: 150 },
    )
  }, 120_000)
})
