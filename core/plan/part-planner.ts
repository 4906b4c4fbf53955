import type { PlannedPart } from '../../contract/index.ts'
import type { PartPlan } from '../planned/index.ts'
import { planPart } from './plan-part.ts'
import { partKey } from './plan-key.ts'

/** Plans one part, by its letter where a ticket has several. */
export type PartPlanner = (part: PlannedPart, prefix: string) => PartPlan

/** Plans a part anew only where something changed that its plan follows from. One for each open ticket. */
export function keepingPlanner(): PartPlanner {
  const kept = new Map<string, { readonly key: string; readonly plan: PartPlan }>()
  return (part, prefix) => {
    const key = prefix + partKey(part)
    const before = kept.get(part.letter)
    if (before?.key === key) return before.plan
    const plan = planPart(part, prefix)
    kept.set(part.letter, { key, plan })
    return plan
  }
}
