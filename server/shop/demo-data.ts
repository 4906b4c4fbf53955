import { DEMO_CLOTHS, DEMO_FOAM_STOCK, DEMO_GRADES, demoJobs, FACTORY_BOOK, USUAL_WORKSHOP } from '../../core/shop/index.ts'
import type { JobsRepository } from '../jobs/repository.ts'
import type { ShopRepository } from './repository.ts'

/** Stocks an empty shop; with `demo`, hangs the demo tickets on their nails as well, the first in front. */
export async function stockEmptyShop(shop: ShopRepository, jobs: JobsRepository, demo: boolean): Promise<void> {
  if (!(await shop.isEmpty())) return
  await shop.stock(DEMO_GRADES, DEMO_CLOTHS, demo ? DEMO_FOAM_STOCK : [], { shopName: 'Halyard & Hem', currency: 'EUR', units: 'mm', book: FACTORY_BOOK, schools: [], workshop: USUAL_WORKSHOP })
  if (demo) for (const job of demoJobs().toReversed()) await jobs.create(job, 'demo ticket')
}
