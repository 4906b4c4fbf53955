import { phrase } from '../../core/language/index.ts'
import { cushionsIn, type Seat } from '../../contract/index.ts'

/** What a job is called until it gets a better name. */
export function startTitle({ division }: Seat): string {
  switch (division.kind) {
    case 'run':
      return phrase`Bench in ${division.count}`
    case 'corner':
      return phrase`Corner bench in ${division.countA} and ${division.countB}`
    case 'rows':
    case 'singles': {
      const count = cushionsIn(division)
      return count === 1 ? 'One cushion' : phrase`${count} cushions`
    }
    default:
      return division satisfies never
  }
}
