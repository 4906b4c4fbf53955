import { hasInjectionContext, inject, shallowRef, watch, type InjectionKey, type ShallowRef } from 'vue'
import type { Session } from './session.ts'

/** Runs work in a task of its own, once what is on the screen now has been painted; gives how to call it off. */
export type Later = (work: () => void) => () => void
/** How an application draws what follows from typing; without it everything is drawn at once. */
export const DRAW_LATER: InjectionKey<Later> = Symbol('draw later')

/**
 * The session as the page draws it. It is the session itself, but while somebody types in a field the plan that follows is
 * made in one task and drawn in another, after the key is on the screen: no keystroke waits for a plan. Whatever is done
 * next finds everything drawn; only more typing in the same field may go ahead of it.
 * `planAhead` makes the plan of a session, and keeps it.
 */
export function drawnSession(
  session: Readonly<ShallowRef<Session | null>>,
  planAhead: (session: Session) => void,
): Readonly<ShallowRef<Session | null>> {
  const later = hasInjectionContext() ? inject(DRAW_LATER, null) : null
  if (!later) return session
  const drawn = shallowRef(session.value)
  let isTyping = false
  let callOff: (() => void) | null = null
  const draw = () => {
    callOff?.()
    callOff = null
    drawn.value = session.value
  }
  watch(
    session,
    (now, before) => {
      if (!now || !isTyping || !isOneEdit(now, before)) return draw()
      callOff?.()
      callOff = later(() => {
        planAhead(now)
        callOff = later(draw)
      })
    },
    { flush: 'sync' },
  )
  const act = () => {
    isTyping = false
    if (callOff) draw()
  }
  for (const kind of ACTS) addEventListener(kind, act, { capture: true })
  addEventListener('keydown', (press) => endsTyping(press) && act(), { capture: true })
  addEventListener('input', () => (isTyping = true), { capture: true })
  return drawn
}

/** What a maker does other than to type on. */
const ACTS = ['pointerdown', 'pointermove', 'click', 'focusin', 'focusout', 'change'] as const
const endsTyping = ({ key, ctrlKey, metaKey }: KeyboardEvent): boolean =>
  ['Enter', 'Tab', 'Escape'].includes(key) || ctrlKey || metaKey

/** A job that was just opened has no step behind it. */
const isOneEdit = (now: Session, before: Session | null): boolean =>
  now.job !== before?.job && (now.past.at(-1)?.key ?? null) !== null

/** After the next paint; where nothing is painted, as in a window that is hidden, soon. */
export const afterPaint: Later = (work) => {
  let isDue = true
  const once = () => {
    if (!isDue) return
    isDue = false
    work()
  }
  requestAnimationFrame(() => setTimeout(once))
  setTimeout(once, 100)
  return () => void (isDue = false)
}
