export { PairTable, STRIP_WORK } from './pair-table.ts'
export { separation } from './separation.ts'
