import type { SupplierAnswer, SupplierItem, SupplierMood } from '../../contract/index.ts'

/**
 * A supplier that tells prices and days. A real one stands behind the same interface; the mood is for the simulated one
 * alone.
 */
export interface Supplier {
  readonly ask: (items: readonly SupplierItem[], mood: SupplierMood) => Promise<SupplierAnswer>
}
