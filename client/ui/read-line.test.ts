import fc from 'fast-check'
import { expect, it } from 'vitest'
import { JOB_LIMITS, readJob } from '../../contract/index.ts'
import { GRAMMAR } from '../../core/typing/index.ts'
import { firstPart, jobOf, newPartJob } from '../../core/job/index.ts'
import { DEMO_CLOTHS, DEMO_GRADES, keepersBenchPart } from '../../core/demo/index.ts'
import { FACTORY_BOOK } from '../../core/defaults/index.ts'
import { readLine } from './read-line.ts'

const context = { units: 'mm' as const, grades: DEMO_GRADES, cloths: DEMO_CLOTHS, limits: JOB_LIMITS }

it('what is understood can be kept: of thousands of lines made of its own words none is refused by the job file after it', () => {
  const words = GRAMMAR.flatMap((g) => JSON.stringify(g).match(/[a-z]+/gi) ?? [])
  const word = fc.constantFrom(...new Set(words.map((w) => w.toLowerCase())))
  const amount = fc.oneof(
    fc.integer({ min: -50, max: 30_000 }).map(String),
    fc.constantFrom('0', '1', '1/2', '88"', "4' 2", '1e9', '0.001', '400 x 300', '2236 x 468 x 75', 'x', 'in', 'by'),
  )
  const made = fc.array(fc.oneof(word, amount), { minLength: 1, maxLength: 8 }).map((w) => w.join(' '))
  // What people do say, with other amounts.
  const said = fc
    .tuple(
      fc.constantFrom(
        ...[
          'bench # x # x # in #',
          'ring # x # x # wall # in #',
          'berth # x # x # x # hull #',
          'sa #',
          'depth #',
          'length #',
        ],
        ...['thickness #', 'count #', 'gap #', 'bench # x # x #', 'corner b cut # x #', 'edge 1-2 lean #', 'rise #'],
      ),
      fc.array(amount, { minLength: 5, maxLength: 5 }),
    )
    .map(([text, amounts]) => amounts.reduce((t, a) => t.replace('#', () => a), text))
  const line = fc.oneof(made, said)
  const bench = keepersBenchPart()
  let understood = 0
  fc.assert(
    fc.property(line, fc.boolean(), (text, isOpen) => {
      const read = readLine(text, { ...context, job: isOpen ? bench : null, whole: isOpen ? jobOf(bench) : null })
      if (!read.ok) {
        expect(read.says).not.toBe('')
        return
      }
      understood++
      const readings = read.value.kind === 'ask' ? read.value.readings.map((r) => r.typed) : [read.value]
      for (const typed of readings) {
        const job =
          typed.kind === 'edit'
            ? typed.edit.apply(bench)
            : typed.kind === 'parts'
              ? firstPart(typed.edit.applyToJob(jobOf(bench)))
              : newPartJob({
                  ticket: 'T-1',
                  title: 'T',
                  units: typed.units,
                  currency: 'EUR',
                  book: FACTORY_BOOK,
                  grade: DEMO_GRADES[0]!,
                  cloth: DEMO_CLOTHS[0]!,
                  seat: typed.seat,
                })
        const kept = readJob(jobOf(job))
        expect(kept.ok ? '' : `${text}: ${kept.faults[0]!.path} ${kept.faults[0]!.message}`).toBe('')
      }
    }),
    { numRuns: 3000 },
  )
  expect(understood).toBeGreaterThan(40)
})

it('a line that the job file would refuse is refused in words, with the place', () => {
  const read = readLine('bench 2236 x 468 x 75 in 3', { ...context, job: null })
  expect(read.ok).toBe(true)
  const title = { ...keepersBenchPart(), title: '' }
  const refused = readLine('sa 12', { ...context, job: title })
  expect(refused).toEqual({ ok: false, says: 'That cannot be kept: title cannot be empty.' })
})
