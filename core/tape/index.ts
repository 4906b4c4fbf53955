export { simulatedReading, USUAL_NOISE, type TapeNoise } from './simulated-reading.ts'
