import type { ShopSettings } from '../../contract/index.ts'
import { FACTORY_BOOK, USUAL_WORKSHOP } from '../../core/defaults/index.ts'
import { DEMO_CLOTHS, DEMO_FOAM_STOCK, DEMO_GRADES, DEMO_TRIMS } from '../../core/demo/index.ts'
import type { ShopLists } from '../api/shop.ts'

export const SETTINGS: ShopSettings = {
  shopName: 'Halyard & Hem',
  currency: 'EUR',
  units: 'mm',
  book: FACTORY_BOOK,
  address: '',
  taxNumber: '',
  locale: '',
  paper: 'A4',
  firstWeekday: 'monday' as const,
  schools: [],
  lays: 'shortest',
  workshop: USUAL_WORKSHOP,
}

/** The lists of the demo's shop, as a page reads them. */
export const DEMO_SHOP: ShopLists = {
  grades: DEMO_GRADES,
  cloths: DEMO_CLOTHS,
  foamStock: DEMO_FOAM_STOCK,
  trims: DEMO_TRIMS,
  settings: SETTINGS,
}
