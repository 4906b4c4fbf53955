import { phrase } from '../language/index.ts'
import type { Job } from '../../contract/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { act, type Act, type Garment } from './acts/act.ts'
import { canBeMade } from './acts/can-be-made.ts'
import { allGarments } from './acts/garments.ts'
import { inOrder } from './acts/in-order.ts'
import { boardActs, coveringActs } from './steps/board-steps.ts'
import { clothSteps } from './steps/cloth-steps.ts'
import { closingActs } from './steps/closing-steps.ts'
import { foamSteps } from './steps/foam-steps.ts'
import { lastLook } from './steps/last-look.ts'
import { refillingActs, thereActs } from './steps/there-steps.ts'
import { orderOf, type OrderOf } from './steps/order-of.ts'
import { rightSideActs } from './steps/right-side-steps.ts'
import { insideActs } from './steps/sewing-steps.ts'
import { wrapActs } from './steps/wrap-steps.ts'
import type { Step } from './step.ts'

/** Every step of a job in an order that can be worked, from its own make-up, seams, closure and cloth. */
export function workOrder(job: Job, plan: WorkedPlan): readonly Step[] {
  const of = orderOf(job, plan)
  const { order, stuck } = inOrder(actsOf(of))
  // What never finds its time is still told: the sixth check names it.
  return [...order, ...stuck].map((a) => a.step)
}

/** Whether the work order of a job can be done, played on its covers: empty, or what stands in the way. */
export function orderFaults(job: Job, plan: WorkedPlan): readonly string[] {
  const { order, stuck } = inOrder(actsOf(orderOf(job, plan)))
  return [
    ...canBeMade(order, garmentsIn(plan)),
    ...stuck.map((a) => phrase`${a.step.title}: what it needs never comes`),
  ]
}

export const garmentsIn = (plan: WorkedPlan): readonly Garment[] => allGarments(plan)

/**
 * What is done on flat panels and at openings is done for all covers and liners of a ticket together, kind by kind:
 * the foot is changed once for all piping and once for all zips. The rest follows cover by cover.
 */
const batched = (acts: readonly Act[]): readonly Act[] => acts.toSorted((a, b) => batchOf(a) - batchOf(b))

function batchOf({ does, step }: Act): number {
  if (does.kind === 'onto-flat') {
    const kinds = new Set(step.work.map((w) => w.kind))
    return kinds.has('wrap') ? 0 : kinds.has('piping') ? 1 : kinds.has('tie') ? 2 : 3
  }
  // Seams keep the order of their letters: an opening that follows the joins of its panels waits for them.
  return does.kind === 'seam' && does.seam.kind === 'closure' && does.seam.letter === 'A' ? 4 : 5
}

/** Steps of the foam that make something else ready. */
const FOAM_THINGS: Readonly<Record<string, string>> = { 'foam.weigh': 'fibre', 'foam.inserts': 'insert' }

/** Every act that the plan implies, in the order in which they are best begun. */
export function actsOf(of: OrderOf): readonly Act[] {
  const foam = foamSteps(of).map((s) => act(s, FOAM_THINGS[s.id] ?? 'foam', { kind: 'prepare' }))
  const cloth = clothSteps(of).map((s) => act(s, 'cloth', { kind: 'prepare' }))
  const acts = [
    ...thereActs(of),
    ...foam,
    ...boardActs(of),
    ...cloth,
    ...batched(allGarments(of.plan).flatMap((g) => [...insideActs(of, g), ...rightSideActs(of, g)])),
    ...coveringActs(of),
    ...wrapActs(of),
    ...closingActs(of),
    ...refillingActs(of),
  ]
  const all = acts.map((a) => a.step.id)
  return [
    ...acts,
    ...lastLook(of).map((s, i, last) =>
      act(s, 'ticket', { kind: 'look' }, { after: i === 0 ? all : [last[i - 1]!.id] }),
    ),
  ]
}
