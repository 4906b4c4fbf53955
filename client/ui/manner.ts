import { shallowRef } from 'vue'
import type { CsvManner } from '../../core/formats/index.ts'

/** How days and amounts are written: as the shop set it, else as the browser writes them. */
export const manner = shallowRef<string | undefined>(undefined)

/** `€603.50`. */
export const money = (amount: number, currency: string): string =>
  new Intl.NumberFormat(manner.value, { style: 'currency', currency }).format(amount)

/** How many decimals amounts of a currency are written with. */
export const decimalsOf = (currency: string): number =>
  new Intl.NumberFormat(manner.value, { style: 'currency', currency }).resolvedOptions().maximumFractionDigits ?? 2

export const count = (n: number): string => n.toLocaleString(manner.value)

/** `4 March 2026, 09:00`: months in words, so that no day can be taken for a month. */
export const moment = (iso: string): string =>
  new Date(iso).toLocaleString(manner.value, { dateStyle: 'long', timeStyle: 'short' })

export const timeOfDay = (iso: string): string => new Date(iso).toLocaleTimeString(manner.value, { timeStyle: 'short' })

/** `4 March 2026`, of a day such as `2026-03-04`. */
export const wholeDay = (day: string): string =>
  new Date(`${day}T12:00`).toLocaleDateString(manner.value, { dateStyle: 'long' })

/** `4 Mar`. */
export const shortDay = (day: string): string =>
  new Date(`${day}T12:00`).toLocaleDateString(manner.value, { day: 'numeric', month: 'short' })

export const shortMonth = (day: string): string =>
  new Date(`${day}T12:00`).toLocaleDateString(manner.value, { month: 'short' })

/** What spreadsheets of this shop expect: where numbers have a comma, columns are parted by semicolons. */
export function csvManner(): CsvManner {
  const parts = new Intl.NumberFormat(manner.value).formatToParts(1.5)
  return parts.some((p) => p.type === 'decimal' && p.value === ',')
    ? { delimiter: ';', decimal: ',' }
    : { delimiter: ',', decimal: '.' }
}
