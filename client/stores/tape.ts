import { defineStore } from 'pinia'
import { ref } from 'vue'
import { phrase } from '../../core/language/index.ts'
import { LONGEST_MM } from '../../contract/index.ts'
import { setReadings } from '../../core/job/index.ts'
import { slotOf } from '../../core/seat/index.ts'
import { formatLengthWithUnit } from '../../core/units/index.ts'
import type { TapeDriver, TapeReading } from '../tape/driver.ts'
import { dayOf } from '../ui/today.ts'
import { useDevice } from './device.ts'
import { useJob } from './job.ts'

/** The dimension a reading goes to: that of the field that had the focus last. */
export interface TapeTarget {
  readonly slot: string
  readonly label: string
}

/** A connected tape, and where its readings go. */
export const useTape = defineStore('tape', () => {
  const jobs = useJob()
  const device = useDevice<TapeReading, TapeDriver>(take)
  const { said } = device
  const target = ref<TapeTarget | null>(null)
  /** The first reading after a field is focused replaces what stood there; those that follow are added. */
  let isFresh = true

  function aim(next: TapeTarget): void {
    if (target.value?.slot === next.slot) return
    target.value = next
    isFresh = true
  }

  function take({ mm, at }: TapeReading): void {
    const job = jobs.job
    const slot = job && target.value ? slotOf(job.seat, target.value.slot) : undefined
    if (!job || !slot || !target.value) {
      said.value = 'No field has the focus: click into the dimension that is being measured.'
      return
    }
    if (!(mm > 0) || mm > LONGEST_MM) {
      said.value = phrase`The tape sent ${mm} mm, which cannot be: not taken.`
      return
    }
    const reading = { mm, on: dayOf(at) }
    const before = isFresh ? [] : slot.dimension.readings.slice(-19)
    isFresh = false
    jobs.edit(
      setReadings(
        target.value.slot,
        [...before, reading],
        phrase`${target.value.label}: ${formatLengthWithUnit(mm, job.units)} from the tape`,
      ),
    )
    said.value = phrase`${target.value.label}: ${formatLengthWithUnit(mm, job.units)} taken`
  }

  return { ...device, target, aim }
})
