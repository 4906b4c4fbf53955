export { STATIONS, type Level, type Station, type Warning, type WarningCase } from './warning.ts'
export { warningWords, type WarningWords } from './words.ts'
