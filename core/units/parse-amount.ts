import { phrase } from '../language/index.ts'
import { err, ok, type Result } from '../result/index.ts'
import {
  BOARD_FEET_PER_M3,
  G_M2_PER_OZ_YD2,
  KG_M3_PER_LB_FT3,
  KG_PER_LB,
  METRES_PER_YARD,
  N_PER_LBF,
} from './trade-units.ts'
import { trimmed } from './format-length.ts'
import { isInch, MM_PER_INCH, type LengthUnit } from './unit.ts'

/**
 * What a shop enters beside lengths. Stored in kg/m³, newtons, kilograms, grams for a square metre, millimetres of what is
 * thinner than a ruler's step, shares (1 = 100 %), square metres, money a metre and money a cubic metre.
 */
export type AmountKind =
  'density' | 'force' | 'mass' | 'surface-mass' | 'thin' | 'share' | 'area' | 'metre-price' | 'volume-price' | 'plain'

interface Spoken {
  readonly unit: string
  readonly says: RegExp
  /** What one of it is as stored. */
  readonly factor: number
  readonly places: number
  /** A figure without a word means this one wherever lengths are in inches. */
  readonly besideInches?: true
}

const SPOKEN: Readonly<Record<AmountKind, readonly [Spoken, ...Spoken[]]>> = {
  density: [
    { unit: 'kg/m³', says: /^kg(\/?m[3³])?$/i, factor: 1, places: 2 },
    {
      unit: 'lb/ft³',
      says: /^(lbs?|pounds?)(\/?ft[3³])?$|^pcf$/i,
      factor: KG_M3_PER_LB_FT3,
      places: 2,
      besideInches: true,
    },
  ],
  force: [
    { unit: 'N', says: /^n$/i, factor: 1, places: 1 },
    { unit: 'lbf', says: /^(lbf?|pounds?)$/i, factor: N_PER_LBF, places: 1, besideInches: true },
    { unit: 'kgf', says: /^kgf?$/i, factor: 9.81, places: 2 },
  ],
  mass: [
    { unit: 'kg', says: /^kg$/i, factor: 1, places: 3 },
    { unit: 'g', says: /^g$/i, factor: 0.001, places: 0 },
    { unit: 'lb', says: /^(lbs?|pounds?)$/i, factor: KG_PER_LB, places: 2, besideInches: true },
    { unit: 'oz', says: /^oz$/i, factor: 0.028349523, places: 1 },
  ],
  'surface-mass': [
    { unit: 'g/m²', says: /^g(sm|\/?m[2²])?$/i, factor: 1, places: 0 },
    { unit: 'oz/yd²', says: /^oz(\/?(sq)?yd[2²]?)?$/i, factor: G_M2_PER_OZ_YD2, places: 1, besideInches: true },
  ],
  thin: [
    { unit: 'mm', says: /^mm$/i, factor: 1, places: 2 },
    { unit: 'in', says: /^(in|inch(es)?|")$/i, factor: MM_PER_INCH, places: 3, besideInches: true },
  ],
  share: [{ unit: '%', says: /^%$/, factor: 0.01, places: 1 }],
  area: [
    { unit: 'm²', says: /^m[2²]$/i, factor: 1, places: 3 },
    { unit: 'cm²', says: /^cm[2²]$/i, factor: 1e-4, places: 0 },
    { unit: 'ft²', says: /^ft[2²]$/i, factor: 0.09290304, places: 2, besideInches: true },
  ],
  'metre-price': [
    { unit: phrase`a metre`, says: /^(a|per|\/)?(m|met(re|er))$/i, factor: 1, places: 3 },
    {
      unit: phrase`a yard`,
      says: /^(a|per|\/)?(yd|yard)$/i,
      factor: 1 / METRES_PER_YARD,
      places: 3,
      besideInches: true,
    },
  ],
  'volume-price': [
    { unit: phrase`a m³`, says: /^(a|per|\/)?m[3³]$/i, factor: 1, places: 2 },
    {
      unit: phrase`a board foot`,
      says: /^(a|per|\/)?(boardf(oo|ee)t|bdft|bf)$/i,
      factor: BOARD_FEET_PER_M3,
      places: 4,
      besideInches: true,
    },
  ],
  plain: [{ unit: '', says: /^$/, factor: 1, places: 3 }],
}

export interface ReadAmount {
  readonly value: number
  /** As it was understood, in the usual unit beside these lengths: `28.83 kg/m³`. */
  readonly understood: string
}

/** Reads `30`, `1.8 lb/ft3`, `36 lbf`, `12 oz`, `20 %`; a comma may stand for the point. */
export function parseAmount(
  text: string,
  kind: AmountKind,
  lengths: LengthUnit,
): Result<ReadAmount, 'not-a-number' | 'unknown-unit'> {
  const [, figures = '', word = ''] = /^\s*([-+]?[\d.,]*)\s*(.*?)\s*$/.exec(text) ?? []
  const figure = Number(figures.replace(/^([-+]?\d*),(\d*)$/, '$1.$2'))
  if (figures === '' || !Number.isFinite(figure)) return err('not-a-number')
  const said = word.replaceAll(' ', '')
  const spoken = said === '' ? usualOf(kind, lengths) : SPOKEN[kind].find((s) => s.says.test(said))
  if (!spoken) return err('unknown-unit')
  const value = figure * spoken.factor
  return ok({ value, understood: formatAmount(value, kind, lengths) })
}

/** In the usual unit beside these lengths, as short as its use asks for. */
export function formatAmount(value: number, kind: AmountKind, lengths: LengthUnit): string {
  const { unit } = usualOf(kind, lengths)
  return `${shownAmount(value, kind, lengths)}${unit === '' ? '' : ` ${unit}`}`
}

/** The figures alone, to stand in a field. */
export function shownAmount(value: number, kind: AmountKind, lengths: LengthUnit): string {
  const { factor, places } = usualOf(kind, lengths)
  return trimmed(value / factor, places)
}

/** What one of the usual unit beside these lengths is as stored: for the axis of a chart. */
export const amountFactor = (kind: AmountKind, lengths: LengthUnit): number => usualOf(kind, lengths).factor

export const amountUnit = (kind: AmountKind, lengths: LengthUnit): string => usualOf(kind, lengths).unit

/** The other units that are understood, for a hint. */
export function otherUnits(kind: AmountKind, lengths: LengthUnit): readonly string[] {
  const usual = usualOf(kind, lengths)
  return SPOKEN[kind].filter((s) => s !== usual).map((s) => s.unit)
}

/** The unit that stands beside these lengths: kilograms and newtons beside millimetres, pounds beside inches. */
function usualOf(kind: AmountKind, lengths: LengthUnit): Spoken {
  const [metric] = SPOKEN[kind]
  return (isInch(lengths) && SPOKEN[kind].find((s) => s.besideInches)) || metric
}
