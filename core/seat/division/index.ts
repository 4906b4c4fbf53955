export { divide, type DivisionFault } from './divide.ts'
export type { Cut, Place } from './own-frame.ts'
