import type { Directive } from 'vue'

type Field = HTMLInputElement | HTMLTextAreaElement

const beingTyped = new WeakSet<Field>()

/**
 * The value of a field that is taken over when it is left: `v-typed="job.title" @change="…"`. What is
 * being typed stays, however often the page is drawn meanwhile; a bound value would wipe it out.
 */
export const vTyped: Directive<Field, string | number> = {
  mounted(field, { value }) {
    field.value = String(value)
    field.addEventListener('input', () => beingTyped.add(field))
    for (const end of ['change', 'blur']) field.addEventListener(end, () => beingTyped.delete(field))
  },
  updated(field, { value }) {
    if (!beingTyped.has(field) && field.value !== String(value)) field.value = String(value)
  },
}
