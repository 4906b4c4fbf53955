import { nextTick } from 'vue'
import type { Router } from 'vue-router'
import { wantedField } from '../stores/wanted-field.ts'

/** Goes to the station of a figure's `change` (`station.field`) and puts the cursor into the field that changes it. */
export async function focusField(router: Router, jobId: string, change: string): Promise<void> {
  const [station] = change.split('.')
  wantedField.value = change
  await router.push(`/jobs/${jobId}/${station}`)
  await nextTick()
  await nextTick()
  const place = document.querySelector(`[data-field="${CSS.escape(change)}"]`)
  const field = place?.querySelector<HTMLElement>('input, button')
  field?.scrollIntoView({ block: 'center' })
  field?.focus()
  if (field instanceof HTMLInputElement) field.select()
}
