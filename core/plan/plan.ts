import type { Job } from '../../contract/index.ts'
import { clothWarnings, planCloth } from '../cloth/index.ts'
import {
  applied,
  checkCover,
  CLOSURES,
  coverWarnings,
  linerShapeFor,
  makeCover,
  refusalWarning,
  usualMakeUp,
  type Allowances,
  type Check,
  type Cover,
  type CoverInput,
  type Refusal,
} from '../cover/index.ts'
import { err, ok, type Result } from '../result/index.ts'
import {
  fillingWarnings,
  isInfantBed,
  LINER_OPEN_MM,
  planCutting,
  planFilling,
  type CuttingPlan,
  type FillingPlan,
} from '../filling/index.ts'
import { cutList } from '../lists/index.ts'
import { boxOf, rectangle } from '../outline/index.ts'
import {
  cushionsOf,
  LEAST_COVER_MM,
  seatFaultWarning,
  seatWarnings,
  type Cushions,
  type Design,
  type Solid,
} from '../seat/index.ts'
import type { Warning } from '../warnings/index.ts'
import { washedChoice } from '../pattern/index.ts'
import type { DesignPlan, Plan } from '../planned/index.ts'
import { entered } from '../working/index.ts'

/** From the tape to the pieces, at once. Total: bad sizes give warnings, never exceptions. */
export function planJob(job: Job): Plan {
  const cloth = washedChoice(job.cloth)
  const found = cushionsOf(job.seat)
  if (!found.ok)
    return {
      kind: 'unworkable',
      cushions: null,
      warnings: [seatFaultWarning(found.error), ...seatWarnings(job.seat, null)],
    }
  const cushions = found.value
  const doubts = seatWarnings(job.seat, cushions)
  const allowances = applied(job.allowances)
  const oldThicknessMm = job.seat.old.measured?.thicknessMm ?? null
  const fillings = cushions.designs.map((d) =>
    planFilling(job.filling, {
      borderLost: isDrawnToThickness(job) ? allowances.seamMm : null,
      cushion: d.solid,
      isRoll: isRoll(job),
      seam: allowances.seamMm,
      oldThicknessMm,
      fitShiftShare: job.allowances.learned?.fitShiftShare ?? 0,
    }),
  )
  const stops = [...doubts.filter((w) => w.level === 'stop'), ...vanishing(fillings), ...infantBed(job, cushions)]
  if (stops.length > 0)
    return { kind: 'unworkable', cushions, warnings: [stops[0]!, ...doubts.filter((w) => w !== stops[0])] }
  const designs: DesignPlan[] = []
  for (const [i, design] of cushions.designs.entries()) {
    const planned = planDesign({ ...job, cloth }, design, fillings[i]!, allowances)
    if (!planned.ok) return { kind: 'unworkable', cushions, warnings: [refusalWarning(planned.error), ...doubts] }
    designs.push(planned.value)
  }
  const cutting = cuttingOf(job, designs)
  const covers = designs.map((d) => d.cover)
  const lays = planCloth(job.cloth, designs, cushions)
  return {
    kind: 'worked',
    cushions,
    allowances,
    designs,
    cutting,
    cloth: lays,
    cutList: cutList(job, designs, cutting, lays),
    warnings: [
      ...doubts,
      ...fillingWarnings(job.filling, fillings, cutting, cushions),
      ...unique(designs.flatMap((d) => coverWarnings(job, allowances, d.cover, d.filling, d.checks))),
      ...clothWarnings({ ...job, cloth }, lays, covers),
      { station: 'lists', level: 'safety', code: 'knives' },
      { station: 'make', level: 'safety', code: 'needles' },
    ],
  }
}

/** A capped cushion's border drawn to the thickness finishes a seam lower. */
const isDrawnToThickness = ({ makeUp: { construction } }: Job): boolean =>
  construction.kind === 'capped' && construction.school === 'drawn-to-thickness'

/** A bolster's filling is round. */
const isRoll = ({ makeUp: { construction } }: Job): boolean =>
  construction.kind === 'bolster' || (construction.kind === 'liner' && construction.of === 'bolster')

function planDesign(
  job: Job,
  design: Design,
  filling: FillingPlan,
  allowances: Allowances,
): Result<DesignPlan, Refusal> {
  const { makeUp } = job
  const solid = filling.sizing.cover
  const common = { cloth: job.cloth, allowances, units: job.units }
  const cover = makeCover({ ...common, edges: job.allowances.edges, learned: job.allowances.learned, solid, makeUp })
  if (!cover.ok) return err(cover.error)
  const liner = linerOf(job, solid, common)
  if (liner && !liner.ok) return err(liner.error)
  return ok({
    design,
    filling,
    cover: cover.value,
    checks: allChecks(cover.value, liner?.value ?? null, job.units),
    liner: liner?.value ?? null,
    backFilling: backFilling(job, design, allowances),
  })
}

