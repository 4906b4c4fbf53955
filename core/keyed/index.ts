export { held } from './held.ts'
