import { entered, type Figure } from '../../working/index.ts'

/** The allowance of an edge that a zip is sewn to. */
export const tapeFigure = (mm: number): Figure =>
  entered({
    id: 'closure.tape',
    label: 'Zip tape, edge to stitching',
    quantity: 'length',
    value: mm,
    rule: 'the zip is sewn so far from the edge of its tape',
    setBy: 'job',
    change: 'make-up.closure',
  })
