import { formatLength, isInch, KG_M3_PER_LB_FT3, mmPerUnit, trimmed, unitName, type LengthUnit } from '../units/index.ts'
import type { Quantity } from './model.ts'

/** An amount as it is written, the number that a calculator would be given for it, and what one of that number is worth. */
export interface Amount {
  readonly text: string
  readonly number: number
  /** The value behind 1 as written: 25.4 for an inch, 1000 for a metre of a run. */
  readonly worth: number
}

/** An amount in the units of the job, without the name of a length's unit; `finer` asks for so many more digits. */
export function amountOf(value: number, quantity: Quantity, unit: LengthUnit, finer = 0): Amount {
  const worth = worthOf(quantity, unit)
  if (quantity === 'length' && isInch(unit) && finer === 0) return { text: formatLength(value, unit), number: inchesShown(value, unit), worth }
  if (quantity === 'time' && finer === 0) return { text: sayMinutes(value), number: Math.round(value), worth }
  const decimals = decimalsOf(quantity, unit) + finer
  const number = Number((value / worth).toFixed(Math.min(12, decimals))) + 0
  const digits = quantity === 'money' ? number.toFixed(Math.min(12, decimals)) : trimmed(number, Math.min(12, decimals))
  if (quantity === 'share') return { text: `${trimmed(value * 100, Math.max(0, decimals - 2))} %`, number, worth }
  return { text: digits + suffixOf(quantity, unit), number, worth }
}

/** The least step in which an amount is written, as a number of the calculator. */
export function lastDigit(quantity: Quantity, unit: LengthUnit): number {
  if (quantity === 'length' && isInch(unit)) return unit === 'inch-8' ? 1 / 8 : 1 / 16
  return quantity === 'time' ? 1 : 10 ** -decimalsOf(quantity, unit)
}

/** An amount in words of the job: lengths without the name of their unit. */
export const sayAmount = (value: number, quantity: Quantity, unit: LengthUnit): string => amountOf(value, quantity, unit).text

/** The same with the unit of a length and a mass. */
export function sayAmountWithUnit(value: number, quantity: Quantity, unit: LengthUnit): string {
  const { text } = amountOf(value, quantity, unit)
  return quantity === 'length' ? `${text} ${unitName(unit)}` : quantity === 'mass' ? `${text} ${isInch(unit) ? 'lb' : 'kg'}` : quantity === 'density' ? `${text} ${isInch(unit) ? 'lb/ft³' : 'kg/m³'}` : text
}

/** `25 min`, `3 h 05`. */
export function sayMinutes(minutes: number): string {
  const whole = Math.round(minutes)
  return whole < 60 ? `${whole} min` : `${Math.floor(whole / 60)} h ${String(whole % 60).padStart(2, '0')}`
}

/** Kilograms in a pound, mm² in a square foot, mm in a yard. */
const KG_PER_LB = 0.45359237
const MM2_PER_FT2 = 304.8 ** 2
const MM_PER_YARD = 914.4

function worthOf(quantity: Quantity, unit: LengthUnit): number {
  switch (quantity) {
    case 'length':
      return mmPerUnit(unit)
    case 'run':
      return isInch(unit) ? MM_PER_YARD : 1000
    case 'area':
      return isInch(unit) ? MM2_PER_FT2 : 1e6
    case 'angle':
      return Math.PI / 180
    case 'mass':
      return isInch(unit) ? KG_PER_LB : 1
    case 'density':
      return isInch(unit) ? KG_M3_PER_LB_FT3 : 1
    case 'share':
    case 'money':
    case 'time':
    case 'count':
    case 'plain':
    case 'conversion':
      return 1
    default:
      return quantity satisfies never
  }
}

function decimalsOf(quantity: Quantity, unit: LengthUnit): number {
  switch (quantity) {
    case 'length':
      return unit === 'mm' ? 1 : 2
    case 'area':
    case 'share':
      return 3
    case 'run':
    case 'angle':
    case 'mass':
    case 'money':
    case 'density':
      return 2
    case 'time':
    case 'count':
      return 0
    case 'plain':
    case 'conversion':
      return 4
    default:
      return quantity satisfies never
  }
}

function suffixOf(quantity: Quantity, unit: LengthUnit): string {
  switch (quantity) {
    case 'run':
      return isInch(unit) ? ' yd' : ' m'
    case 'area':
      return isInch(unit) ? ' ft²' : ' m²'
    case 'angle':
      return '°'
    case 'time':
      return ' min'
    default:
      return ''
  }
}

function inchesShown(mm: number, unit: LengthUnit): number {
  const parts = unit === 'inch-8' ? 8 : 16
  return (Math.sign(mm) * Math.round((Math.abs(mm) / 25.4) * parts)) / parts
}
