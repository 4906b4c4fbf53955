import { phrase } from '../language/index.ts'
import {
  amountFactor,
  amountUnit,
  formatLength,
  inchParts,
  isInch,
  METRES_PER_YARD,
  MM_PER_INCH,
  mmPerUnit,
  trimmed,
  unitName,
  type LengthUnit,
} from '../units/index.ts'
import type { Quantity } from './model.ts'

/**
 * An amount as it is written, the number that a calculator would be given for it, and what one of that number is worth.
 */
export interface Amount {
  readonly text: string
  readonly number: number
  /** The value behind 1 as written: 25.4 for an inch, 1000 for a metre of a run. */
  readonly worth: number
}

/** An amount in the units of the job, without the name of a length's unit; `finer` asks for so many more digits. */
export function amountOf(value: number, quantity: Quantity, unit: LengthUnit, finer = 0): Amount {
  const { worth, decimals: usual, suffix } = measureOf(quantity, unit)
  if (quantity === 'length' && isInch(unit) && finer === 0)
    return { text: formatLength(value, unit), number: inchesShown(value, unit), worth }
  if (quantity === 'time' && finer === 0) return { text: sayMinutes(value), number: Math.round(value), worth }
  const decimals = Math.min(MOST_DECIMALS, usual + finer)
  const number = Number((value / worth).toFixed(decimals)) + 0
  if (quantity === 'share') return { text: `${trimmed(value * 100, Math.max(0, usual + finer - 2))} %`, number, worth }
  const digits = PAID.includes(quantity) ? number.toFixed(decimals) : trimmed(number, decimals)
  return { text: digits + suffix, number, worth }
}

const PAID: readonly Quantity[] = ['money', 'metre-price', 'volume-price']

/** More are noise of the machine's numbers. */
const MOST_DECIMALS = 12

/** The least step in which an amount is written, as a number of the calculator. */
export function lastDigit(quantity: Quantity, unit: LengthUnit): number {
  if (quantity === 'length' && isInch(unit)) return 1 / inchParts(unit)
  return 10 ** -measureOf(quantity, unit).decimals
}

/** An amount in words of the job: lengths without the name of their unit. */
export const sayAmount = (value: number, quantity: Quantity, unit: LengthUnit): string =>
  amountOf(value, quantity, unit).text

/** The same with the unit of a length, a mass and a density. */
export function sayAmountWithUnit(value: number, quantity: Quantity, unit: LengthUnit): string {
  const { name } = measureOf(quantity, unit)
  return sayAmount(value, quantity, unit) + (name ? ` ${name}` : '')
}

/** `25 min`, `3 h 05`. */
export function sayMinutes(minutes: number): string {
  const whole = Math.round(minutes)
  return whole < 60 ? phrase`${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}

/** How a quantity is written in the units of a job. */
interface Measure {
  /** The value behind 1 as written. */
  readonly worth: number
  readonly decimals: number
  /** Written with every amount, in sums as well. */
  readonly suffix: string
  /** Written beside an amount that stands alone. */
  readonly name: string
}

function measureOf(quantity: Quantity, unit: LengthUnit): Measure {
  const inches = isInch(unit)
  const plain: Measure = { worth: 1, decimals: 0, suffix: '', name: '' }
  switch (quantity) {
    case 'length':
      return { ...plain, worth: mmPerUnit(unit), decimals: unit === 'mm' ? 1 : 2, name: unitName(unit) }
    case 'run':
      return {
        ...plain,
        decimals: 2,
        ...(inches ? { worth: MM_PER_YARD, suffix: ' yd' } : { worth: 1000, suffix: ' m' }),
      }
    case 'area':
      return {
        ...plain,
        decimals: 3,
        ...(inches ? { worth: MM_PER_FOOT ** 2, suffix: ' ft²' } : { worth: 1e6, suffix: ' m²' }),
      }
    case 'angle':
      return { ...plain, worth: Math.PI / 180, decimals: 2, suffix: '°' }
    case 'share':
      return { ...plain, decimals: 3 }
    case 'money':
      return { ...plain, decimals: 2 }
    case 'mass':
    case 'density':
    case 'metre-price':
    case 'volume-price':
      return { ...plain, worth: amountFactor(quantity, unit), decimals: 2, name: amountUnit(quantity, unit) }
    case 'time':
      return { ...plain, suffix: ' min' }
    case 'count':
      return plain
    case 'plain':
    case 'conversion':
      return { ...plain, decimals: 4 }
    default:
      return quantity satisfies never
  }
}

const MM_PER_FOOT = 12 * MM_PER_INCH
const MM_PER_YARD = 1000 * METRES_PER_YARD

function inchesShown(mm: number, unit: LengthUnit): number {
  const parts = inchParts(unit)
  return (Math.sign(mm) * Math.round((Math.abs(mm) / MM_PER_INCH) * parts)) / parts
}
