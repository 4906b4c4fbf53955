export { cube } from './cube.ts'
