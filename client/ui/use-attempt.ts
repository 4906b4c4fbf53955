import { ref } from 'vue'

/** Runs what may fail and keeps the words of the failure beside it. */
export function useAttempt() {
  const failed = ref('')
  async function attempt(work: () => Promise<unknown>): Promise<void> {
    failed.value = ''
    try {
      await work()
    } catch (cause) {
      failed.value = (cause as Error).message
    }
  }
  return { failed, attempt }
}
