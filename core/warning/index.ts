export { STATIONS, type Level, type Station, type Warning } from './warning.ts'
export { warningWords, type WarningWords } from './words.ts'
