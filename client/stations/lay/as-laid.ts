import { ratesOf } from '../../../core/making/index.ts'
import type { Prices } from '../../../core/what-if/index.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useShop } from '../../stores/shop.ts'

/** What other ways of cutting are held against: the lengths the ticket lies on now, mm, and what the shop prices by. */
export function useAsLaid() {
  const [lays, shop] = [useLay(), useShop()]
  return {
    /** By the keys of their pieces, as far as they are laid. */
    laid: (): (readonly [key: string, lengthMm: number])[] =>
      lays.cloths.flatMap(({ key }, i) => (lays.all[i] ? [[key, lays.all[i]!.length] as const] : [])),
    prices: (): Prices => ({
      rates: ratesOf(shop.workshop),
      shelf: shop.lists?.trims ?? [],
      hourRate: shop.workshop.charges.hourRate,
    }),
  }
}
