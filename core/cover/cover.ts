import type { Figure } from '../working/index.ts'
import type { PipingPlan } from './piping/piping.ts'
import type { Panel } from './panel.ts'
import type { Seam } from './seam.ts'
import type { Wall } from './wall.ts'

export interface Closure {
  readonly kind: 'zip'
  readonly seam: string
  /** The opening, and the zip to buy. */
  readonly lengthMm: Figure
}

/** Everything sewn for one cushion. `seams` stand in the order in which they are sewn. */
export interface Cover {
  readonly panels: readonly Panel[]
  readonly seams: readonly Seam[]
  /** The cushion's outlines at foot and top, between which the sides stand. */
  readonly wall: Wall
  readonly closure: Closure
  readonly piping: PipingPlan | null
  readonly perimeter: Figure
}

export function panelOf(cover: Cover, id: string): Panel {
  const panel = cover.panels.find((p) => p.id === id)
  if (!panel) throw new RangeError(`no panel ${id}`)
  return panel
}
