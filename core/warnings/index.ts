export { warningWords, type Warning, type WarningCase } from './warnings.ts'
