import { phrase } from '../../core/language/index.ts'
import { cushionsIn, type Construction, type Seat } from '../../contract/index.ts'

/** What a job is called until it gets a better name: by how many there are, and by what they are made as where that says it. */
export function startTitle({ division }: Seat, made: Construction['kind'] = 'boxed'): string {
  switch (division.kind) {
    case 'run':
      return phrase`Bench in ${division.count}`
    case 'corner':
      return phrase`Corner bench in ${division.countA} and ${division.countB}`
    case 'rows':
    case 'singles': {
      const count = cushionsIn(division)
      if (made === 'bolster') return count === 1 ? 'One bolster' : phrase`${count} bolsters`
      if (made === 'cube') return count === 1 ? 'One cube' : phrase`${count} cubes`
      return count === 1 ? 'One cushion' : phrase`${count} cushions`
    }
    default:
      return division satisfies never
  }
}
