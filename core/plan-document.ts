import type { Job, Lay } from '../contract/index.ts'
import { cutOutline, type Panel, type StripSplit } from './cover/index.ts'
import { instanceOf, lowerBound } from './lay/index.ts'
import { buyingList, chalkList, shapeNote } from './lists/index.ts'
import { atHeight, isStraight, type Outline } from './outline/index.ts'
import type { DesignPlan, Plan, WorkedPlan } from './plan.ts'
import type { Cushions, CushionSize, SeatEdge } from './seat/index.ts'
import { warningWords } from './warning/index.ts'
import { sayWorking, type Figure } from './working/index.ts'

/**
 * The whole plan as one JSON document (format `loft-seam/plan`): foam, panels, seams, strips, lay,
 * what to buy, warnings. Lengths in mm; every figure stands with its sum in the job's unit.
 */
export function planDocument(job: Job, plan: Plan, lay: Lay | null) {
  const say = (f: Figure) => figureDocument(f, job)
  const warnings = plan.warnings.map((w) => ({ ...w, ...warningWords(w, job.units) }))
  const head = { format: 'loft-seam/plan', version: 2, ticket: job.ticket, title: job.title, units: job.units } as const
  const cushions = plan.cushions && seatDocument(plan.cushions, say)
  if (plan.kind === 'unworkable') return { ...head, workable: false, cushions, warnings } as const
  return { ...head, workable: true, cushions, sheets: sheetsDocument(plan, say), allowances: Object.fromEntries(Object.entries(plan.allowances).map(([name, f]) => [name, say(f)])), designs: plan.designs.map((d, i) => ({ design: d.design.id, count: d.design.count, filling: fillingDocument(job, d), cover: coverDocument(job, d, plan.cloth.strips[i] ?? null) })), lay: lay && { ...lay, chalkList: chalkList(plan.cloth, lay) }, layProblem: plan.cloth.problem, cutList: plan.cutList.map((l) => ({ ...l, width: say(l.width), height: say(l.height) })), buying: buyingDocument(job, plan, lay), warnings } as const
}

type Say = (f: Figure) => ReturnType<typeof figureDocument>

function seatDocument(cushions: Cushions, say: Say) {
  return {
    count: cushions.count,
    outline: outlineDocument(cushions.seat.bare.outline),
    edges: cushions.seat.bare.edges.map(edgeDocument),
    measured: cushions.measured.map(say),
    derived: cushions.derived.map(say),
    designs: cushions.designs.map(({ id, count, solid }) => ({ design: id, count, outline: outlineDocument(solid.outline), edges: solid.edges.map(edgeDocument), ...sizesDocument(solid, say) })),
    inOrder: cushions.inOrder.map((c, i) => ({ number: i + 1, design: cushions.designs[c.design]!.id, leftMm: c.leftMm, place: c.place })),
  }
}

const edgeDocument = (e: SeatEdge) => ({ name: e.name, side: e.side, meets: e.meets, leanDegrees: (e.leanRad * 180) / Math.PI })

/** Corners as [x, y], and a third number where the edge that leaves is an arc: the tangent of a quarter of its sweep, left turning positive. */
const outlineDocument = (outline: Outline) => outline.map((v) => (isStraight(v.bulge) ? [v.x, v.y] : [v.x, v.y, v.bulge]))

const sizesDocument = (s: CushionSize, say: Say) => ({ width: say(s.width), depth: say(s.depth), thickness: say(s.thickness) })

const sheetsDocument = ({ sheets }: WorkedPlan, say: Say) => ({ size: sheets.sheet, stackMm: sheets.stack, perSheet: say(sheets.perSheet), count: say(sheets.sheets), cost: say(sheets.cost) })

function fillingDocument(job: Job, { filling }: DesignPlan) {
  const say = (f: Figure) => figureDocument(f, job)
  const { block, cover } = filling.sizing
  return {
    grade: job.filling.grade.name,
    firmness: filling.firmness,
    school: job.filling.school.kind,
    reason: filling.sizing.reason,
    block: { ...sizesDocument(block, say), outline: outlineDocument(block.outline), top: outlineDocument(atHeight(block.outline, block.edges.map((e) => e.leanRad), block.thickness.value)), note: shapeNote(block) },
    coverFinishes: sizesDocument(cover, say),
    fit: { across: say(filling.fit.across), frontToBack: say(filling.fit.frontToBack), verdict: filling.fit.verdict },
    mass: say(filling.mass),
  }
}

function coverDocument(job: Job, { cover, checks }: DesignPlan, strips: StripSplit | null) {
  const say = (f: Figure) => figureDocument(f, job)
  return {
    makeUp: job.makeUp.kind,
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
      strips: strips && { perLoop: say(strips.strips), each: say(strips.each), joinsFromBackCentreMm: strips.joinsMm },
    },
    checks,
  }
}

const panelDocument = (p: Panel, say: Say) => ({
  id: p.id,
  name: p.name,
  finished: outlineDocument(p.finished),
  cut: outlineDocument(cutOutline(p)),
  edges: p.edges.map((e) => ({ name: e.name, treatment: e.treatment, allowance: say(e.allowance) })),
  notches: p.notches,
  size: { finishedWidth: say(p.figures.finishedWidth), finishedHeight: say(p.figures.finishedHeight), cutWidth: say(p.figures.cutWidth), cutHeight: say(p.figures.cutHeight) },
})

function buyingDocument(job: Job, plan: WorkedPlan, lay: Lay | null) {
  const list = buyingList(job, plan, lay?.length ?? null, lay?.bound ?? lowerBound(instanceOf(plan.cloth.problem)).length)
  const say = (f: Figure) => figureDocument(f, job)
  return { currency: job.currency, hasLay: list.hasLay, lines: list.lines.map((l) => ({ what: l.what, amount: say(l.amount), cost: l.cost && say(l.cost) })), total: say(list.total) }
}

/** Value, unit-bearing working, rule and who set it. */
function figureDocument(f: Figure, job: Job) {
  return { label: f.label, value: Math.round(f.value * 1e4) / 1e4, quantity: f.quantity, ...(f.line ? { line: f.line } : {}), working: sayWorking(f, job.units), rule: f.rule, setBy: f.setBy }
}
