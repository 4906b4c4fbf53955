// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { defineComponent, h, nextTick, ref } from 'vue'
import { useEnlarged } from './use-enlarged.ts'

const Drawing = defineComponent({
  setup(_, { expose }) {
    const place = ref<HTMLElement | null>(null)
    const zoom = useEnlarged(place)
    expose({ zoom })
    return () => h('div', { ref: place, tabindex: 0 }, [String(zoom.factor.value), h('input')])
  },
})

it('a drawing that scrolls is enlarged by keys and the wheel with Control, up to six times, and fitted again', async () => {
  const drawing = mount(Drawing)
  await nextTick()
  const factor = () => Number(drawing.element.firstChild!.textContent)
  await drawing.trigger('keydown', { key: '+' })
  expect(factor()).toBe(1.5)
  await drawing.trigger('keydown', { key: '-' })
  expect(factor()).toBe(1)
  await drawing.trigger('keydown', { key: '-' })
  expect(factor()).toBe(1)
  for (let i = 0; i < 9; i++) await drawing.trigger('keydown', { key: '=' })
  expect(factor()).toBe(6)
  await drawing.trigger('keydown', { key: '0' })
  expect(factor()).toBe(1)
  await drawing.trigger('wheel', { deltaY: -200 })
  expect(factor()).toBe(1)
  await drawing.trigger('wheel', { deltaY: -200, ctrlKey: true })
  expect(factor()).toBeCloseTo(1.35, 2)
  await drawing.find('input').trigger('keydown', { key: '0' })
  expect(factor()).toBeCloseTo(1.35, 2)
})
