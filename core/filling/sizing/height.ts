import { entered, figure, minus, plus, type Figure } from '../../working/index.ts'
import type { CushionSize } from '../../seat/index.ts'

/** How high the seat becomes, and what has changed: covers, hinges and lids were made for the old height. */
export interface SeatHeight {
  readonly now: Figure
  /** Null while nobody has measured the old cushion. */
  readonly change: Figure | null
}

/** Above this a hinge, a lid or an old cover is likely to bind. */
export const NOTICED_MM = 5

/** How high the seat will be against what it was, mm, where the old cushion was measured. */
export function seatHeight(
  cover: CushionSize,
  board: { readonly now: number; readonly before: number },
  oldThicknessMm: number | null,
): SeatHeight {
  const boardFigure = (id: string, label: string, value: number) =>
    entered({ id, label, quantity: 'length', value, rule: 'under the cushion', setBy: 'job', change: 'filling.board' })
  const now = figure({
    id: 'filling.height',
    label: 'Board and cushion',
    quantity: 'length',
    line: 'net',
    sum: plus(boardFigure('filling.board', 'Board', board.now), cover.thickness),
    rule: 'nobody sitting',
  })
  if (oldThicknessMm === null) return { now, change: null }
  const old = entered({
    id: 'filling.oldThickness',
    label: 'Old cushion',
    quantity: 'length',
    value: oldThicknessMm,
    rule: 'measured, cover off',
    setBy: 'measured',
    change: 'measure.old',
  })
  return {
    now,
    change: figure({
      id: 'filling.heightChange',
      label: 'Higher than before',
      quantity: 'length',
      sum: minus(now, old, boardFigure('filling.oldBoard', 'Old board', board.before)),
      rule: 'new board and cushion less the old; minus: lower',
    }),
  }
}
