import type { Cloth, MachineCard } from '../../contract/index.ts'

/**
 * The card for a cloth: the lightest one that still takes its mass and thickness, and one for outdoors where the cloth
 * lives there. Null where the shop has none.
 */
export function machineCardFor(
  cards: readonly MachineCard[],
  { massGM2, use, thicknessMm }: Pick<Cloth, 'massGM2' | 'use' | 'thicknessMm'>,
): MachineCard | null {
  const isOut = use !== 'indoors'
  const fit = cards
    .filter((c) => massGM2 <= c.upToGM2 && thicknessMm <= c.upToMm)
    .toSorted((a, b) => a.upToGM2 - b.upToGM2)
  return fit.find((c) => c.outdoors === isOut) ?? fit[0] ?? null
}
