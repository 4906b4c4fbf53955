export { tryOut, type CompareRow, type SchoolResult } from './compare.ts'
export { schoolsFor } from './schools.ts'
export type { School } from './school.ts'
export { isOf, withoutSchool, withSchool } from './kept.ts'
