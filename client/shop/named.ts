import type { ShopSettings } from '../../contract/index.ts'

/** Settings with a name that can stand on papers. @throws Error in words where there is none. */
export function named(settings: ShopSettings): ShopSettings {
  const shopName = settings.shopName.trim()
  if (shopName === '') throw new Error('The shop wants a name: it stands on quotes, labels and backups.')
  return { ...settings, shopName }
}
