import type { ShopSettings } from '../../contract/index.ts'
import { FACTORY_BOOK, USUAL_WORKSHOP } from '../../core/defaults/index.ts'
import {
  DEMO_CLOTHS,
  DEMO_FOAM_STOCK,
  DEMO_GRADES,
  DEMO_TRIMS,
  demoJobs,
  demoStanding,
  pastJobs,
} from '../../core/demo/index.ts'
import type { JobsRepository } from '../jobs/repository.ts'
import type { StockRepository } from '../stock/repository.ts'
import type { ShopRepository } from './repository.ts'

interface Shelves {
  readonly shop: ShopRepository
  readonly jobs: JobsRepository
  readonly stock: StockRepository
}

const FIRST_SETTINGS: ShopSettings = {
  shopName: '',
  address: '',
  taxNumber: '',
  locale: '',
  paper: 'A4',
  firstWeekday: 'monday',
  currency: 'EUR',
  units: 'mm',
  book: FACTORY_BOOK,
  schools: [],
  lays: 'shortest',
  workshop: USUAL_WORKSHOP,
}

/** A new shop has nothing but the usual allowances and rates: its first page asks whose it is. */
export async function openEmptyShop({ shop }: Shelves): Promise<void> {
  if (await shop.isEmpty()) await shop.stock([], [], [], FIRST_SETTINGS)
}

/** The demo shop, if there is none yet: its stores filled, its tickets on their nails, the first in front. */
export async function openDemoShop({ shop, jobs, stock }: Shelves, today: Date): Promise<void> {
  if (!(await shop.isEmpty())) return
  await shop.stock(DEMO_GRADES, DEMO_CLOTHS, DEMO_FOAM_STOCK, {
    ...FIRST_SETTINGS,
    shopName: 'Halyard & Hem',
    address: '3 Rope Walk\nSternhaven',
    taxNumber: 'SH 000 111 222',
  })
  await stock.trims.change(DEMO_TRIMS.map((value) => ({ value, base: null })))
  const day = today.toISOString().slice(0, 10)
  for (const job of pastJobs(day)) await jobs.create(job, 'demo ticket')
  for (const job of demoJobs().toReversed()) await jobs.create(demoStanding(job, day), 'demo ticket')
}
