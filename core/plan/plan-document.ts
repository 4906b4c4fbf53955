import type { Job, Lay } from '../../contract/index.ts'
import type { PipingStrips } from '../cloth/index.ts'
import { cutOutline, marksOnPiece, notchOnPiece, noteWords, sewnOutline, type Panel } from '../cover/index.ts'
import { doubtWords, failureWords, verdictWords, type LoadCase, type Sunk, type Verdict } from '../filling/index.ts'
import { instanceOf, lowerBound } from '../lay/index.ts'
import { buyingList, chalkList, keptList, shapeNote } from '../lists/index.ts'
import { orderFaults, workOrder } from '../making/index.ts'
import { isStraight, type Outline, type Point } from '../outline/index.ts'
import type { DesignPlan, PartPlan, Plan, WorkedPlan } from '../planned/index.ts'
import { topOf, type Cushions, type CushionSize, type SeatEdge } from '../seat/index.ts'
import { warningWords, type Warning } from '../warnings/index.ts'
import { sayWorking, type Figure } from '../working/index.ts'

/**
 * The whole plan as one JSON document (format `loft-seam/plan`): foam, panels, seams, strips, lay, what to buy,
 * warnings; `stops` are what the search for lays found. Lengths in mm; every figure stands with its sum in the job's
 * unit.
 */
export function planDocument(job: Job, plan: Plan, lays: readonly (Lay | null)[], stops: readonly Warning[] = []) {
  const say = (f: Figure) => figureDocument(f, job)
  const warnings = [...stops, ...plan.warnings].map((w) => ({ ...w, ...warningWords(w, job.units) }))
  const head = { format: 'loft-seam/plan', version: 9, ticket: job.ticket, title: job.title, units: job.units } as const
  const strips = plan.kind === 'worked' ? plan.cloth.strips : []
  const stripsOf = (d: DesignPlan) => (plan.kind === 'worked' ? (strips[plan.sewn.indexOf(d)] ?? []) : [])
  const parts = plan.parts.map((p) => partDocument(p, say, stripsOf))
  if (plan.kind === 'unworkable') return { ...head, workable: false, parts, warnings } as const
  return {
    ...head,
    workable: true,
    parts,
    foam: foamDocument(plan, say),
    lays: plan.cloth.lays.map((own, i) => ({
      cloth: own.cloth.name,
      folded: own.isFolded,
      pieces: own.pieces.map((p) => ({
        id: p.id,
        name: p.name,
        count: p.qty,
        way: p.way,
        panel: p.of && { cushion: p.of.cushion + 1, part: p.of.part, layer: p.of.layer, panel: p.of.panel.id },
      })),
      problem: own.problem,
      lay: lays[i] ?? null,
      chalkList: lays[i] ? chalkList(own, lays[i]) : null,
    })),
    kept: keptList(job, plan),
    cutList: plan.cutList.map(({ shape: _, ...l }) => ({ ...l, width: say(l.width), height: say(l.height) })),
    buying: buyingDocument(job, plan, lays),
    workOrder: workOrder(job, plan).map(({ work, sewing, ...step }) => ({
      ...step,
      sewing: sewing && { kind: sewing.kind, cloth: sewing.cloth.name, lock: sewing.lock },
      work: work.map((w) => ({ kind: w.kind, amount: say(w.amount) })),
    })),
    orderFaults: orderFaults(job, plan),
    warnings,
  } as const
}

/** A part: its cushions, and where it can be made its designs. */
function partDocument(plan: PartPlan, say: Say, stripsOf: (design: DesignPlan) => readonly PipingStrips[]) {
  const { letter, name } = plan.part
  const head = {
    letter,
    name,
    work: plan.part.work.kind,
    workable: plan.kind === 'worked',
    cushions: plan.cushions && seatDocument(plan.cushions, say),
  }
  if (plan.kind === 'unworkable') return head
  return {
    ...head,
    allowances: Object.fromEntries(Object.entries(plan.allowances).map(([key, f]) => [key, say(f)])),
    designs: plan.designs.map((d) => ({
      design: d.design.id,
      count: d.design.count,
      filling: fillingDocument(d, say),
      cover: coverDocument(d, say, stripsOf(d)),
      liner: d.liner && { panels: d.liner.panels.map((p) => panelDocument(p, say)), seams: d.liner.seams },
    })),
  }
}

type Say = (f: Figure) => ReturnType<typeof figureDocument>

