export { asExpression, evaluate, given, least, median, minus, most, over, plus, roundDown, roundUp, sayAmount, sayExpression, times, type Expression, type Operand, type Quantity } from './expression.ts'
export { entered, figure, sayFigure, sayWorking, workingLines, type Figure, type Line, type SetBy, type WorkingLine } from './figure.ts'
