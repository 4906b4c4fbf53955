import fc from 'fast-check'
import { afterEach, expect, it } from 'vitest'
import type { Job } from '../contract/index.ts'
import { demoJobs, keepersBenchPart } from '../core/demo/index.ts'
import { jobOf } from '../core/job/index.ts'
import { shown, speak } from '../core/language/index.ts'
import { planDocument, planJob } from '../core/plan/index.ts'
import { anyClothChoice } from '../core/testing/cloths.ts'
import { anyFilling } from '../core/testing/fillings.ts'
import { anyMakeUp } from '../core/testing/make-ups.ts'
import { anySeat } from '../core/testing/seats.ts'
import { madeUpLanguage, unmarked } from './made-up-language.ts'

/*
 * What is planned in another language must be the English plan to the letter once its marks are taken off. A name by
 * which something is found would be lost on the way.
 */

const language = madeUpLanguage()

afterEach(() => speak(null))

/** What things are found by: of these no letter may change. */
const NAMES = new Set(['id', 'code', 'kind', 'slot', 'role'])

/** All names of a document by which its things are found, in order. */
function namesIn(document: unknown, key = ''): readonly unknown[] {
  if (Array.isArray(document)) return document.flatMap((inner: unknown) => namesIn(inner, key))
  if (document !== null && typeof document === 'object')
    return Object.entries(document).flatMap(([name, inner]) => namesIn(inner, name))
  return NAMES.has(key) ? [document] : []
}

/** A job planned in English and in the made-up language, its marks taken off: both as documents. */
function bothWays(job: Job): { readonly other: unknown; readonly english: unknown } {
  const plan = () => {
    const planned = planJob(job)
    const lays = planned.kind === 'worked' ? planned.cloth.lays.map(() => null) : []
    return JSON.stringify(planDocument(job, planned, lays))
  }
  speak(null)
  const english = plan()
  speak(language)
  const said = plan()
  expect(namesIn(JSON.parse(said))).toEqual(namesIn(JSON.parse(english)))
  return { other: JSON.parse(unmarked(said)), english: JSON.parse(english) }
}

it.each(demoJobs().map((job) => [job.ticket, job] as const))('%s is planned alike in another language', (_, job) => {
  const { other, english } = bothWays(job)
  expect(other).toEqual(english)
})

it('so is any seat, made up in any way, of any cloth and filling', () => {
  fc.assert(
    fc.property(anySeat, anyMakeUp, anyClothChoice, anyFilling, (seat, makeUp, cloth, filling) => {
      const { other, english } = bothWays(jobOf({ ...keepersBenchPart(), seat, makeUp, cloth, filling }))
      expect(other).toEqual(english)
    }),
    { numRuns: 120 },
  )
})

it('the made-up language is another one, and English with its marks taken off', () => {
  speak(language)
  expect(shown('Two plates and boxing between them.')).not.toBe('Two plates and boxing between them.')
  for (const [word, own] of Object.entries(language)) expect(unmarked(own)).toBe(word)
})

it('what the solver of strips is given is no sentence', () => {
  expect(Object.keys(language).filter((word) => /Subject To|Minimize/.test(word))).toEqual([])
})
