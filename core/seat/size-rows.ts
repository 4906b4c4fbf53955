import type { Dimension, Seat } from '../../contract/index.ts'
import { slotOf } from './slots.ts'

/** A seat whose cushions differ, row by row as seats of their own; any other seat is its only row. */
export function rowSeats(seat: Seat): readonly Seat[] {
  const { division } = seat
  if (division.kind !== 'rows') return [seat]
  return division.rows.map(({ count, readings }) =>
    Object.entries(readings).reduce<Seat>((so, [slot, dimension]) => slotOf(so, slot)?.with(dimension) ?? so, {
      ...seat,
      division: { kind: 'singles', count, mirrored: 0 },
    }),
  )
}

/** What a row was measured at: its own readings, or those of the seat. */
export const rowDimension = (seat: Seat, row: number, slot: string): Dimension | null =>
  (seat.division.kind === 'rows' ? seat.division.rows[row]?.readings[slot] : undefined) ??
  slotOf(seat, slot)?.dimension ??
  null
