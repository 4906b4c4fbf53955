export { waterfall } from './waterfall.ts'
