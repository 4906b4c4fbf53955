import type { Dimension, Seat, SizeRow } from '../../contract/index.ts'
import { slotOf } from './slots.ts'

/** A seat whose cushions differ, row by row as seats of their own; any other seat is its only row. */
export function rowSeats(seat: Seat): readonly Seat[] {
  const { division } = seat
  if (division.kind !== 'rows') return [seat]
  return division.rows.map(({ count, readings }) =>
    measuredAt({ ...seat, division: { kind: 'singles', count, mirrored: 0 } }, readings),
  )
}

/** A seat of cushions that differ: the first row is the seat itself, the others are kept beside it. */
export function seatOfRows(seat: Seat, [first, ...others]: readonly [SizeRow, ...SizeRow[]]): Seat {
  return {
    ...measuredAt(seat, first.readings),
    division: { kind: 'rows', rows: [{ ...first, readings: {} }, ...others] },
  }
}

const measuredAt = (seat: Seat, readings: SizeRow['readings']): Seat =>
  Object.entries(readings).reduce((so, [slot, dimension]) => slotOf(so, slot)?.with(dimension) ?? so, seat)

/** What a row was measured at: its own readings, or those of the seat. */
export const rowDimension = (seat: Seat, row: number, slot: string): Dimension | null =>
  (seat.division.kind === 'rows' ? seat.division.rows[row]?.readings[slot] : undefined) ??
  slotOf(seat, slot)?.dimension ??
  null
