// @vitest-environment happy-dom
import { createApp, h, nextTick, ref, withDirectives } from 'vue'
import { expect, it } from 'vitest'
import { vTyped } from './v-typed.ts'

/** A field over a value, drawn anew with every tick of a clock. */
function shown() {
  const [value, clock, said] = [ref('as saved'), ref(0), ref('')]
  const page = document.createElement('div')
  createApp({
    render: () =>
      h('div', [
        String(clock.value),
        withDirectives(h('input', { onChange: (e: Event) => (said.value = (e.target as HTMLInputElement).value) }), [
          [vTyped, value.value],
        ]),
      ]),
  }).mount(page)
  const field = page.querySelector('input')!
  const type = (text: string) => {
    field.value = text
    field.dispatchEvent(new Event('input'))
  }
  return { value, clock, said, field, type }
}

it('what is being typed stays while the page is drawn, and is taken over when the field is left', async () => {
  const { value, clock, said, field, type } = shown()
  type('half a wor')
  clock.value++
  value.value = 'from another window'
  await nextTick()
  expect(field.value).toBe('half a wor')
  field.dispatchEvent(new Event('change'))
  expect(said.value).toBe('half a wor')
})

it('a field that nobody types in follows its value', async () => {
  const { value, clock, field, type } = shown()
  expect(field.value).toBe('as saved')
  value.value = 'from another window'
  await nextTick()
  expect(field.value).toBe('from another window')
  // Typed and put back: left without a change, it follows again.
  type('from another window')
  field.dispatchEvent(new Event('blur'))
  value.value = 'later'
  clock.value++
  await nextTick()
  expect(field.value).toBe('later')
})
