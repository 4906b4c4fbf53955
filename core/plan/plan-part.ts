import { phrase } from '../language/index.ts'
import type { PlannedPart } from '../../contract/index.ts'
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
import { fillingWarnings, isInfantBed, LINER_OPEN_MM, planFilling, type FillingPlan } from '../filling/index.ts'
import { boxOf, rectangle } from '../outline/index.ts'
import {
  cushionsOf,
  hasTop,
  LEAST_COVER_MM,
  seatFaultWarning,
  seatWarnings,
  type Cushions,
  type Design,
  type Solid,
} from '../seat/index.ts'
import type { Warning } from '../warnings/index.ts'
import { washedChoice } from '../pattern/index.ts'
import { isSewn, type DesignPlan, type PartPlan } from '../planned/index.ts'
import { entered } from '../working/index.ts'

/**
 * A part from the tape to its covers. `prefix` is its letter, or nothing where it is the only one. Total: bad sizes give
 * warnings, never exceptions.
 */
export function planPart(part: PlannedPart, prefix: string): PartPlan {
  const cloth = washedChoice(part.cloth)
  const found = cushionsOf(part.seat, prefix)
  if (!found.ok)
    return {
      kind: 'unworkable',
      part,
      cushions: null,
      warnings: [seatFaultWarning(found.error), ...seatWarnings(part.seat, null)],
    }
  const cushions = found.value
  const doubts = seatWarnings(part.seat, cushions)
  const allowances = applied(part.allowances)
  const oldThicknessMm = part.seat.old.measured?.thicknessMm ?? null
  const fillings = cushions.designs.map((d) =>
    planFilling(part.filling, {
      borderLost: isDrawnToThickness(part) ? allowances.seamMm : null,
      cushion: d.solid,
      isRoll: isRoll(part),
      seam: allowances.seamMm,
      oldThicknessMm,
      fitShiftShare: part.allowances.learned?.fitShiftShare ?? 0,
      work: part.work,
      there: part.there,
    }),
  )
  const unworkable = (stop: Warning): PartPlan => ({
    kind: 'unworkable',
    part,
    cushions,
    warnings: [stop, ...doubts.filter((w) => w !== stop)],
  })
  const [stop] = [...doubts.filter((w) => w.level === 'stop'), ...vanishing(fillings), ...infantBed(part, cushions)]
  if (stop) return unworkable(stop)
  const designs: DesignPlan[] = []
  for (const [i, design] of cushions.designs.entries()) {
    const planned = planDesign({ ...part, cloth }, design, fillings[i]!, allowances)
    if (!planned.ok) return unworkable(refusalWarning(planned.error))
    designs.push({ part, ...planned.value })
  }
  return {
    kind: 'worked',
    part,
    prefix,
    cushions,
    allowances,
    designs,
    warnings: [
      ...doubts,
      ...fillingWarnings(part.filling, fillings, cushions, part),
      ...unique(designs.flatMap((d) => coverWarnings(part, allowances, d.cover, d.filling, d.checks))).filter(
        (w) => isSewn(part) || w.code === 'opening-too-small',
      ),
    ],
  }
}

/** A capped cushion's border drawn to the thickness finishes a seam lower. */
const isDrawnToThickness = ({ makeUp: { construction } }: PlannedPart): boolean =>
  construction.kind === 'capped' && construction.school === 'drawn-to-thickness'

/** A bolster's filling is round. */
const isRoll = ({ makeUp: { construction } }: PlannedPart): boolean =>
  construction.kind === 'bolster' || (construction.kind === 'liner' && construction.of === 'bolster')

