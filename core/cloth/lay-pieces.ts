import type { ClothChoice, LayPiece, LayProblem } from '../../contract/index.ts'
import { cutOutline, splitLoop, type Cover, type Panel, type PipingPlan, type StripSplit } from '../cover/index.ts'
import type { Cushions } from '../seat/index.ts'
import { at, boxOf, type Polygon } from '../outline/index.ts'
import { matchOf, ruledPlace, runStart, type PatternFrame } from './match.ts'
import { mirrorAxes, repeatOf } from './stripes.ts'

/** A piece of the lay, and what it is: a panel of one cushion, or a strip of piping. */
export interface LaidPiece {
  readonly id: string
  readonly name: string
  readonly qty: number
  readonly cut: Polygon
  readonly panel: Panel | null
  readonly cushion: number | null
  readonly matched: boolean
}

/** All strips of piping are copies of one piece of the lay. */
export const PIPING_ID = 'piping'

export interface ClothPlan {
  readonly pieces: readonly LaidPiece[]
  readonly problem: LayProblem
  readonly strips: StripSplit | null
  readonly usableMm: number
}

/** Every piece to be laid on the cloth, with its turns and phases, as a lay problem. */
export function planCloth(choice: ClothChoice, cover: Cover, cushions: Cushions): ClothPlan {
  const { cloth } = choice
  const usableMm = cloth.widthMm - cloth.selvedgeMm[0] - cloth.selvedgeMm[1]
  const laid: LaidPiece[] = []
  const pieces: LayPiece[] = []
  const axes = cloth.pattern.kind === 'stripes' ? mirrorAxes(cloth.pattern.bands) : []
  const panels = cover.panels.map((panel) => ({ panel, cut: cutOutline(panel) }))
  for (let cushion = 0; cushion < cushions.count; cushion++) {
    for (const { panel, cut } of panels) {
      const id = `${cushion + 1}/${panel.id}`
      const frame = patternFrame(choice, panel, cushions, cushion)
      const match = frame && matchOf(choice, panel, frame, ruledPlace(choice, cushions, cushion), axes)
      laid.push({ id, name: `${panel.name}, cushion ${cushion + 1}`, qty: 1, cut, panel, cushion, matched: match !== null })
      pieces.push({ id, qty: 1, outline: asOutline(cut), turns: turnsOf(choice, panel, match !== null, axes.length > 0), flip: false, match })
    }
  }
  const strips = cover.piping && usableMm > 0 ? pipingStrips(choice, cover, usableMm) : null
  if (strips) {
    const qty = Math.max(1, Math.round(strips.split.strips.value)) * cover.piping!.loops * cushions.count
    laid.push({ id: PIPING_ID, name: 'Piping strip', qty, cut: strips.outline, panel: null, cushion: null, matched: false })
    pieces.push({ id: PIPING_ID, qty, outline: asOutline(strips.outline), turns: pipingTurns(choice, cover.piping!.choice.cut), flip: false, match: null })
  }
  const isMatching = choice.match.kind === 'matched' && repeatOf(cloth) !== null
  const start = cloth.pattern.kind === 'stripes' ? cloth.pattern.startMm : 0
  return {
    pieces: laid,
    strips: strips?.split ?? null,
    usableMm,
    problem: {
      format: 'loft-seam/lay-problem',
      version: 1,
      cloth: { width: cloth.widthMm, length: null, selvedge: cloth.selvedgeMm, repeat: { across: isMatching ? repeatOf(cloth) : null, along: null }, flaws: [] },
      gap: 0,
      groups: isMatching ? { run: { across: start, along: null } } : {},
      pieces,
    },
  }
}

/** Panels whose edges cross the stripe, and how the run's pattern lies on them; null where no match is possible or wanted. */
function patternFrame(choice: ClothChoice, panel: Panel, cushions: Cushions, cushion: number): PatternFrame | null {
  const across = choice.direction === 'up-the-roll'
  const { maxX } = boxOf(panel.finished)
  const depth = cushions.size.depth.value
  if (panel.role === 'plate') return across ? { start: runStart(cushions, cushion), axis: 'x', rises: 1 } : { start: 0, axis: 'y', rises: 1 }
  if (across) return panel.id === 'boxing-front' ? { start: runStart(cushions, cushion), axis: 'x', rises: 1 } : null
  if (panel.id === 'boxing-right') return { start: 0, axis: 'x', rises: 1 }
  return panel.id === 'boxing-left' ? { start: Math.min(maxX, depth), axis: 'x', rises: -1 } : null
}

/** Plain two-way cloth looks the same every way round. */
const isFreeToTurn = (choice: ClothChoice): boolean => choice.cloth.pattern.kind === 'plain' && choice.cloth.nap === 'two-way'

/**
 * Turns allowed on the cloth. The pattern's top is at the back of plates and at the top of boxing;
 * railroaded plates lie on their side. 180° needs two-way cloth and, where matched, symmetrical stripes.
 */
function turnsOf(choice: ClothChoice, panel: Panel, matched: boolean, isMirrored: boolean): number[] {
  const base = baseTurn(choice, panel, matched)
  const { nap } = choice.cloth
  // The gusset is hidden at the back: on two-way cloth it may lie any way.
  const isFree = isFreeToTurn(choice) ? panel.role !== 'plate' : !panel.isSeen && nap === 'two-way'
  if (isFree) return [base, (base + 90) % 360, (base + 180) % 360, (base + 270) % 360]
  const hasTwoWays = nap === 'two-way' && (!matched || isMirrored)
  return hasTwoWays ? [base, (base + 180) % 360] : [base]
}

function baseTurn(choice: ClothChoice, panel: Panel, matched: boolean): number {
  if (panel.role === 'plate') return choice.direction === 'up-the-roll' ? 0 : 270
  // The left boxing runs from the back to the front: its stripes rise against its own length.
  if (matched) return panel.id === 'boxing-left' ? 180 : 0
  return choice.sideBoxing === 'along' && panel.role === 'boxing' && choice.cloth.pattern.kind === 'stripes' ? 270 : 0
}

/** Strips along the roll are cut no longer than can be handled on a table. */
const LONGEST_STRIP_MM = 3000

/** Plain two-way cloth lets straight strips lie either way; bias strips may follow either diagonal. */
function pipingTurns(choice: ClothChoice, cut: PipingPlan['choice']['cut']): number[] {
  if (isFreeToTurn(choice) || cut === 'bias') return [0, 90]
  return cut === 'along' ? [90] : [0]
}

function pipingStrips(choice: ClothChoice, cover: Cover, usableMm: number): { split: StripSplit; outline: Polygon } {
  const piping = cover.piping!
  const width = piping.stripWidth.value
  if (piping.choice.cut !== 'bias') {
    const split = splitLoop(piping, piping.choice.cut === 'across' ? usableMm : LONGEST_STRIP_MM, width)
    return { split, outline: [at(0, 0), at(split.each.value, 0), at(split.each.value, width), at(0, width)] }
  }
  // On the bias a strip spans its length over √2 of the width, with ends cut on the grain: joining two loses 2√2·s.
  const seam = cover.panels[0]!.edges[0]!.allowance.value
  const split = splitLoop(piping, usableMm * Math.SQRT2, 2 * Math.SQRT2 * seam)
  const [reach, rise] = [split.each.value / Math.SQRT2, width * Math.SQRT2]
  return { split, outline: [at(0, 0), at(reach, reach), at(reach, reach + rise), at(0, rise)] }
}

const asOutline = (outline: Polygon): [number, number][] => outline.map((p) => [p.x, p.y])
