export { PairTable } from './pair-table.ts'
export { separation } from './separation.ts'
