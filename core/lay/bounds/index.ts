export { crossSections } from './cross-sections.ts'
export { patternRowsLength } from './pattern-rows.ts'
