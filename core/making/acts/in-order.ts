import { STAGES, type Act, type Stage } from './act.ts'

export interface Ordered {
  readonly order: readonly Act[]
  /** Acts for which there is no time: what they need never comes. */
  readonly stuck: readonly Act[]
}

/**
 * Acts in an order that can be worked: of those that may be done now the first as they were given. An act that takes
 * its thing on waits until everything is done that needs the thing as it is.
 */
export function inOrder(acts: readonly Act[]): Ordered {
  const ids = new Set(acts.map((a) => a.step.id))
  const stages = new Map<string, Stage>()
  const done = new Set<string>()
  const order: Act[] = []
  let left = [...acts]
  while (left.length > 0) {
    const next = left.find((a) => isReady(a, left, stages, done, ids))
    if (!next) break
    order.push(next)
    done.add(next.step.id)
    if (next.leaves) stages.set(next.thing, next.leaves)
    left = left.filter((a) => a !== next)
  }
  return { order, stuck: left }
}

function isReady(
  { thing, at, leaves, needs, after }: Act,
  left: readonly Act[],
  stages: ReadonlyMap<string, Stage>,
  done: ReadonlySet<string>,
  ids: ReadonlySet<string>,
): boolean {
  const stageOf = (of: string): Stage => stages.get(of) ?? 'wrong-side'
  const rank = (stage: Stage): number => STAGES.indexOf(stage)
  if (at !== null && stageOf(thing) !== at) return false
  if (needs.some((n) => rank(stageOf(n.thing)) < rank(n.stage))) return false
  if (after.some((id) => ids.has(id) && !done.has(id))) return false
  return (
    leaves === null ||
    !left.some((a) => a.thing === thing && a.at !== null && rank(a.at) < rank(leaves) && a.leaves === null)
  )
}
