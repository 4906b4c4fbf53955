import { defineStore } from 'pinia'
import { phrase } from '../../core/language/index.ts'
import { setFoam } from '../../core/job/index.ts'
import type { PressDriver, PressReading } from '../press/driver.ts'
import { useDevice } from './device.ts'
import { useJob } from './job.ts'

const MOST_READINGS = 60

/** A connected press; its readings go to the foam test of the open job. */
export const usePress = defineStore('press', () => {
  const jobs = useJob()
  const device = useDevice<PressReading, PressDriver>(take)
  const { driver, said } = device

  function take({ forceN, travelMm }: PressReading): void {
    const { filling } = jobs.job ?? {}
    if (filling?.kind !== 'foam' || !filling.test) {
      said.value = 'No foam test is open: start one first.'
      return
    }
    if (!(forceN > 0 && travelMm > 0) || travelMm >= filling.test.thicknessMm) {
      said.value = phrase`The press sent ${forceN} N at ${travelMm} mm, which cannot be in a piece ${filling.test.thicknessMm} mm thick: not taken.`
      return
    }
    const isSimulated = driver.value?.isSimulated ?? false
    jobs.edit(
      setFoam('Readings of the press', (foam) =>
        foam.test
          ? {
              ...foam,
              test: {
                ...foam.test,
                isSimulated,
                presses: [...foam.test.presses.slice(1 - MOST_READINGS), { forceN, sinkMm: travelMm }],
              },
            }
          : foam,
      ),
      'press',
    )
    said.value = phrase`${forceN} N at ${travelMm} mm taken`
  }

  return device
})
