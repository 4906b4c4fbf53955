import { phrase } from '../language/index.ts'
import type { FibreFilling, Filling, FoamFilling, InsertFilling, PartWork, There } from '../../contract/index.ts'
import { atHeight, bevelVolume } from '../outline/index.ts'
import type { Solid } from '../seat/index.ts'
import { entered, figure, given, over, plus, times, type Expression, unitsIn, type Figure } from '../working/index.ts'
import { isPlainBox } from './box.ts'
import { judgeStack, type Verdict } from './choice/index.ts'
import { firmnessOf, type Firmness } from './firmness.ts'
import { settleLayers, stackForceN } from './layers.ts'
import { linerFor, type Liner } from './loose-fibre.ts'
import { WADDING_GRADE } from './wadding-grade.ts'
import { isJudgeable, loadCaseOf, unknownsOf, type LoadCase, type SettledLayer, type Unknown } from './model/index.ts'
import {
  blockThicknessMm,
  fitByDirection,
  fitOf,
  insideSolid,
  seatHeight,
  sizeBlock,
  squeezedMm,
  type DirectionFit,
  type Fit,
  type SeatHeight,
  type Sizing,
  type Stays,
} from './sizing/index.ts'
import { asThere, NOTHING_THERE } from './bodies.ts'
import { staysFor } from './there.ts'

/** The filling of one cushion of a design. */
export type FillingPlan = FoamPlan | FibrePlan | InsertPlan

export interface FoamPlan {
  readonly kind: 'foam'
  readonly sizing: Sizing
  /** What of it is there already. */
  readonly stays: Stays
  /** Null where nobody knows a density, or where nothing is left of the block. */
  readonly mass: Figure | null
  readonly height: SeatHeight
  /** Foam from the board up. */
  readonly layers: readonly SettledLayer[]
  /** The foam and what wadding lies above and below it: what the sitter presses. */
  readonly pressed: readonly SettledLayer[]
  /** What nobody knows of it. */
  readonly unknown: readonly Unknown[]
  /** Null where nobody knows a force. */
  readonly hardnessN: number | null
  readonly firmness: Firmness | null
  readonly fit: Fit
  /** The same by width, depth and thickness, signed. */
  readonly directions: readonly DirectionFit[]
  /** What the foam is held against. */
  readonly loadCase: LoadCase
  /** Null while nobody knows how hard it is, or how long it lives. */
  readonly verdict: Verdict | null
}

export interface FibrePlan {
  readonly kind: 'loose-fibre'
  readonly sizing: Sizing
  /** Null for an outline that crosses itself, which its own stop tells: it has no volume. */
  readonly mass: Figure | null
  readonly height: SeatHeight
  readonly liner: Liner
}

/** A ready-made insert in its cover. */
export interface InsertPlan {
  readonly kind: 'insert'
  readonly sizing: Sizing
  readonly mass: Figure | null
  readonly height: SeatHeight
  readonly directions: readonly DirectionFit[]
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
  readonly work?: PartWork
  readonly there?: There
}

const BOTH: PartWork = { kind: 'cover-and-filling' }

/** Block, cover size, fit, mass and support of one cushion's filling. */
export function planFilling(filling: Filling, place: FillingPlace): FillingPlan {
  switch (filling.kind) {
    case 'foam':
      return planFoam(filling, place)
    case 'loose-fibre':
      return planFibre(filling, place)
    case 'insert':
      return planInsert(filling, place)
    default:
      return filling satisfies never
  }
}

function planFoam(
  filling: FoamFilling,
  {
    cushion,
    isRoll,
    seam,
    oldThicknessMm,
    fitShiftShare = 0,
    borderLost = null,
    work = BOTH,
    there = NOTHING_THERE,
  }: FillingPlace,
): FoamPlan {
  const { school, wadding, load } = filling
  const stays = staysFor(work, filling, there, thicknessAskedMm(cushion, filling, work, seam))
  const settled = settleLayers(
    asThere(filling.layers, there),
    blockMmOf(cushion, stays, thicknessAskedMm(cushion, filling, work, seam)),
  )
  const layers = work.kind === 'cover-only' ? settled.map((l) => ({ ...l, stays: true })) : settled
  const unknown = unknownsOf(layers)
  const hardnessN = stackForceN(layers, 0.4)
  const firmness = hardnessN === null ? null : firmnessOf(hardnessN)
  const sizing = sizeBlock(cushion, { school, wadding, firmness, seam }, stays)
  const pressed = withWadding(layers, filling)
  const loadCase = loadCaseOf(load, isRoll ? Infinity : Math.min(cushion.width.value, cushion.depth.value))
  return {
    kind: 'foam',
    sizing,
    stays,
    unknown,
    mass: massOf(sizing.block, layers, isRoll),
    height: seatHeight(sizing.cover, filling.boardMm, oldThicknessMm),
    layers,
    pressed,
    hardnessN,
    firmness,
    fit: fitOf(sizing, firmness, fitShiftShare, borderLost),
    directions: fitByDirection(sizing, {
      seat: cushion,
      school,
      isWadded: wadding !== null,
      borderLost,
      isThere: stays.kind === 'block' || stays.kind === 'filling',
    }),
    loadCase,
    verdict: isJudgeable(pressed) ? judgeStack(pressed, loadCase) : null,
  }
}

