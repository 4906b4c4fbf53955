export { acceptLay } from './accept.ts'
export type { LayFault } from './fault.ts'
