import type { Cover } from '../cover/index.ts'
import type { FillingPlan } from '../filling/index.ts'
import { PIPING_ID, type ClothPlan } from '../cloth/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../units/index.ts'
import type { Figure } from '../working/index.ts'

/** One line of the cut list: so many pieces of one cut size. */
export interface CutLine {
  readonly what: string
  readonly material: 'foam' | 'cloth'
  readonly count: number
  readonly width: Figure
  readonly height: Figure
  readonly note: string
}

/** Everything to be cut, foam first, cut sizes throughout. */
export function cutList(filling: FillingPlan, cover: Cover, cloth: ClothPlan, cushions: number, units: LengthUnit): readonly CutLine[] {
  const { block } = filling.sizing
  const stack = filling.sheets.stack.length > 0 ? filling.sheets.stack : [filling.sheets.nearestStackMm]
  const foam = [...new Set(stack)].map((thickness): CutLine => ({ what: `Block, ${formatLengthWithUnit(thickness, units)} sheet`, material: 'foam', count: cushions * stack.filter((t) => t === thickness).length, width: block.width, height: block.depth, note: '' }))
  const panels = cover.panels.map((p): CutLine => ({ what: p.name, material: 'cloth', count: cushions, width: p.figures.cutWidth, height: p.figures.cutHeight, note: p.notches.length > 0 ? `notches ${p.notches.map((n) => n.letter).join(' ')}` : '' }))
  const strips = cloth.strips && cover.piping
    ? [{ what: `Piping strip, ${cover.piping.choice.cut}`, material: 'cloth', count: cloth.pieces.find((p) => p.id === PIPING_ID)!.qty, width: cloth.strips.each, height: cover.piping.stripWidth, note: `${cloth.strips.strips.value} to a loop` } as const]
    : []
  return [...foam, ...panels, ...strips]
}
