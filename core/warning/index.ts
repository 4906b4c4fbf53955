export { isOfOnePart, STATIONS, type Level, type Raised, type Station } from './raised.ts'
export { percent, sayingIn, words, type Saying, type WarningWords, type WordsOf } from './words-of.ts'
