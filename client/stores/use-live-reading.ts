import { useDebounceFn } from '@vueuse/core'
import { onMounted, watch, type Ref } from 'vue'
import { useAttempt } from '../ui/use-attempt.ts'
import { useLive } from './live.ts'
import { useShop } from './shop.ts'

const AFTER_SAVES_MS = 400

/**
 * Reads what a page shows when it is opened, after the shop's lists, and again whenever somebody saves. Gives why that
 * failed, apart from what a maker is told of an act of their own: that stays while the page is read again.
 */
export function useLiveReading(read: () => Promise<unknown>): Readonly<Ref<string>> {
  const { failed, attempt } = useAttempt()
  const [shop, live] = [useShop(), useLive()]
  onMounted(() =>
    attempt(async () => {
      await shop.open()
      await read()
    }),
  )
  watch(
    () => live.saves,
    useDebounceFn(() => void attempt(read), AFTER_SAVES_MS),
  )
  return failed
}
