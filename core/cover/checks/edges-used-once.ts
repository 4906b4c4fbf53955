import { phrase } from '../../language/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../../units/index.ts'
import type { Cover } from '../cover.ts'
import { finishedEdgeLength } from '../panel.ts'
import type { Stretch } from '../seam.ts'
import { isFree } from './closes-round-block.ts'

/** Gaps or overlaps shorter than this are not sewable differences. */
const SLACK_MM = 0.5

/**
 * Each finished edge is covered once, end to end, by the stretches of seams and closures, or is free on purpose and
 * covered by none.
 */
export function edgesUsedOnce(cover: Cover, unit: LengthUnit = 'mm'): readonly string[] {
  const say = (mm: number) => formatLengthWithUnit(mm, unit)
  const byEdge = new Map<string, Stretch[]>()
  for (const s of cover.seams.flatMap((seam) => seam.pairs.flatMap((p) => [p.a, p.b]))) {
    const key = `${s.panel}/${s.edge}`
    byEdge.set(key, [...(byEdge.get(key) ?? []), s])
  }
  return cover.panels.flatMap((panel) =>
    panel.edges.flatMap((edge) => {
      const length = finishedEdgeLength(panel, edge.name)
      const used = (byEdge.get(`${panel.id}/${edge.name}`) ?? [])
        .map((s) => ({ low: Math.min(s.from, s.to), high: Math.max(s.from, s.to) }))
        .toSorted((a, b) => a.low - b.low)
      const where = phrase`${panel.name}, ${edge.name}`
      if (isFree(edge.treatment)) return used.length === 0 ? [] : [phrase`${where}: sewn, though it is free on purpose`]
      if (used.length === 0) return [phrase`${where}: not sewn to anything`]
      const starts = [...used.slice(1).map((u) => u.low), length]
      const faults = used.flatMap((u, i) => {
        const step = starts[i]! - u.high
        return Math.abs(step) <= SLACK_MM
          ? []
          : [phrase`${where}: ${step > 0 ? 'free' : 'used twice'} for ${say(Math.abs(step))}`]
      })
      return used[0]!.low > SLACK_MM ? [phrase`${where}: free for ${say(used[0]!.low)}`, ...faults] : faults
    }),
  )
}
