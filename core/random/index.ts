export { normal, pickBelow, seeded, type Random } from './random.ts'
