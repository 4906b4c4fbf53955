import type { Job, Lay } from '../contract/index.ts'
import { cutOutline, type Panel } from './cover/index.ts'
import { instanceOf, lowerBound } from './lay/index.ts'
import { buyingList, chalkList } from './lists/index.ts'
import type { Plan, WorkedPlan } from './plan.ts'
import { warningWords } from './warning/index.ts'
import { sayWorking, type Figure } from './working/index.ts'

/**
 * The whole plan as one JSON document (format `loft-seam/plan`): foam, panels, seams, strips, lay,
 * what to buy, warnings. Lengths in mm; every figure stands with its sum in the job's unit.
 */
export function planDocument(job: Job, plan: Plan, lay: Lay | null) {
  const say = (f: Figure) => figureDocument(f, job)
  const warnings = plan.warnings.map((w) => ({ ...w, ...warningWords(w, job.units) }))
  const head = { format: 'loft-seam/plan', version: 1, ticket: job.ticket, title: job.title, units: job.units } as const
  const cushions = { count: plan.cushions.count, leftMm: plan.cushions.leftMm, width: say(plan.cushions.size.width), depth: say(plan.cushions.size.depth), thickness: say(plan.cushions.size.thickness) }
  if (plan.kind === 'unworkable') return { ...head, workable: false, cushions, warnings } as const
  return { ...head, workable: true, cushions, filling: fillingDocument(job, plan), cover: coverDocument(job, plan), lay: lay && { ...lay, chalkList: chalkList(plan.cloth, lay) }, layProblem: plan.cloth.problem, cutList: plan.cutList.map((l) => ({ ...l, width: say(l.width), height: say(l.height) })), buying: buyingDocument(job, plan, lay), warnings } as const
}

function fillingDocument(job: Job, { filling }: WorkedPlan) {
  const say = (f: Figure) => figureDocument(f, job)
  const size = (s: { width: Figure; depth: Figure; thickness: Figure }) => ({ width: say(s.width), depth: say(s.depth), thickness: say(s.thickness) })
  return {
    grade: job.filling.grade.name,
    firmness: filling.firmness,
    school: job.filling.school.kind,
    reason: filling.sizing.reason,
    block: size(filling.sizing.block),
    coverFinishes: size(filling.sizing.cover),
    fit: { across: say(filling.fit.across), frontToBack: say(filling.fit.frontToBack), verdict: filling.fit.verdict },
    sheets: { size: filling.sheets.sheet, stackMm: filling.sheets.stack, perSheet: say(filling.sheets.perSheet), count: say(filling.sheets.sheets), cost: say(filling.sheets.cost) },
    mass: say(filling.mass),
  }
}

function coverDocument(job: Job, { cover, checks, cloth, allowances }: WorkedPlan) {
  const say = (f: Figure) => figureDocument(f, job)
  return {
    makeUp: job.makeUp.kind,
    allowances: Object.fromEntries(Object.entries(allowances).map(([name, f]) => [name, say(f)])),
    perimeter: say(cover.perimeter),
    closure: { ...cover.closure, lengthMm: say(cover.closure.lengthMm) },
    panels: cover.panels.map((p) => panelDocument(p, say)),
    seams: cover.seams,
    piping: cover.piping && {
      rows: cover.piping.choice.rows,
      cut: cover.piping.choice.cut,
      stripWidth: say(cover.piping.stripWidth),
      loop: say(cover.piping.loopLength),
      cordPerCushion: say(cover.piping.cordPerCushion),
      strips: cloth.strips && { perLoop: say(cloth.strips.strips), each: say(cloth.strips.each), joinsFromBackCentreMm: cloth.strips.joinsMm },
    },
    checks,
  }
}

const panelDocument = (p: Panel, say: (f: Figure) => ReturnType<typeof figureDocument>) => ({
  id: p.id,
  name: p.name,
  finished: p.finished.map(({ x, y }) => [x, y]),
  cut: cutOutline(p).map(({ x, y }) => [x, y]),
  edges: p.edges.map((e) => ({ name: e.name, treatment: e.treatment, allowance: say(e.allowance) })),
  notches: p.notches,
  size: { finishedWidth: say(p.figures.finishedWidth), finishedHeight: say(p.figures.finishedHeight), cutWidth: say(p.figures.cutWidth), cutHeight: say(p.figures.cutHeight) },
})

function buyingDocument(job: Job, plan: WorkedPlan, lay: Lay | null) {
  const list = buyingList(job, plan.filling, plan.cover, plan.cushions.count, lay?.length ?? null, lay?.bound ?? lowerBound(instanceOf(plan.cloth.problem)).length)
  const say = (f: Figure) => figureDocument(f, job)
  return { currency: job.currency, hasLay: list.hasLay, lines: list.lines.map((l) => ({ what: l.what, amount: say(l.amount), cost: l.cost && say(l.cost) })), total: say(list.total) }
}

/** Value, unit-bearing working, rule and who set it. */
function figureDocument(f: Figure, job: Job) {
  return { label: f.label, value: Math.round(f.value * 1e4) / 1e4, quantity: f.quantity, ...(f.line ? { line: f.line } : {}), working: sayWorking(f, job.units), rule: f.rule, setBy: f.setBy }
}
