// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import ChoiceButtons from './ChoiceButtons.vue'
import CountField from './CountField.vue'
import LengthField from './LengthField.vue'

const lengthField = (
  props: Partial<{
    modelValue: number
    unit: 'mm' | 'cm' | 'inch-8' | 'inch-16'
    min: number
    max: number
    line: 'net' | 'cut'
  }> = {},
) => mount(LengthField, { props: { modelValue: 600, unit: 'mm', name: 'Depth', ...props } })

describe('a length field', () => {
  it('shows the value in the unit of the job', () => {
    expect(lengthField().find('input').element.value).toBe('600')
    expect(lengthField({ unit: 'inch-8', modelValue: 600.075 }).find('input').element.value).toBe('23 5/8')
  })

  it('takes every keystroke that makes a length and says how it understood it', async () => {
    const field = lengthField({ line: 'net' })
    await field.find('input').setValue('23 5/8"')
    expect(field.emitted('update:modelValue')!.at(-1)).toEqual([expect.closeTo(600.075, 6)])
    expect(field.text()).toContain('23 5/8 in = 600.1 mm, net')
  })

  it.each<[string, string]>([
    ['', 'Depth is empty: type a length.'],
    ['wide', 'Depth: "wide" is not a length. Type it as 600, 60 cm, 23 5/8 or 42+3/4.'],
    ['1/0', 'Depth: "1/0" divides by nought. Check the fraction.'],
    ['0', 'Depth must be more than nought.'],
    ['21 m', 'Depth is 21000 mm; at most 20000 mm is taken. Check the unit.'],
  ])('%j is told in words and not taken', async (text, words) => {
    const field = lengthField()
    await field.find('input').setValue(text)
    expect(field.emitted('update:modelValue')).toBeUndefined()
    expect(field.get('[role=alert]').text()).toBe(words)
    expect(field.get('input').attributes('aria-invalid')).toBe('true')
  })

  it('keeps its own limits', async () => {
    const field = lengthField({ min: 0, max: 6, modelValue: 5 })
    await field.find('input').setValue('7')
    expect(field.get('[role=alert]').text()).toBe('Depth is 7 mm; at most 6 mm is taken. Check the unit.')
    await field.find('input').setValue('0')
    expect(field.emitted('update:modelValue')!.at(-1)).toEqual([0])
  })

  it('leaves a bad entry to be mended and tidies a good one', async () => {
    const field = lengthField()
    await field.find('input').trigger('focus')
    await field.find('input').setValue('59 cm + 10')
    await field.setProps({ modelValue: 600 })
    await field.find('input').trigger('blur')
    expect(field.find('input').element.value).toBe('600')
    await field.find('input').setValue('59 cm +')
    await field.find('input').trigger('blur')
    expect(field.find('input').element.value).toBe('59 cm +')
  })

  it('follows a change from elsewhere, and a change of unit', async () => {
    const field = lengthField()
    await field.setProps({ modelValue: 512 })
    expect(field.find('input').element.value).toBe('512')
    await field.setProps({ unit: 'cm' })
    expect(field.find('input').element.value).toBe('51.2')
  })
})

describe('a count field', () => {
  const field = () => mount(CountField, { props: { modelValue: 3, name: 'Cushions', min: 1, max: 60 } })

  it('takes whole numbers within its limits only', async () => {
    const f = field()
    for (const text of ['0', '61', '2.5', 'three', '']) {
      await f.find('input').setValue(text)
      expect(f.get('[role=alert]').text()).toBe('Cushions: a whole number from 1 to 60 is wanted.')
    }
    expect(f.emitted('update:modelValue')).toBeUndefined()
    await f.find('input').setValue('12')
    expect(f.emitted('update:modelValue')).toEqual([[12]])
  })

  it('steps, and stops at its ends', async () => {
    const f = field()
    await f.findAll('button')[1]!.trigger('click')
    expect(f.emitted('update:modelValue')).toEqual([[4]])
    await f.setProps({ modelValue: 1 })
    expect(f.findAll('button')[0]!.attributes('disabled')).toBeDefined()
  })
})

it('choice buttons are radio buttons with one taken', async () => {
  const choices = [
    { value: 'a', label: 'First' },
    { value: 'b', label: 'Second' },
  ]
  const group = mount(ChoiceButtons, { props: { modelValue: 'a', choices, name: 'Which' } })
  expect(group.get('[role=radiogroup]').attributes('aria-label')).toBe('Which')
  expect(group.findAll('input').map((i) => (i.element as HTMLInputElement).checked)).toEqual([true, false])
  await group.findAll('input')[1]!.setValue()
  expect(group.emitted('update:modelValue')).toEqual([['b']])
})
