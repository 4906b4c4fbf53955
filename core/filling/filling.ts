import type { FibreFilling, Filling, FoamFilling } from '../../contract/index.ts'
import { atHeight, bevelVolume } from '../outline/index.ts'
import type { Solid } from '../seat/index.ts'
import { figure, given, over, plus, times, type Expression, unitsIn, type Figure } from '../working/index.ts'
import { isPlainBox } from './box.ts'
import { judgeStack, type Verdict } from './choice/index.ts'
import { firmnessOf, type Firmness } from './firmness.ts'
import { settleLayers, stackHardnessN } from './layers.ts'
import { linerFor, type Liner } from './loose-fibre.ts'
import { WADDING_GRADE } from './wadding-grade.ts'
import { loadCaseOf, type LoadCase, type SettledLayer } from './model/index.ts'
import {
  blockThicknessMm,
  fitByDirection,
  fitOf,
  seatHeight,
  sizeBlock,
  squeezedMm,
  type DirectionFit,
  type Fit,
  type SeatHeight,
  type Sizing,
} from './sizing/index.ts'

/** The filling of one cushion of a design. */
export type FillingPlan = FoamPlan | FibrePlan

export interface FoamPlan {
  readonly kind: 'foam'
  readonly sizing: Sizing
  readonly mass: Figure
  readonly height: SeatHeight
  /** Foam from the board up. */
  readonly layers: readonly SettledLayer[]
  /** The foam and what wadding lies above and below it: what the sitter presses. */
  readonly pressed: readonly SettledLayer[]
  readonly hardnessN: number
  readonly firmness: Firmness
  readonly fit: Fit
  /** The same by width, depth and thickness, signed. */
  readonly directions: readonly DirectionFit[]
  /** What the foam is held against. */
  readonly loadCase: LoadCase
  readonly verdict: Verdict
}

export interface FibrePlan {
  readonly kind: 'loose-fibre'
  readonly sizing: Sizing
  readonly mass: Figure
  readonly height: SeatHeight
  readonly liner: Liner
}

/** What a filling is planned from, besides itself. */
export interface FillingPlace {
  readonly cushion: Solid
  /** Filled round, as a bolster: its box holds more than it does. */
  readonly isRoll: boolean
  /** Seam allowance. */
  readonly seam: Figure
  /** By how much the shop has learnt to move the windows of the fit. */
  readonly fitShiftShare?: number
  /** What a border drawn to the thickness takes out of it. */
  readonly borderLost?: Figure | null
  /** Thickness of the old cushion, where it was measured. */
  readonly oldThicknessMm: number | null
}

/** Block, cover size, fit, mass and support of one cushion's filling. */
export const planFilling = (filling: Filling, place: FillingPlace): FillingPlan =>
  filling.kind === 'foam' ? planFoam(filling, place) : planFibre(filling, place)

function planFoam(
  filling: FoamFilling,
  { cushion, isRoll, seam, oldThicknessMm, fitShiftShare = 0, borderLost = null }: FillingPlace,
): FoamPlan {
  const { school, wadding, load } = filling
  const layers = settleLayers(filling.layers, blockThicknessMm(cushion, school))
  const hardnessN = stackHardnessN(layers)
  const firmness = firmnessOf(hardnessN)
  const sizing = sizeBlock(cushion, { school, wadding, firmness, seam })
  const pressed = withWadding(layers, filling)
  const loadCase = loadCaseOf(load, isRoll ? Infinity : Math.min(cushion.width.value, cushion.depth.value))
  return {
    kind: 'foam',
    sizing,
    mass: massOf(sizing.block, layers, isRoll),
    height: seatHeight(sizing.cover, filling.boardMm, oldThicknessMm),
    layers,
    pressed,
    hardnessN,
    firmness,
    fit: fitOf(sizing, firmness, fitShiftShare, borderLost),
    directions: fitByDirection(sizing, { seat: cushion, school, isWadded: wadding !== null, borderLost }),
    loadCase,
    verdict: judgeStack(pressed, loadCase),
  }
}

function planFibre(filling: FibreFilling, { cushion, isRoll, oldThicknessMm }: FillingPlace): FibrePlan {
  const sizing: Sizing = {
    block: cushion,
    wrapped: cushion,
    cover: cushion,
    reason: 'Loose fibre in a liner a little larger than the cover.',
  }
  const mass = figure({
    id: 'filling.mass',
    label: 'Fibre in one cushion',
    quantity: 'mass',
    sum: times(volumeM3(cushion, null, isRoll), given(filling.fillKgM3, 'density', 'fill')),
    rule: 'volume of the cover by the fill, 18 to 35 kg/m³',
    setBy: 'job',
    change: 'filling.fill',
  })
  return {
    kind: 'loose-fibre',
    sizing,
    mass,
    height: seatHeight(cushion, filling.boardMm, oldThicknessMm),
    liner: linerFor(cushion, filling),
  }
}

/** Wadding above and below presses with the foam. */
function withWadding(layers: readonly SettledLayer[], { wadding }: FoamFilling): readonly SettledLayer[] {
  if (!wadding) return layers
  const sheet = { grade: WADDING_GRADE, thicknessMm: squeezedMm(wadding) }
  return [...(wadding.bottom ? [sheet] : []), ...layers, ...(wadding.top ? [sheet] : [])]
}

function massOf(block: Solid, layers: readonly SettledLayer[], isRoll: boolean): Figure {
  let fromMm = 0
  const masses = layers.map(({ grade, thicknessMm }) => {
    const volume = volumeM3(block, layers.length === 1 ? null : [fromMm, (fromMm += thicknessMm)], isRoll)
    return times(
      volume,
      given(grade.densityKgM3, 'density', layers.length === 1 ? 'density' : `density of ${grade.name}`),
    )
  })
  return figure({
    id: 'filling.mass',
    label: 'Mass of one block',
    quantity: 'mass',
    sum: masses.length === 1 ? masses[0]! : plus(...masses),
    rule: 'volume by density',
    setBy: 'catalogue',
    change: 'filling.layers',
  })
}

/** Volume of a block, or of its slice between two heights; a roll fills π/4 of its box. */
function volumeM3(block: Solid, slice: readonly [number, number] | null, isRoll: boolean): Expression {
  const box = boxVolumeM3(block, slice)
  return isRoll ? times(box, given(Math.PI / 4, 'plain', 'of its box, for a roll')) : box
}

function boxVolumeM3(block: Solid, slice: readonly [number, number] | null): Expression {
  const { width, depth, thickness } = block
  const [fromMm, toMm] = slice ?? [0, thickness.value]
  if (!isPlainBox(block)) return given(volumeMm3(block, fromMm, toMm) / 1e9, 'plain', 'volume from the outline, m³')
  return over(
    times(width, depth, slice ? given(toMm - fromMm, 'length', 'layer') : thickness),
    unitsIn(1e9, 'mm³ in a m³'),
  )
}

function volumeMm3({ outline, edges }: Solid, fromMm: number, toMm: number): number {
  const leans = edges.map((e) => e.leanRad)
  return bevelVolume(atHeight(outline, leans, fromMm), leans, toMm - fromMm)
}
