export { textKey } from './text-key.ts'
