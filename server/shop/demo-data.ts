import {
  DEMO_CLOTHS,
  DEMO_FOAM_STOCK,
  DEMO_GRADES,
  DEMO_TRIMS,
  demoJobs,
  demoStanding,
  FACTORY_BOOK,
  USUAL_WORKSHOP,
} from '../../core/shop/index.ts'
import type { JobsRepository } from '../jobs/repository.ts'
import type { StockRepository } from '../stock/repository.ts'
import type { ShopRepository } from './repository.ts'

/** Stocks an empty shop; with `demo`, hangs the demo tickets on their nails as well, the first in front. */
export async function stockEmptyShop(
  {
    shop,
    jobs,
    stock,
  }: { readonly shop: ShopRepository; readonly jobs: JobsRepository; readonly stock: StockRepository },
  demo: boolean,
  today: Date,
): Promise<void> {
  if (!(await shop.isEmpty())) return
  await shop.stock(DEMO_GRADES, DEMO_CLOTHS, demo ? DEMO_FOAM_STOCK : [], {
    shopName: 'Halyard & Hem',
    currency: 'EUR',
    units: 'mm',
    book: FACTORY_BOOK,
    schools: [],
    workshop: USUAL_WORKSHOP,
  })
  const trims = demo ? DEMO_TRIMS : DEMO_TRIMS.map((t) => ({ ...t, inHand: 0, reorderAt: 0 }))
  await stock.trims.change(trims.map((value) => ({ value, base: null })))
  if (demo)
    for (const job of demoJobs().toReversed())
      await jobs.create(demoStanding(job, today.toISOString().slice(0, 10)), 'demo ticket')
}
