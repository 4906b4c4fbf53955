import type { Cloth } from '../../../contract/index.ts'

/** What is hidden may be cut from the cheapest cloth that is bought; null where there is no other. */
export const hiddenCloth = (cloths: readonly Cloth[], otherThan: string | undefined): Cloth | null =>
  cloths
    .filter((c) => c.supply.kind === 'to-buy' && c.id !== otherThan)
    .toSorted((a, b) => a.pricePerMetre - b.pricePerMetre)[0] ?? null
