import type { Grade } from '../../contract/index.ts'
import { simulatedStroke, type PressNoise, type PressSample } from '../../core/press/index.ts'
import type { PressDriver, PressReading } from './driver.ts'

export interface SimulatedPress extends PressDriver {
  /** Stands for the lever of a real press: one stroke into the piece that lies under it. */
  readonly stroke: (sample: PressSample, noise: PressNoise, others: readonly Grade[]) => void
}

/** A press with a foam under it that it is told; for trying out, and for tests. */
export function simulatedPress(random: () => number = Math.random): SimulatedPress {
  const listeners = new Set<(reading: PressReading) => void>()
  return {
    name: 'Simulated press',
    isSimulated: true,
    connect: (onReading) => {
      listeners.add(onReading)
      return () => listeners.delete(onReading)
    },
    stroke: (sample, noise, others) => {
      for (const reading of simulatedStroke(sample, noise, others, random))
        listeners.forEach((listener) => listener(reading))
    },
  }
}
