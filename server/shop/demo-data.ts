import { DEMO_CLOTHS, DEMO_GRADES, FACTORY_BOOK, keepersBench } from '../../core/shop/index.ts'
import type { JobsRepository } from '../jobs/repository.ts'
import type { ShopRepository } from './repository.ts'

/** Stocks an empty shop; with `demo`, hangs the demo ticket on the nail as well. */
export async function stockEmptyShop(shop: ShopRepository, jobs: JobsRepository, demo: boolean): Promise<void> {
  if (!(await shop.isEmpty())) return
  await shop.stock(DEMO_GRADES, DEMO_CLOTHS, { shopName: 'Halyard & Hem', currency: 'EUR', units: 'mm', book: FACTORY_BOOK })
  if (demo) await jobs.create(keepersBench(), 'demo ticket')
}
