export { err, ok, type Result } from './result.ts'
