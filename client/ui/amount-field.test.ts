// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import AmountField from './AmountField.vue'

const field = (props: Partial<InstanceType<typeof AmountField>['$props']> = {}) =>
  mount(AmountField, { props: { modelValue: 30, kind: 'density', name: 'Density', min: 5, max: 400, ...props } })

describe('an amount field', () => {
  it('shows the stored unit, and takes any other of its kind', async () => {
    const density = field()
    expect(density.find('input').element.value).toBe('30')
    expect(density.text()).toContain('kg/m³')
    await density.find('input').trigger('focus')
    await density.find('input').setValue('1.8 lb/ft3')
    expect(density.emitted('update:modelValue')!.at(-1)).toEqual([expect.closeTo(28.833, 3)])
    expect(density.text()).toContain('28.83 kg/m³')
  })

  it.each<[string, string]>([
    ['heavy', 'Density: "heavy" is not understood. Type 202.5, or with lb/ft³.'],
    ['30 N', 'Density: "30 N" is not understood. Type 202.5, or with lb/ft³.'],
    ['0', 'Density must lie between 5 kg/m³ and 400 kg/m³.'],
    ['900', 'Density must lie between 5 kg/m³ and 400 kg/m³.'],
    ['', 'Density: "" is not understood. Type 202.5, or with lb/ft³.'],
  ])('%j is told in words and not taken', async (text, words) => {
    const density = field()
    await density.find('input').setValue(text)
    expect(density.emitted('update:modelValue')).toBeUndefined()
    expect(density.get('[role=alert]').text()).toBe(words)
  })

  it('where it is optional, empty is an answer, and what is usual stands in grey', async () => {
    const force = field({
      modelValue: 160,
      kind: 'force',
      name: 'Force',
      min: 1,
      max: 1000,
      optional: true,
      placeholder: '140',
    })
    await force.find('input').setValue('')
    expect(force.emitted('update:modelValue')!.at(-1)).toEqual([null])
    expect(force.find('input').attributes('placeholder')).toBe('140')
    expect(force.find('[role=alert]').exists()).toBe(false)
  })

  it('a bad entry stays to be mended, a good one is shown in the stored unit', async () => {
    const mass = field({ modelValue: 1, kind: 'mass', name: 'Mass', min: 0.01, max: 50 })
    const input = mass.find('input')
    await input.setValue('12 stone')
    await input.trigger('blur')
    expect(input.element.value).toBe('12 stone')
    await input.setValue('2 lb')
    await mass.setProps({ modelValue: 0.907 })
    await input.trigger('blur')
    expect(input.element.value).toBe('0.907')
  })

  it('does not overwrite what is being typed', async () => {
    const share = field({ modelValue: 0.2, kind: 'share', name: 'Share', min: 0, max: 1 })
    await share.find('input').trigger('focus')
    await share.find('input').setValue('25')
    await share.setProps({ modelValue: 0.25 })
    expect(share.find('input').element.value).toBe('25')
  })
})
