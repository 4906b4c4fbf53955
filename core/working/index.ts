export { asExpression, evaluate, given, least, median, minus, most, over, plus, roundDown, roundUp, sayAmount, sayExpression, times, type Operand } from './expression.ts'
export { entered, figure, sayFigure, sayWorking, workingLines, type WorkingLine } from './figure.ts'
export type { Expression, Figure, Line, Quantity, SetBy } from './model.ts'
