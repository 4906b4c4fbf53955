import { pipingId, type ClothPlan } from '../cloth/index.ts'
import type { SheetPlan } from '../filling/index.ts'
import { hasArcs } from '../outline/index.ts'
import type { DesignPlan } from '../plan.ts'
import type { Solid } from '../seat/index.ts'
import { formatLengthWithUnit, trimmed, type LengthUnit } from '../units/index.ts'
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

/** Everything to be cut, foam first, cut sizes throughout; the letter of a design where there are several. */
export function cutList(designs: readonly DesignPlan[], sheets: SheetPlan, cloth: ClothPlan, units: LengthUnit): readonly CutLine[] {
  const stack = sheets.stack.length > 0 ? sheets.stack : [sheets.nearestStackMm]
  const letter = (d: DesignPlan) => (designs.length === 1 ? '' : ` ${d.design.id}`)
  const foam = designs.flatMap((d) =>
    [...new Set(stack)].map((thickness): CutLine => {
      const { block } = d.filling.sizing
      return { what: `Block${letter(d)}, ${formatLengthWithUnit(thickness, units)} sheet`, material: 'foam', count: d.design.count * stack.filter((t) => t === thickness).length, width: block.width, height: block.depth, note: shapeNote(block) }
    }),
  )
  const panels = designs.flatMap((d) =>
    d.cover.panels.map((p): CutLine => ({ what: `${p.name}${letter(d)}`, material: 'cloth', count: d.design.count, width: p.figures.cutWidth, height: p.figures.cutHeight, note: p.notches.length > 0 ? `notches ${p.notches.map((n) => n.letter).join(' ')}` : '' })),
  )
  const strips = designs.flatMap((d, i): readonly CutLine[] => {
    const split = cloth.strips[i]
    if (!split || !d.cover.piping) return []
    const id = pipingId(designs.map((each) => each.design), i)
    return [{ what: `Piping strip${letter(d)}, ${d.cover.piping.choice.cut}`, material: 'cloth', count: cloth.pieces.find((p) => p.id === id)!.qty, width: split.each, height: d.cover.piping.stripWidth, note: `${split.strips.value} to a loop` }]
  })
  return [...foam, ...panels, ...strips]
}

/** What the size over all does not tell: a template, and how the knife is tilted along each leaning side. */
export function shapeNote({ outline, edges }: Solid): string {
  const isBox = outline.length === 4 && !hasArcs(outline) && outline.every((v, i) => Math.abs(v.x - outline[(i + 1) % 4]!.x) < 0.01 || Math.abs(v.y - outline[(i + 1) % 4]!.y) < 0.01)
  const tilts = edges.filter((e) => e.leanRad !== 0).map((e) => `${e.name} ${trimmed((Math.abs(e.leanRad) * 180) / Math.PI, 1)}° ${e.leanRad > 0 ? 'outwards' : 'inwards'} going up`)
  return [...(isBox ? [] : ['cut to the template']), ...(tilts.length > 0 ? [`knife tilt: ${[...new Set(tilts)].join(', ')}`] : [])].join('; ')
}
