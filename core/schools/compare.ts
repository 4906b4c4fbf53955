import { phrase } from '../language/index.ts'
import type { PartJob } from '../../contract/index.ts'
import { cutOutline } from '../cover/index.ts'
import { areaOf } from '../outline/index.ts'
import { planPart } from '../plan/index.ts'
import type { WorkedPart } from '../planned/index.ts'
import type { Warning } from '../warnings/index.ts'
import { entered, figure, given, minus, type Figure } from '../working/index.ts'
import type { School } from './school.ts'

/** One cushion made by a school: how large it finishes, how the block fits, what cloth it takes. */
export interface SchoolResult {
  readonly school: School
  readonly outcome:
    | { readonly kind: 'made'; readonly rows: readonly CompareRow[] }
    | { readonly kind: 'stopped'; readonly warning: Warning }
}

export interface CompareRow {
  readonly label: string
  readonly figure: Figure | null
  readonly words: string
}

/** The first design of a part by a school, worked out in full. */
export function tryOut(job: PartJob, school: School): SchoolResult {
  const plan = planPart(school.edit.apply(job), '')
  return plan.kind === 'unworkable'
    ? { school, outcome: { kind: 'stopped', warning: plan.warnings[0]! } }
    : { school, outcome: { kind: 'made', rows: rowsOf(plan) } }
}

function rowsOf(plan: WorkedPart): readonly CompareRow[] {
  const [{ cover, filling, checks }] = plan.designs as [WorkedPart['designs'][number]]
  const [main] = cover.panels as [(typeof cover.panels)[number]]
  const cut = cover.panels.reduce((sum, p) => sum + p.times * areaOf(cutOutline(p)), 0)
  const row = (label: string, f: Figure): CompareRow => ({ label, figure: f, words: '' })
  const opening = cover.closures[0]
  return [
    row('Cover finishes, width', cover.solid.width),
    row('Cover finishes, depth', cover.solid.depth),
    row(
      'Cover finishes, height',
      cover.wall ? heightOf(cover.wall.heightMm, cover.solid.thickness) : cover.solid.thickness,
    ),
    row(phrase`${main.name}, cut width`, main.figures.cutWidth),
    row(phrase`${main.name}, cut height`, main.figures.cutHeight),
    ...(opening ? [row(opening.lengthMm.label, opening.lengthMm)] : []),
    ...(filling.kind === 'foam'
      ? [row('Fit across', filling.fit.across), row('Fit front to back', filling.fit.frontToBack)]
      : []),
    row(
      'Cloth in one cushion, cut',
      entered({
        id: 'compare.cloth',
        label: 'Cloth in one cushion',
        quantity: 'area',
        line: 'cut',
        value: cut,
        rule: 'its panels together, before piping and waste',
      }),
    ),
    { label: 'Panels and seams', figure: null, words: phrase`${cover.panels.length} and ${cover.seams.length}` },
    { label: 'Checks', figure: null, words: checks.every((c) => c.faults.length === 0) ? 'all right' : 'fail' },
  ]
}

function heightOf(sewnMm: number, thickness: Figure): Figure {
  const less = thickness.value - sewnMm
  return Math.abs(less) < 1e-6
    ? thickness
    : figure({
        id: 'compare.height',
        label: 'Sides finish',
        quantity: 'length',
        line: 'net',
        sum: minus(thickness, given(less, 'length', 'taken out or added')),
        rule: 'as the school draws it',
      })
}
