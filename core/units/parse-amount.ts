import { err, ok, type Result } from '../result/index.ts'
import { KG_M3_PER_LB_FT3, KG_PER_LB, N_PER_LBF } from './foam-units.ts'
import { trimmed } from './format-length.ts'

/**
 * What foam is described by, beside lengths. Stored in kg/m³, newtons, kilograms, shares (1 = 100 %) and square metres.
 */
export type AmountKind = 'density' | 'force' | 'mass' | 'share' | 'area' | 'plain'

interface Spoken {
  readonly unit: string
  /** The unit without a word is the first. */
  readonly says: RegExp
  readonly factor: number
}

const SPOKEN: Readonly<Record<AmountKind, readonly [Spoken, ...Spoken[]]>> = {
  density: [
    { unit: 'kg/m³', says: /^(kg(\/?m[3³])?)?$/i, factor: 1 },
    { unit: 'lb/ft³', says: /^(lbs?|pounds?)(\/?ft[3³])?$|^pcf$/i, factor: KG_M3_PER_LB_FT3 },
  ],
  force: [
    { unit: 'N', says: /^n?$/i, factor: 1 },
    { unit: 'lbf', says: /^(lbf?|pounds?)$/i, factor: N_PER_LBF },
    { unit: 'kgf', says: /^kgf?$/i, factor: 9.81 },
  ],
  mass: [
    { unit: 'kg', says: /^(kg)?$/i, factor: 1 },
    { unit: 'g', says: /^g$/i, factor: 0.001 },
    { unit: 'lb', says: /^(lbs?|pounds?)$/i, factor: KG_PER_LB },
    { unit: 'oz', says: /^oz$/i, factor: 0.028349523 },
  ],
  share: [{ unit: '%', says: /^%?$/, factor: 0.01 }],
  area: [
    { unit: 'm²', says: /^(m[2²])?$/i, factor: 1 },
    { unit: 'cm²', says: /^cm[2²]$/i, factor: 1e-4 },
    { unit: 'ft²', says: /^ft[2²]$/i, factor: 0.09290304 },
  ],
  plain: [{ unit: '', says: /^$/, factor: 1 }],
}

export interface ReadAmount {
  readonly value: number
  /** As it was understood, in the stored unit: `28.83 kg/m³`. */
  readonly understood: string
}

/** Reads `30`, `1.8 lb/ft3`, `36 lbf`, `12 oz`, `20 %`; a comma may stand for the point. */
export function parseAmount(text: string, kind: AmountKind): Result<ReadAmount, 'not-a-number' | 'unknown-unit'> {
  const [, figures = '', word = ''] = /^\s*([-+]?[\d.,]*)\s*(.*?)\s*$/.exec(text) ?? []
  const value = Number(figures.replace(/^([-+]?\d*),(\d*)$/, '$1.$2'))
  if (figures === '' || !Number.isFinite(value)) return err('not-a-number')
  const spoken = SPOKEN[kind].find((s) => s.says.test(word.replaceAll(' ', '')))
  return spoken
    ? ok({ value: value * spoken.factor, understood: formatAmount(value * spoken.factor, kind) })
    : err('unknown-unit')
}

/** In the stored unit, as short as its use asks for. */
export function formatAmount(value: number, kind: AmountKind): string {
  const [{ unit, factor }] = SPOKEN[kind]
  return `${amountFigures(value / factor, kind)}${unit === '' ? '' : ` ${unit}`}`
}

/** The figures alone, to stand in a field. */
export const shownAmount = (value: number, kind: AmountKind): string =>
  amountFigures(value / SPOKEN[kind][0].factor, kind)

export const amountUnit = (kind: AmountKind): string => SPOKEN[kind][0].unit

/** The other units that are understood, for a hint. */
export const otherUnits = (kind: AmountKind): readonly string[] => SPOKEN[kind].slice(1).map((s) => s.unit)

const PLACES: Readonly<Record<AmountKind, number>> = { density: 2, force: 1, mass: 3, share: 1, area: 3, plain: 3 }
const amountFigures = (value: number, kind: AmountKind): string => trimmed(value, PLACES[kind])
