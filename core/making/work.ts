import type { Resource, WorkKind } from '../../contract/index.ts'
import { isInch, METRES_PER_YARD, type LengthUnit } from '../units/index.ts'
import { figure, given, times, plus, type Expression, type Figure, type Operand } from '../working/index.ts'
import type { Work } from './step.ts'

/** What a kind of work is called, what its rate counts, and where it is done. */
export const WORK: Readonly<
  Record<
    WorkKind,
    {
      readonly label: string
      readonly per: 'metre' | 'square metre' | 'piece' | 'cushion' | 'job' | 'corner' | 'check'
      readonly resource: Resource
    }
  >
> = {
  prepare: { label: 'Prepare the cloth', per: 'job', resource: 'table' },
  mark: { label: 'Mark out', per: 'piece', resource: 'table' },
  'cut-cloth': { label: 'Cut cloth', per: 'metre', resource: 'table' },
  label: { label: 'Label and lay out', per: 'piece', resource: 'table' },
  'cut-foam': { label: 'Cut foam', per: 'metre', resource: 'bench' },
  glue: { label: 'Glue', per: 'square metre', resource: 'bench' },
  wrap: { label: 'Wrap in wadding', per: 'square metre', resource: 'bench' },
  piping: { label: 'Make and baste piping', per: 'metre', resource: 'machine' },
  join: { label: 'Join pieces', per: 'metre', resource: 'machine' },
  zip: { label: 'Set in a zip or tape', per: 'metre', resource: 'machine' },
  hem: { label: 'Hem', per: 'metre', resource: 'machine' },
  plate: { label: 'Sew round a plate', per: 'metre', resource: 'machine' },
  corner: { label: 'Pivot a corner', per: 'corner', resource: 'machine' },
  finish: { label: 'Finish raw edges', per: 'metre', resource: 'machine' },
  'top-stitch': { label: 'Top-stitch from outside', per: 'metre', resource: 'machine' },
  roll: { label: 'Stitch a roll', per: 'metre', resource: 'machine' },
  board: { label: 'Cut a board', per: 'metre', resource: 'bench' },
  drill: { label: 'Drill a hole', per: 'piece', resource: 'bench' },
  turn: { label: 'Turn out and work corners', per: 'cushion', resource: 'bench' },
  fill: { label: 'Fill', per: 'cushion', resource: 'bench' },
  close: { label: 'Close by hand', per: 'metre', resource: 'bench' },
  button: { label: 'Set a button', per: 'piece', resource: 'bench' },
  tie: { label: 'Make a tie, handle or vent', per: 'piece', resource: 'machine' },
  staple: { label: 'Staple', per: 'metre', resource: 'bench' },
  check: { label: 'Check', per: 'check', resource: 'bench' },
  fit: { label: 'Fit on the seat', per: 'cushion', resource: 'bench' },
  unpick: { label: 'Unpick', per: 'metre', resource: 'bench' },
  steam: { label: 'Steam a body', per: 'piece', resource: 'bench' },
}

/**
 * What a rate counts in a shop with these lengths, and how much of what is stored that is: yards and square yards beside
 * inches.
 */
export function ratedIn(kind: WorkKind, lengths: LengthUnit): { readonly per: string; readonly ofStored: number } {
  const { per } = WORK[kind]
  if (!isInch(lengths)) return { per, ofStored: 1 }
  if (per === 'metre') return { per: 'yard', ofStored: METRES_PER_YARD }
  return per === 'square metre' ? { per: 'square yard', ofStored: METRES_PER_YARD ** 2 } : { per, ofStored: 1 }
}

const sum = (terms: readonly Expression[]): Expression => (terms.length === 1 ? terms[0]! : plus(...terms))

/** A length of work, in mm, for so many cushions of each term. */
export function lengthOfWork(
  kind: WorkKind,
  id: string,
  terms: readonly { readonly count: number; readonly mm: Operand }[],
  rule: string,
): readonly Work[] {
  const expressions = terms.map((t) =>
    times(
      given(t.count, 'count', 'cushions'),
      typeof t.mm === 'number' ? given(t.mm, 'run', 'length on one cushion') : t.mm,
    ),
  )
  return worked(kind, id, 'run', expressions, rule)
}

/** So many pieces, corners, cushions or checks. */
export function countOfWork(kind: WorkKind, id: string, count: Operand, rule: string): readonly Work[] {
  return worked(
    kind,
    id,
    'count',
    [
      typeof count === 'number'
        ? given(count, 'count', WORK[kind].per === 'cushion' ? 'cushions' : `${WORK[kind].per}s`)
        : times(count),
    ],
    rule,
  )
}

/** An area of work, in mm². */
export const areaOfWork = (kind: WorkKind, id: string, area: Operand, rule: string): readonly Work[] =>
  worked(kind, id, 'area', [times(area)], rule)

function worked(
  kind: WorkKind,
  id: string,
  quantity: Figure['quantity'],
  terms: readonly Expression[],
  rule: string,
): readonly Work[] {
  if (terms.length === 0) return []
  const amount = figure({ id: `work.${id}.${kind}`, label: WORK[kind].label, quantity, sum: sum(terms), rule })
  return amount.value > 0 ? [{ kind, amount }] : []
}

/** A check takes its minutes whatever the job. */
export const checking = (id: string): readonly Work[] => countOfWork('check', id, 1, 'one look')
