import { expect, it } from 'vitest'
import type { JobSummary, Trim } from '../../contract/index.ts'
import { jobCard } from '../../core/card/index.ts'
import { keepersBench } from '../../core/demo/index.ts'
import { shelfRows, toOrder } from './shelf-rows.ts'

const trim = (change: Partial<Trim>): Trim => ({
  id: 'z',
  name: 'Zip',
  use: 'zip',
  unit: 'm',
  price: 1,
  pack: 50,
  inHand: 30,
  reorderAt: 20,
  ...change,
})
const job = (ticket: string, amount: number): JobSummary => ({
  id: ticket,
  ticket,
  title: '',
  customer: '',
  revision: 1,
  savedAt: '2026-03-02T09:00:00.000Z',
  card: { ...jobCard(keepersBench()), needs: { trims: [{ use: 'zip', amount }], cloths: [] } },
})

it('what open jobs need is kept for them, on the first thing of its use; what is left decides about ordering', () => {
  const [first, second, never] = shelfRows(
    [trim({}), trim({ id: 'z2' }), trim({ id: 'z3', use: 'cord', inHand: 0, reorderAt: 0 })],
    [job('A', 3), job('B', 8)],
  )
  expect(first).toMatchObject({ kept: 11, keptFor: ['A', 'B'], free: 19, isLow: true })
  expect(second).toMatchObject({ kept: 0, free: 30, isLow: false })
  expect(never).toMatchObject({ isLow: false })
})

it('is ordered in whole packs, well above its order point', () => {
  // 2 x 20 - 19 = 21: one pack of 50; with 60 short of nothing 2 x 20 + 60 = 100: two packs.
  expect(toOrder(shelfRows([trim({})], [job('A', 11)])[0]!)).toBe(50)
  expect(toOrder(shelfRows([trim({})], [job('A', 90)])[0]!)).toBe(100)
  expect(toOrder(shelfRows([trim({ pack: 0.6, inHand: 1, reorderAt: 0 })], [])[0]!)).toBeCloseTo(0.6, 9)
})
