export { sayAmount, sayAmountWithUnit, sayMinutes } from './amount.ts'
export {
  asExpression,
  evaluate,
  given,
  least,
  median,
  minus,
  most,
  over,
  plus,
  roundDown,
  roundUp,
  times,
  unitsIn,
  type Operand,
} from './expression.ts'
export { entered, figure, sayFigure, sayWorking, workingLines, type WorkingLine } from './figure.ts'
export type { Expression, Figure, Line, Quantity, SetBy } from './model.ts'
