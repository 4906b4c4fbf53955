import { describe, expect, it } from 'vitest'
import type { JobSummary } from '../../contract/index.ts'
import { jobCard } from '../../core/card/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import { findJobs, furnitureOf, naming, type Wanted } from './find-jobs.ts'

const card = jobCard(keepersBench())
const job = (
  ticket: string,
  customer: string,
  change: Partial<JobSummary['card']> = {},
  savedAt = '2026-03-02T09:00:00.000Z',
): JobSummary => ({
  id: ticket,
  ticket,
  title: `Bench of ${customer}`,
  customer,
  revision: 1,
  savedAt,
  card: { ...card, ...change },
})
const shelf = [
  job(
    'J-10',
    'Skerrow Light Trust',
    { dueOn: '2026-04-01', stage: 'ordered', furniture: 'Gallery bench' },
    '2026-03-04T09:00:00.000Z',
  ),
  job('J-9', 'Kelp & Co', { dueOn: '2026-03-20', stage: 'making' }),
  job('J-2', 'Skerrow Light Trust', { stage: 'billed', furniture: 'Gallery bench' }, '2024-03-04T09:00:00.000Z'),
  job('J-3', 'Skerrow Light Trust', { archivedOn: '2026-01-01', stage: 'billed', furniture: 'Settle' }),
]
const found = (wanted: Partial<Wanted>) =>
  findJobs(shelf, { text: '', stage: 'all', order: 'ticket', ...wanted }).map((j) => j.ticket)

describe('the shelf', () => {
  it.each<[Partial<Wanted>, string[]]>([
    [{}, ['J-2', 'J-9', 'J-10']],
    [{ stage: 'open' }, ['J-9', 'J-10']],
    [{ stage: 'making' }, ['J-9']],
    [{ stage: 'archived' }, ['J-3']],
    [{ text: 'GALLERY skerrow' }, ['J-2', 'J-10']],
    [{ text: 'ticking fulmar' }, ['J-2', 'J-9', 'J-10']],
    [{ text: 'gallery kelp' }, []],
    [{ order: 'due' }, ['J-9', 'J-10', 'J-2']],
    [{ order: 'saved' }, ['J-10', 'J-9', 'J-2']],
    [{ order: 'customer' }, ['J-9', 'J-2', 'J-10']],
  ])('%j', (wanted, tickets) => expect(found(wanted)).toEqual(tickets))

  it('knows what was made for a customer, the newest ticket of each piece first, put away or not', () => {
    expect(furnitureOf(shelf, 'Skerrow Light Trust').map((f) => [f.furniture, f.newest.ticket])).toEqual([
      ['Gallery bench', 'J-10'],
      ['Settle', 'J-3'],
    ])
    expect(furnitureOf(shelf, 'Nobody')).toEqual([])
  })

  it('names a ticket by every word, put away or not', () => {
    expect(shelf.filter(naming(' settle  SKERROW ')).map((j) => j.ticket)).toEqual(['J-3'])
    expect(shelf.filter(naming(''))).toHaveLength(4)
    expect(shelf.filter(naming('settle kelp'))).toEqual([])
  })

  it('of 2000 tickets finds all of one customer', () => {
    const many = Array.from({ length: 2000 }, (_, i) => job(`M-${i}`, `Loft${i % 90}`))
    expect(findJobs(many, { text: 'loft77', stage: 'all', order: 'ticket' })).toHaveLength(
      many.filter((j) => j.customer === 'Loft77').length,
    )
  })
})
