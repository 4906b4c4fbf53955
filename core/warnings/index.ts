export { canBeMeant, warningKey, withoutMeant } from './meant.ts'
export { warningWords, type Warning, type WarningCase } from './warnings.ts'