function seatDocument(cushions: Cushions, say: Say) {
  return {
    count: cushions.count,
    outline: outlineDocument(cushions.seat.bare.outline),
    edges: cushions.seat.bare.edges.map(edgeDocument),
    measured: cushions.measured.map(say),
    derived: cushions.derived.map(say),
    designs: cushions.designs.map(({ id, count, solid }) => ({
      design: id,
      count,
      outline: outlineDocument(solid.outline),
      edges: solid.edges.map(edgeDocument),
      ...sizesDocument(solid, say),
    })),
    inOrder: cushions.inOrder.map((c, i) => ({
      number: i + 1,
      design: cushions.designs[c.design]!.id,
      leftMm: c.leftMm,
      place: c.place,
    })),
  }
}

const edgeDocument = (e: SeatEdge) => ({
  name: e.name,
  side: e.side,
  meets: e.meets,
  leanDegrees: (e.leanRad * 180) / Math.PI,
})

const xy = (p: Point) => [p.x, p.y] as const

/**
 * Corners as [x, y], and a third number where the edge that leaves is an arc: the tangent of a quarter of its sweep,
 * left turning positive.
 */
const outlineDocument = (outline: Outline) =>
  outline.map((v) => (isStraight(v.bulge) ? [v.x, v.y] : [v.x, v.y, v.bulge]))

const sizesDocument = (s: CushionSize, say: Say) => ({
  width: say(s.width),
  depth: say(s.depth),
  thickness: say(s.thickness),
})

/** Parts, sheets, joins and supplies; null where the cushions are filled with loose fibre. */
function foamDocument({ cutting }: WorkedPlan, say: Say) {
  if (!cutting) return null
  const { supplies } = cutting
  return {
    supply: cutting.cutting.supply,
    tool: cutting.cutting.tool,
    parts: cutting.groups.flatMap(({ group }) =>
      group.parts.map((p) => ({
        id: p.id,
        grade: p.grade.name,
        thicknessMm: p.thicknessMm,
        count: p.count,
        where: p.where,
        outline: outlineDocument(p.outline),
      })),
    ),
    joins: cutting.blocks.flatMap((b) =>
      b.slices.map((s, i) => ({ design: b.letter, slice: i + 1, acrossMm: s.joins.across, deepMm: s.joins.deep })),
    ),
    sheets: cutting.groups.map(({ group, buy, nest }) => ({
      grade: group.grade.name,
      thicknessMm: group.thicknessMm,
      size: buy?.sheet ?? null,
      count: buy && say(buy.sheets),
      cost: buy && say(buy.cost),
      nest,
    })),
    cutToSize: cutting.order.map((l) => ({ ...l, grade: l.grade.name })),
    count: say(cutting.sheets),
    cost: say(cutting.cost),
    glue: supplies.glue && say(supplies.glue),
    waddingM2: supplies.waddingM2 && say(supplies.waddingM2),
    filmM2: supplies.filmM2 && say(supplies.filmM2),
  }
}

function fillingDocument({ part, filling }: DesignPlan, say: Say) {
  const { block, cover } = filling.sizing
  const common = {
    reason: filling.sizing.reason,
    coverFinishes: sizesDocument(cover, say),
    mass: filling.mass && say(filling.mass),
    height: say(filling.height.now),
    heightChange: filling.height.change && say(filling.height.change),
  }
  if (filling.kind === 'loose-fibre')
    return {
      kind: filling.kind,
      ...common,
      liner: { ...sizesDocument(filling.liner, say), openMm: filling.liner.openMm },
    }
  const directions = filling.directions.map((d) => ({
    way: d.way,
    finished: say(d.finished),
    overFilling: { by: say(d.overFilling.by), share: say(d.overFilling.share) },
    overSeat: { by: say(d.overSeat.by), share: say(d.overSeat.share) },
    causes: d.causes,
  }))
  if (filling.kind === 'insert') return { kind: filling.kind, ...common, insert: sizesDocument(block, say), directions }
  return {
    kind: filling.kind,
    layers: filling.layers.map((l) => ({ grade: l.grade.name, thicknessMm: l.thicknessMm })),
    hardnessN: filling.hardnessN,
    firmness: filling.firmness,
    school: part.filling.kind === 'foam' ? part.filling.school.kind : null,
    ...common,
    block: {
      ...sizesDocument(block, say),
      outline: outlineDocument(block.outline),
      top: outlineDocument(topOf(block)),
      note: shapeNote(block),
    },
    fit: {
      across: say(filling.fit.across),
      frontToBack: say(filling.fit.frontToBack),
      verdict: filling.fit.verdict,
      directions,
    },
    unknown: filling.unknown,
    support: filling.verdict && supportDocument(filling.verdict, filling.loadCase, part.units),
  }
}