/**
 * The inner cover of loose fibre, or where one is wanted; its opening no longer than its edge. Null where there is
 * none.
 */
function linerOf(
  { filling, makeUp }: Job,
  solid: Solid,
  common: Pick<CoverInput, 'cloth' | 'allowances' | 'units'>,
): Result<Cover, Refusal> | null {
  const largerShare = filling.kind === 'loose-fibre' ? filling.linerLargerShare : (makeUp.liner?.largerShare ?? null)
  if (largerShare === null || makeUp.construction.kind === 'liner') return null
  const open = (openingMm: number) =>
    makeCover({
      ...common,
      edges: {},
      solid,
      makeUp: {
        ...usualMakeUp('liner'),
        construction: { kind: 'liner', of: linerShapeFor(makeUp.construction.kind), largerShare },
        closure: { ...CLOSURES['sewn-shut'].usual, openingMm },
      },
    })
  const usual = open(LINER_OPEN_MM)
  return !usual.ok && usual.error.reason.code === 'opening-over-edge' ? open(usual.error.reason.edge) : usual
}

/** The checks of a cover, and of the liner inside it. */
function allChecks(cover: Cover, liner: Cover | null, units: Job['units']): readonly Check[] {
  const inner = liner ? checkCover(liner, units) : []
  return checkCover(cover, units).map((c, i) => ({
    ...c,
    faults: [...c.faults, ...(inner[i]?.faults ?? []).map((fault) => `liner, ${fault}`)],
  }))
}

/** The back of a hinged pair: as wide as the seat, as deep as it is high. */
function backFilling(
  { makeUp: { construction }, filling }: Job,
  design: Design,
  allowances: Allowances,
): FillingPlan | null {
  if (construction.kind !== 'hinged-pair') return null
  const depth = entered({
    id: 'back.depth',
    label: 'Back, from hinge to top',
    quantity: 'length',
    line: 'net',
    value: construction.backDepthMm,
    rule: 'measured',
    setBy: 'measured',
    change: 'make-up.construction',
  })
  const cushion = { ...design.solid, depth, outline: rectangle(design.solid.width.value, depth.value) }
  return planFilling(filling, { cushion, isRoll: false, seam: allowances.seamMm, oldThicknessMm: null })
}

function cuttingOf({ filling, makeUp }: Job, designs: readonly DesignPlan[]): CuttingPlan | null {
  if (filling.kind !== 'foam') return null
  const block = (d: DesignPlan, plan: FillingPlan, i: number, letter: string) =>
    plan.kind === 'foam'
      ? [
          {
            design: i,
            letter,
            count: d.design.count,
            block: plan.sizing.block,
            layers: plan.layers,
            sheetMm: makeUp.construction.kind === 'cube' ? makeUp.construction.sheetMm : null,
          },
        ]
      : []
  const blocks = designs.flatMap((d, i) => [
    ...block(d, d.filling, i, d.design.id),
    ...(d.backFilling ? block(d, d.backFilling, i, `${d.design.id}b`) : []),
  ])
  return planCutting(blocks, filling.cutting, filling.load.use, filling.wadding)
}

function infantBed({ filling }: Job, { seat }: Cushions): readonly Warning[] {
  const { minX, minY, maxX, maxY } = boxOf(seat.bare.outline)
  return isInfantBed(filling.load, { widthMm: maxX - minX, depthMm: maxY - minY })
    ? [{ station: 'filling', level: 'stop', code: 'infant-bed' }]
    : []
}

/** A cover that its sizing school leaves nothing of. */
function vanishing(fillings: readonly FillingPlan[]): readonly Warning[] {
  for (const { sizing } of fillings) {
    const gone = (['width', 'depth', 'thickness'] as const).find((way) => sizing.cover[way].value < LEAST_COVER_MM)
    if (gone)
      return [
        {
          station: 'measure',
          level: 'stop',
          code: 'cushion-vanishes',
          dimension: gone,
          left: sizing.cover[gone].value,
        },
      ]
  }
  return []
}

/** Designs of one job share most doubts: each is said once. */
function unique(warnings: readonly Warning[]): readonly Warning[] {
  const seen = new Set<string>()
  return warnings.filter((w) => {
    const key =
      w.code === 'check-failed'
        ? `${w.check}: ${w.detail}`
        : w.code === 'seam-over-half'
          ? `${w.code} ${w.panel}`
          : w.code
    if (seen.has(key)) return false
    seen.add(key)
    return true
  })
}
