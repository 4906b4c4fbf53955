import type { useShop } from '../stores/shop.ts'

/** Puts made-up foam, cloth and trims on the empty shelves of a new shop; none of them in stock. */
export async function layInExamples(shop: ReturnType<typeof useShop>): Promise<void> {
  const { DEMO_CLOTHS, DEMO_GRADES, DEMO_TRIMS } = await import('../../core/demo/index.ts')
  await shop.keepGrades(DEMO_GRADES)
  for (const cloth of DEMO_CLOTHS.filter((c) => c.supply.kind === 'to-buy')) await shop.keepCloth(cloth)
  await shop.keepTrims(DEMO_TRIMS.map((trim) => ({ ...trim, inHand: 0, reorderAt: 0 })))
}
