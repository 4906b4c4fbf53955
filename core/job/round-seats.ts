import type { Footprint, Seat } from '../../contract/index.ts'
import { reading, shapedSeat } from './new-job.ts'

/** Loose round cushions. */
export const discSeat = (acrossMm: number, thicknessMm: number, count: number): Seat =>
  roundSeat('whole', acrossMm, thicknessMm, count)

/** Halves of them: straight in front, round behind. */
export const halfDiscSeat = (acrossMm: number, thicknessMm: number, count: number): Seat =>
  roundSeat('half', acrossMm, thicknessMm, count)

const roundSeat = (
  part: Extract<Footprint, { kind: 'disc' }>['part'],
  acrossMm: number,
  thicknessMm: number,
  count: number,
): Seat =>
  shapedSeat({ kind: 'disc', across: reading(acrossMm), part }, thicknessMm, { kind: 'singles', count, mirrored: 0 })
