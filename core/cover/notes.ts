import { phrase } from '../language/index.ts'
import { formatLengthWithUnit, type LengthUnit } from '../units/index.ts'

/** What the bench has to know beside panels and seams, as data; lengths in mm. */
export type CoverNote =
  | {
      readonly code:
        | 'pile-runs-over'
        | 'boxing-joined'
        | 'stitch-rolls'
        | 'drill-first'
        | 'ties-in-divider'
        | 'bonded'
        | 'pinned'
        | 'lining-shorter'
        | 'check-pinch'
        | 'try-on'
        | 'sewn-when-weighed'
    }
  | { readonly code: 'staple-from-middle'; readonly apartMm: number }
  | { readonly code: 'sheets-over'; readonly sheets: number; readonly overMm: number; readonly lastMm: number }

/** A note in plain words, lengths in the job's unit. */
export function noteWords(note: CoverNote, unit: LengthUnit): string {
  const mm = (length: number) => formatLengthWithUnit(length, unit)
  switch (note.code) {
    case 'pile-runs-over':
      return 'On a blank with its sides the pile runs up one side and down the other.'
    case 'boxing-joined':
      return 'The boxing is longer than the cloth gives: it is joined, both joins alike from its middle.'
    case 'stitch-rolls':
      return 'Top-stitch the rolls before the side is closed; the last one is stitched on the filled cushion.'
    case 'drill-first':
      return 'Drill the air holes before the foam is glued down.'
    case 'ties-in-divider':
      return 'Ties are caught in the side seams at the hinge, and at the top.'
    case 'bonded':
      return 'Not washable; the bond softens in heat.'
    case 'pinned':
      return 'Pinned: for show only, never to sit on.'
    case 'lining-shorter':
      return 'Lining and wadding are cut shorter by the hem; the inner cover has a non-slip base.'
    case 'check-pinch':
      return 'Check: each seam across a corner is as long as the cushion is thick.'
    case 'try-on':
      return 'Stretchy cloth: try the wrap on before the second end is sewn, trim, and note how much.'
    case 'sewn-when-weighed':
      return 'Sewn shut when the fill is weighed in.'
    case 'staple-from-middle':
      return phrase`Staple from the middles outwards, opposite sides in turn, every ${mm(note.apartMm)}; corners last.`
    case 'sheets-over':
      return phrase`${note.sheets} sheets stand ${mm(note.overMm)} over: split the last to ${mm(note.lastMm)}, or let the cube finish ${mm(note.overMm)} higher.`
    default:
      return note satisfies never
  }
}
