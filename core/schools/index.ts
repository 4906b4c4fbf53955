export { tryOut, type CompareRow, type SchoolResult } from './compare.ts'
export { schoolsFor, type School } from './schools.ts'
export { isOf, withoutSchool, withSchool } from './kept.ts'
