export { leastSheets, lowerBound, type Bound } from './at-once.ts'
export { crossSections } from './cross-sections.ts'
export { neverAbreast } from './never-abreast.ts'
