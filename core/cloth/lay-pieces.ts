import type { ClothChoice, LayPiece, LayProblem } from '../../contract/index.ts'
import { cutOutline, splitLoop, type Cover, type Panel, type PipingPlan, type StripSplit } from '../cover/index.ts'
import type { Cushions, Design } from '../seat/index.ts'
import { at, flatten, type Outline, type Polygon } from '../outline/index.ts'
import { matchOf, ruledPlace } from './match.ts'
import { patternFrame, type PatternFrame } from './pattern-frame.ts'
import { mirrorAxes, repeatOf } from './stripes.ts'

/** A piece of the lay, and what it is: a panel of one cushion, or a strip of piping. */
export interface LaidPiece {
  readonly id: string
  readonly name: string
  readonly qty: number
  readonly cut: Outline
  readonly panel: Panel | null
  readonly cushion: number | null
  readonly matched: boolean
}

/** The piece of the lay that all piping strips of one design are copies of. */
export const pipingId = (designs: readonly Design[], design: number): string => (designs.length === 1 ? 'piping' : `piping-${designs[design]!.id}`)

export interface ClothPlan {
  readonly pieces: readonly LaidPiece[]
  readonly problem: LayProblem
  /** How the piping of each design is split into strips; null where it has none. */
  readonly strips: readonly (StripSplit | null)[]
  readonly usableMm: number
}

/** Every piece to be laid on the cloth, with its turns and phases, as a lay problem. `covers[i]` belongs to design i. */
export function planCloth(choice: ClothChoice, covers: readonly Cover[], cushions: Cushions): ClothPlan {
  const { cloth } = choice
  const usableMm = cloth.widthMm - cloth.selvedgeMm[0] - cloth.selvedgeMm[1]
  const laid: LaidPiece[] = []
  const pieces: LayPiece[] = []
  const axes = cloth.pattern.kind === 'stripes' ? mirrorAxes(cloth.pattern.bands) : []
  const cuts = covers.map((cover) => cover.panels.map((panel) => ({ panel, cut: cutOutline(panel) })).map((p) => ({ ...p, flat: asOutline(p.cut) })))
  cushions.inOrder.forEach(({ design }, cushion) => {
    for (const { panel, cut, flat } of cuts[design]!) {
      const id = `${cushion + 1}/${panel.id}`
      const frame = matchable(choice, patternFrame(choice, covers[design]!, panel, cushions, cushion), axes)
      const match = frame && matchOf(choice, panel, frame, ruledPlace(choice, cushions, cushion), axes)
      laid.push({ id, name: `${panel.name}, cushion ${cushion + 1}`, qty: 1, cut, panel, cushion, matched: match !== null })
      pieces.push({ id, qty: 1, outline: flat, turns: turnsOf(choice, panel, match === null ? null : frame, axes.length > 0), flip: false, match })
    }
  })
  const strips = covers.map((cover) => (cover.piping && usableMm > 0 ? pipingStrips(choice, cover, usableMm) : null))
  strips.forEach((found, design) => {
    if (!found) return
    const qty = Math.max(1, Math.round(found.split.strips.value)) * covers[design]!.piping!.loops * cushions.designs[design]!.count
    const id = pipingId(cushions.designs, design)
    const name = strips.length === 1 ? 'Piping strip' : `Piping strip ${cushions.designs[design]!.id}`
    laid.push({ id, name, qty, cut: found.outline, panel: null, cushion: null, matched: false })
    pieces.push({ id, qty, outline: asOutline(found.outline), turns: pipingTurns(choice, covers[design]!.piping!.choice.cut), flip: false, match: null })
  })
  const isMatching = choice.match.kind === 'matched' && repeatOf(cloth) !== null
  const start = cloth.pattern.kind === 'stripes' ? cloth.pattern.startMm : 0
  return {
    pieces: laid,
    strips: strips.map((s) => s?.split ?? null),
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

/**
 * A panel on which the run's pattern rises against its own axis must lie upside down unless the
 * stripes are symmetrical; a pile does not allow that, and the panel stays unmatched.
 */
const matchable = (choice: ClothChoice, frame: PatternFrame | null, axes: readonly number[]): PatternFrame | null =>
  frame && frame.rises === -1 && axes.length === 0 && choice.cloth.nap === 'one-way' ? null : frame

/** Plain two-way cloth looks the same every way round. */
const isFreeToTurn = (choice: ClothChoice): boolean => choice.cloth.pattern.kind === 'plain' && choice.cloth.nap === 'two-way'

/**
 * Turns allowed on the cloth. The pattern's top is at the back of plates and at the top of boxing;
 * railroaded plates lie on their side. 180° needs two-way cloth and, where matched, symmetrical stripes.
 */
function turnsOf(choice: ClothChoice, panel: Panel, frame: PatternFrame | null, isMirrored: boolean): number[] {
  const base = baseTurn(choice, panel, frame, isMirrored)
  const { nap } = choice.cloth
  // The gusset is hidden at the back: on two-way cloth it may lie any way.
  const isFree = isFreeToTurn(choice) ? panel.role !== 'plate' : !panel.isSeen && panel.role === 'gusset' && nap === 'two-way'
  if (isFree) return [base, (base + 90) % 360, (base + 180) % 360, (base + 270) % 360]
  const hasTwoWays = nap === 'two-way' && (frame === null || isMirrored)
  return hasTwoWays ? [base, (base + 180) % 360] : [base]
}

function baseTurn(choice: ClothChoice, panel: Panel, frame: PatternFrame | null, isMirrored: boolean): number {
  const against = frame !== null && frame.axis === 'x' && frame.rises === -1 && !isMirrored ? 180 : 0
  if (panel.role === 'plate') return choice.direction === 'up-the-roll' ? against : 270
  if (frame !== null) return against
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

/** Arcs are laid as chords within this of them. */
const CHORD_MM = 0.08

const asOutline = (outline: Outline): [number, number][] => flatten(outline, CHORD_MM).map((p) => [p.x, p.y])
