import { computed, ref, type ShallowRef } from 'vue'
import { keepingPlanner, planJob, planKey } from '../../core/plan/index.ts'
import type { Plan } from '../../core/planned/index.ts'
import { isOfOnePart, type Station } from '../../core/warning/index.ts'
import { drawnSession } from '../session/drawn.ts'
import type { Session } from '../session/session.ts'

/** What is planned of the open job, and which of its parts is looked at. */
export function usePlanInView(running: Readonly<ShallowRef<Session | null>>) {
  let planned: { readonly key: string; readonly plan: Plan } | null = null
  const planner = keepingPlanner()
  /** Planned anew only where something changed that a plan follows from: a note or a tick leaves it as it is. */
  function planOf({ job }: Session): Plan {
    const key = planKey(job)
    if (planned?.key !== key) planned = { key, plan: planJob(job, planner) }
    return planned.plan
  }
  const session = drawnSession(running, planOf)
  const plan = computed(() => session.value && planOf(session.value))

  const wantedPart = ref('')
  /** The letter of the part in view. */
  const inView = computed(() => {
    const letters = session.value?.job.parts.map((p) => p.letter) ?? []
    return letters.includes(wantedPart.value) ? wantedPart.value : (letters[0] ?? '')
  })

  const part = computed(() => plan.value?.parts.find((p) => p.part.letter === inView.value) ?? null)
  /** What a station objects to: of the part in view where it shows one part, of all where it shows the whole ticket. */
  const warningsAt = (station: Station) =>
    plan.value?.warnings.filter(
      (w) => w.station === station && (!w.part || !isOfOnePart(station) || w.part === inView.value),
    ) ?? []

  /** Brings another part into view. */
  const look = (letter: string): void => void (wantedPart.value = letter)
  /** Steps through the parts. */
  function lookOn(by: 1 | -1): void {
    const letters = session.value?.job.parts.map((p) => p.letter) ?? []
    const at = letters.indexOf(inView.value) + by
    wantedPart.value = letters[(at + letters.length) % letters.length] ?? ''
  }
  return { session, plan, inView, part, warningsAt, look, lookOn }
}
