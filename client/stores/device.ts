import { computed, ref, shallowRef } from 'vue'

/** What every driver has in common: it is listened to until told to stop, and says whether it is real. */
interface Driver<Reading> {
  readonly isSimulated: boolean
  readonly connect: (onReading: (reading: Reading) => void, onFailure: (why: string) => void) => () => void
}

/** One connected device at a time; its readings go to `take`, what it says to `said`. */
export function useDevice<Reading, D extends Driver<Reading>>(take: (reading: Reading) => void) {
  const driver = shallowRef<D | null>(null)
  const said = ref('')
  let stop: (() => void) | null = null

  function connect(next: D): void {
    disconnect()
    driver.value = next
    stop = next.connect(take, (why) => (said.value = why))
  }

  function disconnect(): void {
    stop?.()
    stop = null
    driver.value = null
    said.value = ''
  }

  return { driver, isConnected: computed(() => driver.value !== null), said, connect, disconnect }
}
