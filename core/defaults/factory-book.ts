import type { AllowanceBook } from '../../contract/index.ts'

/** The allowance book a new shop starts with. */
export const FACTORY_BOOK: AllowanceBook = {
  seamMm: 12,
  gussetTurnMm: 22,
  zipRoundCornerMm: 150,
  pipingOverlapMm: 60,
  pipingRunOffMm: 40,
  tapeMarginMm: 6,
  notchMm: 5,
}
