export { formatLength, formatLengthWithUnit, trimmed, unitName } from './format-length.ts'
export { parseLength, type LengthFailure, type ReadLength } from './parse-length.ts'
export { isInch, MM_PER_INCH, type LengthUnit } from './unit.ts'
