import { effectScope, ref, watch, type Ref } from 'vue'
import { keepText, keptText } from './browser-store.ts'

const known = new Map<string, Ref<string>>()

/** A choice of whoever sits at this browser, kept as plain text; one for all who ask for the same key. */
export function usePreference<T extends string>(key: string, usual: T): Ref<T> {
  const chosen = known.get(key) ?? ref(keptText(key) ?? usual)
  if (!known.has(key)) {
    known.set(key, chosen)
    // Outlives the page that asked first.
    effectScope(true).run(() => watch(chosen, (value) => keepText(key, value), { flush: 'sync' }))
  }
  return chosen as Ref<T>
}
