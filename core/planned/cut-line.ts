import type { Panel } from '../cover/index.ts'
import type { Outline } from '../outline/index.ts'
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
  readonly shape: CutShape
}

/** What is cut along, for a picture of it: a panel with its notches, foam or board, or a plain strip of the line's size. */
export type CutShape =
  | { readonly kind: 'panel'; readonly panel: Panel }
  | { readonly kind: 'outline'; readonly outline: Outline }
  | { readonly kind: 'strip' }
