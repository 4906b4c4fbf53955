import { simulatedReading, type TapeNoise } from '../../core/tape/index.ts'
import type { TapeDriver, TapeReading } from './driver.ts'

export interface SimulatedTape extends TapeDriver {
  /** Stands for the button on a real tape: what it then sends is the true length with noise. */
  readonly press: (trueMm: number, noise: TapeNoise) => void
}

/** A tape that measures lengths it is told; for trying out, and for tests. */
export function simulatedTape(random: () => number = Math.random): SimulatedTape {
  const listeners = new Set<(reading: TapeReading) => void>()
  return {
    name: 'Simulated tape',
    isSimulated: true,
    connect: (onReading) => {
      listeners.add(onReading)
      return () => listeners.delete(onReading)
    },
    press: (trueMm, noise) => {
      const reading = { mm: simulatedReading(trueMm, noise, random), at: new Date() }
      listeners.forEach((listener) => listener(reading))
    },
  }
}