/** What the school makes of the thickness; in a cover that stays, of the thickness inside it. */
const thicknessAskedMm = (cushion: Solid, { school }: FoamFilling, work: PartWork, seam: Figure): number =>
  work.kind === 'filling-only'
    ? blockThicknessMm(work.inside?.thicknessMm ?? cushion.thickness.value, school, seam.value)
    : work.kind === 'cover-only'
      ? cushion.thickness.value
      : blockThicknessMm(cushion.thickness.value, school)

function blockMmOf(cushion: Solid, stays: Stays, askedMm: number): number {
  switch (stays.kind) {
    case 'block':
      return stays.body.thicknessMm
    case 'filling':
      return stays.body?.thicknessMm ?? cushion.thickness.value
    case 'cover':
    case 'nothing':
      return askedMm
    default:
      return stays satisfies never
  }
}

function planFibre(filling: FibreFilling, { cushion, isRoll, oldThicknessMm, work = BOTH }: FillingPlace): FibrePlan {
  const cover = insideOf(cushion, work)
  const sizing: Sizing = {
    block: cover,
    wrapped: cover,
    cover,
    reason: phrase`${filling.of === 'fibre' ? 'Loose fibre' : 'Mixed scrap'} in a liner a little larger than the cover.`,
  }
  const mass = figure({
    id: 'filling.mass',
    label: filling.of === 'fibre' ? 'Fibre in one cushion' : 'Scrap in one cushion',
    quantity: 'mass',
    sum: times(volumeM3(cover, null, isRoll), given(filling.fillKgM3, 'density', 'fill')),
    rule: 'volume of the cover by the fill',
    setBy: 'job',
    change: 'filling.fill',
  })
  return {
    kind: 'loose-fibre',
    sizing,
    mass: mass.value > 0 ? mass : null,
    height: seatHeight(cover, filling.boardMm, oldThicknessMm),
    liner: linerFor(cover, filling),
  }
}

/** Wadding above and below presses with the foam. */
function withWadding(layers: readonly SettledLayer[], { wadding }: FoamFilling): readonly SettledLayer[] {
  if (!wadding) return layers
  const sheet = { grade: WADDING_GRADE, thicknessMm: squeezedMm(wadding) }
  return [...(wadding.bottom ? [sheet] : []), ...layers, ...(wadding.top ? [sheet] : [])]
}

/** An insert is as large as its case, whatever it is put into. */
function planInsert(
  { flatWidthMm, flatDepthMm, filledMm, massKg, boardMm }: InsertFilling,
  { cushion, oldThicknessMm, work = BOTH }: FillingPlace,
): InsertPlan {
  const body = { widthMm: flatWidthMm, depthMm: flatDepthMm, thicknessMm: filledMm }
  const rules = { school: { kind: 'size-for-size' }, wadding: null, firmness: 'soft', seam: NO_SEAM } as const
  const sizing = sizeBlock(insideOf(cushion, work), rules, { kind: 'block', body })
  return {
    kind: 'insert',
    sizing: { ...sizing, reason: 'The insert comes as it is; the cover is made to the seat.' },
    mass:
      massKg === null
        ? null
        : entered({
            id: 'filling.mass',
            label: 'Mass of one insert',
            quantity: 'mass',
            value: massKg,
            rule: 'as sold',
            setBy: 'job',
            change: 'filling.insert',
          }),
    height: seatHeight(sizing.cover, boardMm, oldThicknessMm),
    directions: fitByDirection(sizing, {
      seat: cushion,
      school: rules.school,
      isWadded: false,
      borderLost: null,
      isThere: true,
    }),
  }
}

/** What a cover finishes at: the cushion, or where one stays its inside. */
const insideOf = (cushion: Solid, work: PartWork): Solid =>
  work.kind === 'filling-only' && work.inside ? insideSolid(cushion, work.inside) : cushion

const NO_SEAM = entered({ id: 'insert.seam', label: 'Seam', quantity: 'length', value: 0, rule: 'none' })

function massOf(block: Solid, layers: readonly SettledLayer[], isRoll: boolean): Figure | null {
  // An outline that was lost encloses nothing; that it was lost is told.
  const isLost = boxVolumeOf(block) <= 0
  if (isLost || layers.some((l) => l.grade.densityKgM3 === null)) return null
  let fromMm = 0
  const masses = layers.map(({ grade, thicknessMm }) => {
    const volume = volumeM3(block, layers.length === 1 ? null : [fromMm, (fromMm += thicknessMm)], isRoll)
    return times(
      volume,
      given(grade.densityKgM3!, 'density', layers.length === 1 ? 'density' : phrase`density of ${grade.name}`),
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

const boxVolumeOf = (block: Solid): number => volumeMm3(block, 0, block.thickness.value)

function volumeMm3({ outline, edges }: Solid, fromMm: number, toMm: number): number {
  const leans = edges.map((e) => e.leanRad)
  return bevelVolume(atHeight(outline, leans, fromMm), leans, toMm - fromMm)
}
