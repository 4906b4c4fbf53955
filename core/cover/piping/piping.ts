import { phrase } from '../../language/index.ts'
import { entered, figure, given, plus, roundUp, times, type Expression, type Figure } from '../../working/index.ts'
import { cutStepMm, formatLengthWithUnit, type LengthUnit } from '../../units/index.ts'
import type { Allowances } from '../allowances.ts'
import type { Cover, PipingRow } from '../cover.ts'
import type { Panel } from '../panel.ts'
import { stretchLength, type SeamPair } from '../seam.ts'
import { stretchesOf } from './piped-stretches.ts'
import type { PipingChoice, PipingGroup, PipingPlan } from './piping-plan.ts'

/** Cord is bought 2 % longer than the piping, for ends. */
const CORD_SPARE = 0.02

/** The piping of one cushion: which edges, how long each run, how wide the strip. Null where no edge can be piped. */
export function planPiping(
  choice: PipingChoice,
  rows: readonly PipingRow[],
  panels: readonly Panel[],
  allowances: Allowances,
  unit: LengthUnit,
): PipingPlan | null {
  const runs = pipedRows(choice, rows).flatMap((row) => runsOf(choice, row, panels, allowances))
  if (runs.length === 0) return null
  const groups = runs.reduce<PipingGroup[]>((found, run) => {
    const same = found.findIndex(
      (g) => g.isClosed === run.isClosed && Math.abs(g.length.value - run.length.value) < 0.05,
    )
    return same < 0 ? [...found, run] : found.map((g, i) => (i === same ? { ...g, count: g.count + 1 } : g))
  }, [])
  const terms = groups.map((g): Expression => times(given(g.count, 'count', g.isClosed ? 'loops' : 'runs'), g.length))
  const perCushion = figure({
    id: 'piping.perCushion',
    label: 'Piping of one cushion',
    quantity: 'length',
    line: 'cut',
    sum: terms.length === 1 ? terms[0]! : plus(...terms),
    rule: 'every piped edge',
  })
  const cord =
    choice.kind === 'flat'
      ? null
      : figure({
          id: 'piping.cord',
          label: choice.kind === 'corded' ? 'Cord for one cushion' : 'Ready-made piping for one cushion',
          quantity: 'length',
          sum: times(perCushion, plus(1, given(CORD_SPARE, 'share', 'spare'))),
          rule: 'the piping and 2 %',
        })
  const pairs = pipedRows(choice, rows).flatMap((row) =>
    stretchesOf(choice, row, panels).flatMap((s) => (s.isPiped ? [s.pair] : [])),
  )
  return { choice, groups, pairs, stripWidth: stripWidthOf(choice, allowances.seamMm, unit), perCushion, cord }
}

/** The rows a choice pipes; a cover with a single row has no other. */
const pipedRows = (choice: PipingChoice, rows: readonly PipingRow[]): readonly PipingRow[] =>
  rows.filter((r) => choice.rows === 'both' || r.row === choice.rows || rows.length === 1)

/** Every stretch of seam that is piped on a cover. */
export const pipedPairs = ({ piping }: Pick<Cover, 'piping'>): readonly SeamPair[] => piping?.pairs ?? []

/**
 * Strip width π·c + 2s round a cord c, thick cloth counted in; flat piping shows f: 2f + 2s. Up to the next step of the
 * job's unit, or the maker's own.
 */
