export {
  BOARD_FEET_PER_M3,
  EIGHTH_OF_A_YARD_MM,
  KG_M3_PER_LB_FT3,
  KG_PER_LB,
  METRES_PER_YARD,
  N_PER_LBF,
} from './trade-units.ts'
export {
  amountFactor,
  amountUnit,
  formatAmount,
  otherUnits,
  parseAmount,
  shownAmount,
  type AmountKind,
  type ReadAmount,
} from './parse-amount.ts'
export { formatLength, formatLengthWithUnit, trimmed, unitName } from './format-length.ts'
export { cutStepMm, inchParts, isInch, MM_PER_INCH, mmPerUnit, toCut, UNIT_WORDS, type LengthUnit } from './unit.ts'
export { plainText } from './plain-text.ts'
export { LENGTH_UNITS, parseLength, type LengthFailure, type ReadLength } from './parse-length.ts'
