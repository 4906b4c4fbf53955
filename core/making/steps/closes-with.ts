import type { InWork } from '../acts/garments.ts'

/** A pull is hidden where there is one; a lap is closed; what is open at the foot is pulled on. */
export function closesWith({ cover, design, layer }: InWork): string {
  const kind = layer === 'cover' ? design.part.makeUp.closure.kind : cover.closures[0]?.choice.kind
  switch (kind) {
    case 'zip-gusset':
      return 'Close the zip and hide the pull; bend the cushion backwards once.'
    case 'zip-seam':
    case 'horseshoe':
      return 'Close the zip; bend the cushion backwards once.'
    case 'hook-and-loop':
      return 'Press the tape shut from one end to the other.'
    case 'snap-tape':
    case 'snaps':
      return 'Press every snap shut.'
    case 'buttons':
      return 'Button it.'
    case 'ties':
      return 'Tie it, the bows inside the lap.'
    case 'lacing':
      return 'Lace it from the middle outwards.'
    case 'slit':
      return 'Lay the laps over each other, flat.'
    case 'sewn-shut':
    case 'fixed':
    case undefined:
      return 'Close it.'
    default:
      return kind satisfies never
  }
}