function supportDocument(verdict: Verdict, load: LoadCase, units: Job['units']) {
  const { support, failures, doubts } = verdict
  const sunk = ({ strain, leftMm, contactM2, meanPa, peakPa }: Sunk) => ({ strain, leftMm, contactM2, meanPa, peakPa })
  const age = ({ sinks, worst, standing }: typeof support.fresh) => ({
    standing,
    worst: sunk(worst),
    sitters: sinks.map((s) => ({ end: s.sitter.end, massKg: s.sitter.massKg, forceN: s.sitter.restN, ...sunk(s) })),
  })
  return {
    years: support.years,
    onBoardInYear: support.onBoardInYear,
    holdsKg: support.holdsKg,
    feel: verdict.feel,
    says: verdictWords(verdict, load, units),
    fresh: age(support.fresh),
    aged: age(support.aged),
    failures: failures.map((f) => failureWords(f, units)),
    doubts: doubts.map((d) => doubtWords(d, units)),
  }
}

function coverDocument({ part, cover, checks }: DesignPlan, say: Say, strips: readonly PipingStrips[]) {
  return {
    makeUp: part.makeUp.construction.kind,
    perimeter: say(cover.perimeter),
    figures: cover.figures.map(say),
    closures: cover.closures.map((c) => ({
      kind: c.choice.kind,
      seam: c.seam,
      lengthMm: say(c.lengthMm),
      lap: c.lap && say(c.lap),
      placesMm: c.places,
      fittings: c.fittings.map((f) => ({ ...f, amount: say(f.amount) })),
    })),
    panels: cover.panels.map((p) => panelDocument(p, say)),
    layers: cover.layers.map((p) => ({ behind: p.behind, ...panelDocument(p, say) })),
    seams: cover.seams,
    piping: cover.piping && {
      choice: cover.piping.choice,
      stripWidth: cover.piping.stripWidth && say(cover.piping.stripWidth),
      runs: cover.piping.groups.map((g) => ({
        count: g.count,
        closed: g.isClosed,
        along: g.panel.id,
        length: say(g.length),
      })),
      cordPerCushion: cover.piping.cord && say(cover.piping.cord),
      strips: strips.map(({ split, runs }) => ({
        runs: runs.count,
        perRun: say(split.strips),
        lengths: split.lengths.map(say),
        joinsFromBackCentreMm: split.joinsMm,
      })),
    },
    fittings: cover.fittings.map((f) => ({ ...f, amount: say(f.amount) })),
    notes: cover.notes.map((n) => noteWords(n, part.units)),
    checks,
  }
}

const panelDocument = (p: Panel, say: Say) => ({
  id: p.id,
  name: p.name,
  finished: outlineDocument(p.finished),
  sewn: outlineDocument(sewnOutline(p)),
  cut: outlineDocument(cutOutline(p)),
  edges: p.edges.map((e) => ({
    name: e.name,
    treatment: e.treatment,
    allowance: say(e.allowance),
    ...(e.ready ? { ready: e.ready } : {}),
  })),
  notches: p.notches.map((n) => ({ ...n, sewn: xy(notchOnPiece(p, n).sewn), cut: xy(notchOnPiece(p, n).below(0)) })),
  marks: marksOnPiece(p),
  times: p.times,
  cloth: p.cloth,
  size: {
    finishedWidth: say(p.figures.finishedWidth),
    finishedHeight: say(p.figures.finishedHeight),
    cutWidth: say(p.figures.cutWidth),
    cutHeight: say(p.figures.cutHeight),
  },
})

function buyingDocument(job: Job, plan: WorkedPlan, lays: readonly (Lay | null)[]) {
  const list = buyingList(
    job,
    plan,
    plan.cloth.lays.map(({ problem }, i) => ({
      laidMm: lays[i]?.length ?? null,
      boundMm: lays[i]?.bound ?? lowerBound(instanceOf(problem)).length,
    })),
  )
  const say = (f: Figure) => figureDocument(f, job)
  return {
    currency: job.currency,
    hasLay: list.hasLay,
    lines: list.lines.map((l) => ({ what: l.what, amount: say(l.amount), cost: l.cost && say(l.cost) })),
    total: say(list.total),
  }
}

/** Value, unit-bearing working, rule and who set it. */
function figureDocument(f: Figure, job: Job) {
  return {
    label: f.label,
    value: Math.round(f.value * 1e4) / 1e4,
    quantity: f.quantity,
    ...(f.line ? { line: f.line } : {}),
    working: sayWorking(f, job.units),
    rule: f.rule,
    setBy: f.setBy,
  }
}
