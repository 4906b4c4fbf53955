import { firstPart } from '../../core/job/index.ts'
import { expect, it } from 'vitest'
import type { JobSummary } from '../../contract/index.ts'
import { jobCard } from '../../core/card/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import { lessonsFor } from './lessons.ts'

const bench = keepersBench()
const job = { ...bench, terms: { ...bench.terms, furniture: 'Gallery bench' } }
const other = (id: string, change: Partial<JobSummary['card']>): JobSummary => ({
  id,
  ticket: id,
  title: id,
  customer: '',
  revision: 1,
  savedAt: '2026-03-02T09:00:00.000Z',
  card: { ...jobCard(bench), lesson: `lesson of ${id}`, furniture: '', ...change },
})

it('lessons come from jobs that share the seat, the cloth or the make-up, the nearest first', () => {
  const cloth = { id: 'other', name: 'Other', colour: '#ffffff' }
  const others = [
    other('make-up', { cloth }),
    other('nothing', { cloth, makeUp: 'bolster' }),
    other('all', { furniture: 'Gallery bench' }),
    other('silent', { lesson: '  ' }),
    other('own', {}),
  ]
  expect(lessonsFor('own', firstPart(job), others).map((l) => [l.ticket, l.because])).toEqual([
    ['all', 'the same seat, the same cloth, the same make-up'],
    ['make-up', 'the same make-up'],
  ])
})