export function stripWidthOf(choice: PipingChoice, seam: Figure, unit: LengthUnit): Figure | null {
  if (choice.kind === 'ready-made') return null
  const own = choice.kind === 'corded' ? choice.stripMm : null
  const edges = times(given(2, 'count', 'edges'), seam)
  const bare = figure({
    id: 'piping.bareStrip',
    label: choice.kind === 'flat' ? 'Strip folded flat' : 'Strip round the cord',
    quantity: 'length',
    line: 'cut',
    sum:
      choice.kind === 'flat'
        ? plus(times(given(2, 'count', 'layers'), given(choice.showMm, 'length', 'shows')), edges)
        : plus(times(given(Math.PI, 'plain', 'pi'), roundTheCord(choice)), edges),
    rule:
      choice.kind === 'flat'
        ? 'twice what shows, and two seam allowances'
        : 'once round the cord, and two seam allowances',
  })
  if (own !== null)
    return entered({
      id: 'piping.stripWidth',
      label: 'Piping strip width',
      quantity: 'length',
      line: 'cut',
      value: own,
      rule: phrase`set on this job; ${formatLengthWithUnit(bare.value, unit)} is wanted`,
      setBy: 'job',
      change: 'make-up.cord',
    })
  return figure({
    id: 'piping.stripWidth',
    label: 'Piping strip width',
    quantity: 'length',
    line: 'cut',
    sum: roundUp(bare, cutStepMm(unit), 'length'),
    rule: phrase`up to the next ${formatLengthWithUnit(cutStepMm(unit), unit)}: too narrow cannot be sewn`,
    change: 'make-up.cord',
  })
}

function roundTheCord(choice: Extract<PipingChoice, { kind: 'corded' }>): Expression {
  const cord = given(choice.cordMm, 'length', 'cord diameter')
  return choice.clothMm > 0
    ? plus(cord, times(given(2, 'count', 'sides'), given(choice.clothMm, 'length', 'cloth thickness')))
    : cord
}

/**
 * A row once round is a loop with a joint; where some sides stay bare each stretch of neighbours is a run of its own.
 */
function runsOf(
  choice: PipingChoice,
  row: PipingRow,
  panels: readonly Panel[],
  allowances: Allowances,
): readonly PipingGroup[] {
  const panel = panels.find((p) => p.id === row.panel)!
  const stretches = stretchesOf(choice, row, panels)
  if (stretches.every((s) => s.isPiped))
    return [{ count: 1, isClosed: true, panel, length: loopLength(row, allowances) }]
  const n = stretches.length
  const first = stretches.findIndex((s, i) => s.isPiped && !stretches[(i + n - 1) % n]!.isPiped)
  if (first < 0) return []
  const runs: number[] = []
  let inRun = false
  for (let k = 0; k < n; k++) {
    const { pair, isPiped } = stretches[(first + k) % n]!
    if (isPiped) {
      const length = stretchLength(pair.a)
      if (inRun) runs[runs.length - 1]! += length
      else runs.push(length)
    }
    inRun = isPiped
  }
  return runs.map((mm) => ({
    count: 1,
    isClosed: false,
    panel,
    length: figure({
      id: 'piping.run',
      label: 'Piping for one run',
      quantity: 'length',
      line: 'cut',
      sum: plus(given(mm, 'length', 'piped edge'), times(given(2, 'count', 'ends'), allowances.pipingRunOffMm)),
      rule: 'the edge, and what runs off into the seam at each end',
      change: 'make-up.pipingRunOffMm',
    }),
  }))
}

function loopLength(row: PipingRow, allowances: Allowances): Figure {
  const round = row.pairs.reduce((sum, p) => sum + stretchLength(p.a), 0)
  const path =
    Math.abs(round - row.perimeter.value) < 0.01
      ? row.perimeter
      : entered({
          id: `piping.path.${row.row}`,
          label: phrase`Round the ${row.row} plate`,
          quantity: 'length',
          line: 'net',
          value: round,
          rule: 'along the sewing line; leaning sides make the plates unequal',
        })
  return figure({
    id: 'piping.loop',
    label: 'Piping for one loop',
    quantity: 'length',
    line: 'cut',
    sum: plus(path, allowances.pipingOverlapMm),
    rule: 'round the plate, and the overlap of its joint',
    change: 'make-up.pipingOverlapMm',
  })
}

/** The sharpest bend piping takes: three cords cut on the bias, ten cut straight; flat piping counts by what shows. */
export function leastBend(choice: PipingChoice): number {
  const size = choice.kind === 'flat' ? choice.showMm : choice.cordMm
  return size * (choice.kind === 'ready-made' || choice.cut === 'bias' ? 3 : 10)
}
