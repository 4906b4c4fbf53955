import type { Figure } from '../working/index.ts'

/** One line of the cut list: so many pieces of one cut size. */
export interface CutLine {
  readonly what: string
  /** The letter of the part that it is cut for. */
  readonly part: string
  readonly material: 'foam' | 'board' | 'cloth'
  readonly count: number
  readonly width: Figure
  readonly height: Figure
  readonly note: string
  /** The grade is in the name of a foam part; cloth by its name. */
  readonly from: string
}
