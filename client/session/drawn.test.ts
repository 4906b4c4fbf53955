// @vitest-environment happy-dom
import { beforeEach, describe, expect, it } from 'vitest'
import { createApp, shallowRef } from 'vue'
import { keepersBench } from '../../core/demo/index.ts'
import { DRAW_LATER, drawnSession } from './drawn.ts'
import type { Session } from './session.ts'
import { opened, transition } from './transition.ts'

const fresh = (id = 'a') =>
  opened({ id, revision: 4, savedAt: '2026-03-02T09:00:00.000Z', job: { ...keepersBench(), note: 'as saved' } }, 0)

/** A session on a page whose tasks run when they are told to. */
function page() {
  const session = shallowRef<Session | null>(fresh())
  const tasks: { work: () => void; isOff: boolean }[] = []
  const planned: string[] = []
  const app = createApp({}).provide(DRAW_LATER, (work) => {
    const task = { work, isOff: false }
    tasks.push(task)
    return () => (task.isOff = true)
  })
  const drawn = app.runWithContext(() => drawnSession(session, ({ job }) => planned.push(job.note)))
  return {
    session,
    planned,
    note: () => drawn.value?.job.note,
    /** Runs the next task, if it was not called off. */
    run: () => {
      const { work, isOff } = tasks.shift()!
      if (!isOff) work()
    },
    waiting: () => tasks.filter((task) => !task.isOff).length,
    edit: (note: string, key: string | null = 'note') => {
      const { job } = session.value!
      const event = { kind: 'edited' as const, job: { ...job, note }, says: note, key }
      session.value = transition(session.value!, event).session
    },
  }
}
const does = (kind: string) => dispatchEvent(new Event(kind))
const presses = (key: string) => dispatchEvent(Object.assign(new Event('keydown'), { key }))

beforeEach(() => does('focusin'))

describe('what is drawn while somebody types', () => {
  it('is planned in one task and drawn in the next', () => {
    const { edit, note, run, planned, waiting } = page()
    does('input')
    edit('s')
    expect([note(), planned]).toEqual(['as saved', []])
    run()
    expect([note(), planned]).toEqual(['as saved', ['s']])
    run()
    expect([note(), planned, waiting()]).toEqual(['s', ['s'], 0])
  })

  it('leaves out what was typed over', () => {
    const { edit, note, run, planned, waiting } = page()
    does('input')
    edit('s')
    does('input')
    edit('so')
    run()
    expect(planned).toEqual([])
    run()
    does('input')
    edit('sof')
    expect([note(), waiting()]).toEqual(['as saved', 1])
    run()
    run()
    run()
    expect([note(), planned]).toEqual(['sof', ['so', 'sof']])
  })

  it.each(['pointerdown', 'click', 'focusin', 'focusout', 'change'])('is all there at a %s', (kind) => {
    const { edit, note, waiting } = page()
    does('input')
    edit('soft')
    does(kind)
    expect([note(), waiting()]).toEqual(['soft', 0])
  })

  it('is all there at the key that ends it, and not at one that goes on', () => {
    const { edit, note } = page()
    does('input')
    edit('soft')
    presses('Backspace')
    expect(note()).toBe('as saved')
    presses('Enter')
    expect(note()).toBe('soft')
  })
})

describe('everything else is drawn at once', () => {
  it('what is pressed or dragged', () => {
    const { edit, note } = page()
    edit('by a button', null)
    expect(note()).toBe('by a button')
    does('input')
    edit('by a choice', null)
    expect(note()).toBe('by a choice')
    does('pointermove')
    edit('dragged', 'corner')
    expect(note()).toBe('dragged')
  })

  it('what comes of a save while a plan is waiting', () => {
    const { edit, note, session, waiting } = page()
    does('input')
    edit('soft')
    session.value = transition(session.value!, { kind: 'save-due' }).session
    expect([note(), waiting()]).toEqual(['soft', 0])
  })

  it('another job, and none', () => {
    const { edit, note, session, waiting } = page()
    does('input')
    edit('soft')
    session.value = fresh('b')
    expect([note(), waiting()]).toEqual(['as saved', 0])
    session.value = null
    expect(note()).toBeUndefined()
  })

  it('where nothing says how to draw later', () => {
    const session = shallowRef<Session | null>(fresh())
    expect(drawnSession(session, () => undefined)).toBe(session)
  })
})