function planDesign(
  part: PlannedPart,
  design: Design,
  filling: FillingPlan,
  allowances: Allowances,
): Result<Omit<DesignPlan, 'part'>, Refusal> {
  const { makeUp } = part
  const solid = filling.sizing.cover
  const common = { cloth: part.cloth, allowances, units: part.units }
  const cover = makeCover({
    ...common,
    edges: part.allowances.edges,
    learned: part.allowances.learned,
    solid,
    makeUp: { ...makeUp, joins: makeUp.joins.filter((j) => j.of === 'cover') },
  })
  if (!cover.ok) return err(cover.error)
  const liner = linerOf(part, solid, common)
  if (liner && !liner.ok) return err(liner.error)
  return ok({
    design,
    filling,
    cover: cover.value,
    checks: allChecks(cover.value, liner?.value ?? null, part.units),
    liner: liner?.value ?? null,
    backFilling: backFilling(part, design, allowances),
  })
}

/**
 * The inner cover of loose fibre, or where one is wanted; its opening no longer than its edge. Null where there is
 * none.
 */
function linerOf(
  { filling, makeUp, work }: PlannedPart,
  solid: Solid,
  common: Pick<CoverInput, 'cloth' | 'allowances' | 'units'>,
): Result<Cover, Refusal> | null {
  const largerShare = filling.kind === 'loose-fibre' ? filling.linerLargerShare : (makeUp.liner?.largerShare ?? null)
  const isThere = work.kind === 'filling-only' || (work.kind === 'cover-only' && filling.kind === 'loose-fibre')
  if (isThere || largerShare === null || makeUp.construction.kind === 'liner') return null
  const open = (openingMm: number) =>
    makeCover({
      ...common,
      edges: {},
      solid,
      makeUp: {
        ...usualMakeUp('liner'),
        construction: { kind: 'liner', of: linerShapeFor(makeUp.construction.kind), largerShare },
        closure: { ...CLOSURES['sewn-shut'].usual, openingMm },
        joins: makeUp.joins.filter((j) => j.of === 'liner'),
      },
    })
  const usual = open(LINER_OPEN_MM)
  return !usual.ok && usual.error.reason.code === 'opening-over-edge' ? open(usual.error.reason.edge) : usual
}

/** The checks of a cover, and of the liner inside it. */
function allChecks(cover: Cover, liner: Cover | null, units: PlannedPart['units']): readonly Check[] {
  const inner = liner ? checkCover(liner, units) : []
  return checkCover(cover, units).map((c, i) => ({
    ...c,
    faults: [...c.faults, ...(inner[i]?.faults ?? []).map((fault) => phrase`liner, ${fault}`)],
  }))
}

/** The back of a hinged pair: as wide as the seat, as deep as it is high. */
function backFilling(
  { makeUp: { construction }, filling, work }: PlannedPart,
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
  return planFilling(filling, { cushion, isRoll: false, seam: allowances.seamMm, oldThicknessMm: null, work })
}

function infantBed({ filling }: PlannedPart, { seat }: Cushions): readonly Warning[] {
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
    // Measured for itself, a cover that stays may be too small for sides that lean so.
    const { outline, edges, thickness } = sizing.cover
    if (!hasTop(outline, edges, thickness.value))
      return [{ station: 'measure', level: 'stop', code: 'seat-fault', fault: { code: 'top-vanishes' } }]
  }
  return []
}

/** What a doubt is about, where a cover can have several of one kind. */
function aboutOf(w: Warning): string {
  switch (w.code) {
    case 'check-failed':
      return `${w.check}: ${w.detail}`
    case 'seam-over-half':
      return w.panel
    case 'allowance-beside-book':
      return w.name
    case 'layer-without-cloth':
    case 'quilted-too-wide':
      return w.layer
    case 'not-joined':
      return w.fault.panel
    default:
      return ''
  }
}

/** Designs of one job share most doubts: each is said once. */
function unique(warnings: readonly Warning[]): readonly Warning[] {
  const seen = new Set<string>()
  return warnings.filter((w) => {
    const key = `${w.code} ${aboutOf(w)}`
    if (seen.has(key)) return false
    seen.add(key)
    return true
  })
}
