import { phrase } from '../language/index.ts'
import type { Cloth, Grade } from '../../contract/index.ts'
import type { LengthUnit } from '../units/index.ts'
import { sayAmountWithUnit } from '../working/index.ts'

/** One reason for or against a number of cushions. */
export interface CountReason {
  readonly about: 'sheet' | 'cloth' | 'mass' | 'look'
  readonly speaks: 'for' | 'against'
  readonly says: string
}

export interface CountAdvice {
  readonly count: number
  readonly widthMm: number
  readonly massKg: number
  readonly reasons: readonly CountReason[]
  readonly isBest: boolean
}

export interface BenchSizes {
  readonly lengthMm: number
  readonly depthMm: number
  readonly thicknessMm: number
  readonly areaMm2: number
  readonly gapMm: number
}

/** Over this two people carry a cushion. */
export const HEAVY_KG = 12
export const LONG_MM = 1800
/** Seldom-true edges of a foam sheet. */
export const SHEET_TRIM_MM = 10
/** Width to depth that looks right on a bench; beyond the outer pair it ripples, or is all seams. */
const LOOK = { least: 0.75, best: 1.25, most: 2.2 }

/**
 * How many cushions to divide a bench into: what the largest foam sheet, the cloth, the mass and the
 * look say of each number. Fewest arguments against win, then the look.
 */
export function adviseCount(
  bench: BenchSizes,
  grade: Grade,
  cloth: Cloth,
  unit: LengthUnit = 'mm',
): readonly CountAdvice[] {
  const most = Math.min(10, Math.max(3, Math.ceil(bench.lengthMm / (bench.depthMm * LOOK.least))))
  const advice = Array.from({ length: most }, (_, i) => adviceFor(i + 1, bench, grade, cloth, unit))
  const against = (a: (typeof advice)[number]) => a.reasons.filter((r) => r.speaks === 'against').length
  const look = (a: (typeof advice)[number]) => Math.abs(Math.log(a.widthMm / bench.depthMm / LOOK.best))
  const best = advice
    .filter((a) => a.widthMm > 0)
    .reduce((b, a) => (against(a) < against(b) || (against(a) === against(b) && look(a) < look(b)) ? a : b))
  return advice.map((a) => ({ ...a, isBest: a.count === best.count }))
}

function adviceFor(
  count: number,
  bench: BenchSizes,
  grade: Grade,
  cloth: Cloth,
  unit: LengthUnit,
): Omit<CountAdvice, 'isBest'> {
  const widthMm = (bench.lengthMm - (count - 1) * bench.gapMm) / count
  const massKg = (bench.areaMm2 / count / 1e6) * (bench.thicknessMm / 1e3) * (grade.densityKgM3 ?? 0)
  return {
    count,
    widthMm,
    massKg,
    reasons: [
      sheetReason(widthMm, bench.depthMm, grade),
      clothReason(widthMm, bench.depthMm, cloth),
      massReason(massKg, unit),
      lookReason(widthMm / bench.depthMm),
    ],
  }
}

function sheetReason(widthMm: number, depthMm: number, grade: Grade): CountReason {
  const [long, short] = [Math.max(widthMm, depthMm), Math.min(widthMm, depthMm)]
  const fits = grade.sheets.some(
    (s) =>
      long <= Math.max(s.lengthMm, s.widthMm) - 2 * SHEET_TRIM_MM &&
      short <= Math.min(s.lengthMm, s.widthMm) - 2 * SHEET_TRIM_MM,
  )
  return {
    about: 'sheet',
    speaks: fits ? 'for' : 'against',
    says: fits ? 'each block comes from one sheet' : 'longer than any sheet: the block needs a glued join',
  }
}

function clothReason(widthMm: number, depthMm: number, cloth: Cloth): CountReason {
  const usable = cloth.widthMm - cloth.selvedgeMm[0] - cloth.selvedgeMm[1] - 40
  const upTheRoll = widthMm <= usable
  const railroaded = depthMm <= usable
  if (upTheRoll) return { about: 'cloth', speaks: 'for', says: 'the plate fits the cloth up the roll' }
  return railroaded && cloth.nap === 'two-way'
    ? { about: 'cloth', speaks: 'for', says: 'the plate fits the cloth railroaded only' }
    : { about: 'cloth', speaks: 'against', says: 'wider than the cloth: the plate would be pieced' }
}

function massReason(massKg: number, unit: LengthUnit): CountReason {
  const each = phrase`${sayAmountWithUnit(massKg, 'mass', unit)} each`
  return massKg > HEAVY_KG
    ? { about: 'mass', speaks: 'against', says: phrase`${each}: two people carry it` }
    : { about: 'mass', speaks: 'for', says: each }
}

function lookReason(ratio: number): CountReason {
  if (ratio > LOOK.most)
    return {
      about: 'look',
      speaks: 'against',
      says: phrase`${ratio.toFixed(1)} times as wide as deep: a long cover ripples and sags`,
    }
  return ratio < LOOK.least
    ? { about: 'look', speaks: 'against', says: 'narrower than deep: more seams than seat' }
    : { about: 'look', speaks: 'for', says: phrase`${ratio.toFixed(1)} times as wide as deep` }
}
