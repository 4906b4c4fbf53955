// @vitest-environment happy-dom
import { mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it } from 'vitest'
import type { PartJob } from '../../contract/index.ts'
import { keepersBenchPart } from '../../core/demo/index.ts'
import { useShop } from '../stores/shop.ts'
import { DEMO_SHOP } from '../testing/demo-shop.ts'
import TypingLine from './TypingLine.vue'

beforeEach(() => {
  setActivePinia(createPinia())
  useShop().lists = DEMO_SHOP
})

const line = (job: PartJob | null = null) =>
  mount(TypingLine, { props: { job, units: job?.units ?? 'mm', placeholder: 'Type' } })
type Line = ReturnType<typeof line>
const type = (w: Line, text: string) => w.get('input').setValue(text)
const enter = (w: Line) => w.get('form').trigger('submit')
const answer = (w: Line) => w.get('output').text()
const presses = (w: Line) => w.findAll('button').map((b) => b.text())

describe('the typing line', () => {
  it('says back what is understood while it is typed, with a sketch of a new seat; Enter takes it', async () => {
    const w = line()
    await type(w, '2 cushions 24 x 22 x 4 in, piped')
    expect(answer(w)).toMatch(/^2 of 24 in x 22 in x 4 in net; Piping on both/)
    expect(w.find('.answer svg path').exists()).toBe(true)
    await enter(w)
    expect(w.emitted('seat')).toHaveLength(1)
    expect(w.get('input').element.value).toBe('')
    expect(answer(w)).toMatch(/^Understood: 2 of/)
  })

  it('keeps what is not understood, and tells why only when it is entered', async () => {
    const w = line()
    await type(w, 'purple 600 x 500')
    expect(answer(w)).toBe('')
    await enter(w)
    expect(answer(w)).toContain('"purple" is not a word of this line')
    expect(w.get('output').classes()).toContain('failed')
    expect(w.get('input').element.value).toBe('purple 600 x 500')
    expect(w.emitted('seat')).toBeUndefined()
    await type(w, 'cushion 600 x 500 x 80')
    expect(w.get('output').classes()).not.toContain('failed')
  })

  it('asks whether to go on without what it does not understand, which is kept as a note', async () => {
    const w = line()
    await type(w, 'purple cushion 600 x 500 x 80, piped')
    expect(answer(w)).toBe('')
    await enter(w)
    expect(answer(w)).toContain('"purple" is not a word of this line')
    expect(w.emitted('seat')).toBeUndefined()
    const [yes, no] = w.findAll('.asked button')
    expect(yes!.text()).toMatch(/^1 of 600 mm x 500 mm x 80 mm net; Piping on both.*; Note: purple cushion$/)
    await no!.trigger('click')
    expect(w.find('.asked').exists()).toBe(false)
    await enter(w)
    await w.get('.asked button').trigger('click')
    const [[{ also }]] = w.emitted('seat') as [[{ also: { apply: (job: PartJob) => PartJob }[] }]]
    expect(also.reduce((job, edit) => edit.apply(job), keepersBenchPart()).note).toContain('purple cushion')
  })

  it('asks which is meant, takes the one that is pressed, and drops the question with the next key', async () => {
    const w = line(keepersBenchPart())
    await type(w, 'foam gannet')
    await enter(w)
    const names = DEMO_SHOP.grades.filter((g) => g.name.startsWith('Gannet')).map((g) => `Foam ${g.name}`)
    expect(presses(w)).toEqual(['What can I type??', ...names, 'None of these'])
    expect(w.emitted('edit')).toBeUndefined()
    await w.findAll('button')[2]!.trigger('click')
    const [[edit]] = w.emitted('edit') as [[{ apply: (job: PartJob) => PartJob }]]
    const { filling } = edit.apply(keepersBenchPart())
    expect(filling.kind === 'foam' && `Foam ${filling.layers[0]!.grade.name}`).toBe(names[1])
    await type(w, 'foam gannet')
    await enter(w)
    await type(w, 'foam gannet 3')
    expect(presses(w)).not.toContain('None of these')
  })

  it('offers how a word may go on; the right arrow at its end takes the first', async () => {
    const w = line(keepersBenchPart())
    await type(w, 'thic')
    expect(presses(w)).toContain('thickness')
    const field = w.get('input').element
    field.setSelectionRange(4, 4)
    await w.get('input').trigger('keydown', { key: 'ArrowRight' })
    expect(field.value).toMatch(/^thickness ?$/)
  })

  it('opens the help for a question mark, and passes commands on', async () => {
    const w = line(keepersBenchPart())
    await type(w, '?')
    await enter(w)
    expect(w.emitted('help')).toHaveLength(1)
    await type(w, 'undo')
    await enter(w)
    expect(w.emitted('command')).toEqual([['undo']])
  })

  it('a size that no cushion has is asked about before anything is changed', async () => {
    const w = line(keepersBenchPart())
    await type(w, 'depth 1')
    await enter(w)
    expect(answer(w)).toContain('No cushion is only 1 mm deep')
    expect(presses(w)).toContain('Neither')
    expect(w.emitted('edit')).toBeUndefined()
  })
})
