import type { Filling, FoamFilling, Load, PartWork, PlannedPart, There, Trial } from '../../contract/index.ts'
import { isSimple, keepsShape, type Outline } from '../outline/index.ts'
import { HEAVY_KG, LONG_MM, type Cushions } from '../seat/index.ts'
import type { Raised } from '../warning/index.ts'
import type { FillingWarning } from './warning.ts'
import type { CuttingPlan } from './cutting/index.ts'
import type { FillingPlan, FoamPlan } from './filling.ts'
import { LEAST_LAYER_MM } from './layers.ts'
import { bodiesIn } from './bodies.ts'
import { directionWarnings, expectedSize, fitWarnings, NOTICED_MM } from './sizing/index.ts'
import { isCalm, judgeBody, MOST_SHEETS, stackFor } from './choice/index.ts'

const at = (level: Raised<FillingWarning>['level']) => ({ station: 'filling', level }) as const

/** What is doubtful or dangerous about the filling. */
export function fillingWarnings(
  filling: Filling,
  plans: readonly FillingPlan[],
  cushions: Cushions,
  { there, work }: Pick<PlannedPart, 'there' | 'work'>,
): readonly Raised<FillingWarning>[] {
  const first = plans[0]!
  const foam = plans.filter((p) => p.kind === 'foam')
  return [
    ...outlineFaults(plans, cushions),
    ...(filling.kind === 'foam' && foam[0]
      ? [
          ...supportWarnings(filling, foam[0]),
          ...layerWarnings(filling, foam),
          ...sizingWarnings(filling, foam, cushions),
        ]
      : []),
    ...placeWarnings(filling),
    ...heightWarnings(first),
    ...safetyWarnings(filling, plans, there.bodies.length > 0),
    ...thereWarnings(filling, there, work, first),
  ]
}

/** A bed this small is an infant's; safe-sleep rules govern those, not this program. */
export function isInfantBed(load: Load, seat: { readonly widthMm: number; readonly depthMm: number }): boolean {
  if (load.use !== 'sleeping') return false
  return (
    load.lightestKg < INFANT_KG ||
    (Math.max(seat.widthMm, seat.depthMm) <= COT_MM[0] && Math.min(seat.widthMm, seat.depthMm) <= COT_MM[1])
  )
}

const INFANT_KG = 15
/** Longest and widest of an infant's bed. */
const COT_MM = [1450, 800] as const

function supportWarnings(
  { load, trials }: FoamFilling,
  { verdict, unknown }: FoamPlan,
): readonly Raised<FillingWarning>[] {
  const said = trialWarnings(trials)
  if (!verdict)
    return [
      { ...at('note'), code: 'foam-unknown', unknown, isTried: trials.some((t) => t.verdict === 'right') },
      ...said,
    ]
  const failures = verdict.failures.map((failure): Raised<FillingWarning> => ({
    ...at('warning'),
    code: 'foam-fails',
    failure,
    base: load.base,
  }))
  const doubts = verdict.doubts.map((doubt): Raised<FillingWarning> => ({
    ...at(isCalm(doubt) ? 'note' : 'warning'),
    code: 'foam-doubt',
    doubt,
    base: load.base,
  }))
  return [...failures, ...doubts, ...said]
}

/** What sitters found: a complaint is a complaint, and two of one weight that differ are both told. */
function trialWarnings(trials: readonly Trial[]): readonly Raised<FillingWarning>[] {
  const bad = trials.filter((t) => t.verdict !== 'right')
  const contrary = trials.flatMap((a, i) =>
    trials.slice(i + 1).flatMap((b) => (contradicts(a, b) || contradicts(b, a) ? [[a, b] as const] : [])),
  )[0]
  return [
    ...(bad.length > 0 ? [{ ...at('warning'), code: 'trial-against', trials: bad } as const] : []),
    ...(contrary ? [{ ...at('note'), code: 'trials-differ', trials: contrary } as const] : []),
  ]
}

/** Too soft under a lighter sitter, and too firm under one as heavy or heavier. */
const contradicts = (a: Trial, b: Trial): boolean =>
  (a.verdict === 'too-soft' || a.verdict === 'felt-the-board') && b.verdict === 'too-firm' && b.massKg >= a.massKg

function layerWarnings(
  { layers, wadding }: FoamFilling,
  plans: readonly FoamPlan[],
): readonly Raised<FillingWarning>[] {
  const warnings: Raised<FillingWarning>[] = []
  const thin = plans.find((p) =>
    p.layers.some((l, i) => layers[i]!.thicknessMm === null && l.thicknessMm <= LEAST_LAYER_MM),
  )
  if (thin)
    warnings.push({
      ...at('stop'),
      code: 'layers-over-block',
      block: thin.sizing.block.thickness.value,
      layers: layers.reduce((sum, l) => sum + (l.thicknessMm ?? 0), 0),
    })
  if (wadding && wadding.measured === null) warnings.push({ ...at('warning'), code: 'wrapped-size-not-measured' })
  return warnings
}

function sizingWarnings(
  { school }: FoamFilling,
  plans: readonly FoamPlan[],
  cushions: Cushions,
): readonly Raised<FillingWarning>[] {
  const { solid } = cushions.designs[0]!
  const finished = expectedSize(plans[0]!.sizing)
  const [width, depth] = [solid.width.value - finished.widthMm, solid.depth.value - finished.depthMm]
  const shrinks = school.kind !== 'wrap-then-measure' && (width > 0.5 || depth > 0.5)
  // Cushions of several shapes share most doubts: each is said once.
  const fits = new Map(
    plans
      .flatMap((p) => [...fitWarnings(p.fit), ...directionWarnings(p.directions)])
      .map((w) => [JSON.stringify([w.code, 'way' in w && w.way]), w]),
  )
  return [
    ...fits.values(),
    ...(shrinks ? [{ ...at('warning'), code: 'cover-shrinks-seat', width, depth } as const] : []),
  ]
}

function outlineFaults(plans: readonly FillingPlan[], cushions: Cushions): readonly Raised<FillingWarning>[] {
  const lost = (what: 'block' | 'cover') =>
    plans.some(({ sizing }, i) => isLost(cushions.designs[i]!.solid.outline, sizing[what].outline))
  return [
    ...(lost('cover') ? [{ ...at('stop'), code: 'cover-outline-lost' } as const] : []),
    ...(lost('block') ? [{ ...at('stop'), code: 'block-outline-lost' } as const] : []),
  ]
}

/** What is doubtful about cutting the foam of all parts, and what can hurt. */
export function cuttingWarnings({ blocks, groups, cutting, supplies }: CuttingPlan): readonly Raised<FillingWarning>[] {
  const warnings: Raised<FillingWarning>[] = []
  const unmade = blocks.flatMap((b) =>
    b.unmade.map((u) => ({ ...u, offered: b.layers[u.layer]!.grade.thicknessesMm })),
  )[0]
  if (unmade)
    warnings.push({
      ...at('warning'),
      code: 'no-sheet-thickness',
      wanted: unmade.wantedMm,
      nearest: unmade.nearestMm,
      offered: unmade.offered,
    })
  const slices = blocks.flatMap((b) => b.slices)
  const joined = slices.filter((s) => s.joins.across.length + s.joins.deep.length > 0)
  if (blocks.some((b) => !b.sheetMm && b.slices.length > MOST_SHEETS))
    warnings.push({
      ...at('warning'),
      code: 'too-many-layers',
      layers: Math.max(...blocks.map((b) => b.slices.length)),
    })
  if (joined.length > 0)
    warnings.push({
      ...at('note'),
      code: 'block-joined',
      joins: Math.max(...joined.map((s) => s.joins.across.length + s.joins.deep.length)),
    })
  if (joined.some((s) => s.joins.underSitter)) warnings.push({ ...at('warning'), code: 'join-under-sitter' })
  if (joined.some((s) => s.joins.unstaggered)) warnings.push({ ...at('warning'), code: 'joins-in-line' })
  for (const { group, nest, buy } of groups) {
    if (cutting.supply === 'cut-to-size') continue
    if (!buy && nest.length === 0) warnings.push({ ...at('warning'), code: 'not-for-sale', grade: group.grade.name })
    else if (nest.length === 0 && group.rows && group.rows.perSheet.value < 1)
      warnings.push({ ...at('warning'), code: 'part-over-sheet', piece: group.parts[0]!.id })
  }
  if (supplies.glue) warnings.push({ ...at('safety'), code: 'glue' })
  if (cutting.tool === 'hot-wire') warnings.push({ ...at('safety'), code: 'hot-wire' })
  if (cutting.film !== 'none') warnings.push({ ...at('safety'), code: 'film' })
  if (cutting.film === 'left-in') warnings.push({ ...at('note'), code: 'film-left-in' })
  return warnings
}

/** What is doubtful about what stays. */
function thereWarnings(
  filling: Filling,
  there: There,
  work: PartWork,
  { sizing }: FillingPlan,
): readonly Raised<FillingWarning>[] {
  const warnings: Raised<FillingWarning>[] = []
  const kept = filling.kind === 'foam' ? bodiesIn(filling.layers, there) : []
  const unmeasured = kept.filter((b) => b.recovered === null)
  if (unmeasured.length > 0)
    warnings.push({ ...at('note'), code: 'body-not-recovered', body: unmeasured[0]!.name || unmeasured[0]!.id })
  for (const body of kept) {
    const { keep, reasons } = judgeBody(body, filling.load, null)
    if (!keep) warnings.push({ ...at('warning'), code: 'body-is-done', body: body.name || body.id, reasons })
  }
  if (work.kind === 'filling-only') {
    const small = (['width', 'depth', 'thickness'] as const).find(
      (way) => sizing.cover[way].value < sizing.block[way].value * MUCH_SMALLER,
    )
    if (small)
      warnings.push({
        ...at('warning'),
        code: 'cover-much-smaller',
        way: small,
        cover: sizing.cover[small].value,
        block: sizing.block[small].value,
      })
  }
  if (filling.kind === 'foam' && filling.school.kind === 'into-cover' && filling.layers.length === 1) {
    const { block, cover } = sizing
    const made = stackFor(block.thickness.value, filling.layers[0]!.grade.thicknessesMm).reduce((sum, t) => sum + t, 0)
    if (made > 0 && Math.abs(made - block.thickness.value) > UNTOLD_MM)
      warnings.push({
        ...at('note'),
        code: 'sheet-squeezes',
        made,
        wanted: block.thickness.value,
        share: (made - cover.thickness.value) / made,
      })
  }
  return warnings
}

/** A sheet so near to the wanted thickness is as good as that. */
const UNTOLD_MM = 0.2

/** A cover smaller than its block by a fifth was measured wrongly, or is another's. */
const MUCH_SMALLER = 0.8

function placeWarnings({ load, kind }: Filling): readonly Raised<FillingWarning>[] {
  const warnings: Raised<FillingWarning>[] = []
  if (load.use === 'sleeping' && load.exposure !== 'indoors') warnings.push({ ...at('note'), code: 'berth-wants-air' })
  if (load.exposure === 'wet') warnings.push({ ...at('note'), code: 'wet-wants-vents' })
  if (kind === 'loose-fibre' && load.exposure === 'wet') warnings.push({ ...at('warning'), code: 'fibre-in-wet' })
  return warnings
}

function heightWarnings({ height }: FillingPlan): readonly Raised<FillingWarning>[] {
  const { change } = height
  return change && Math.abs(change.value) > NOTICED_MM
    ? [{ ...at('note'), code: 'seat-height-changes', by: change.value }]
    : []
}

function safetyWarnings(
  filling: Filling,
  plans: readonly FillingPlan[],
  hasOldFoam: boolean,
): readonly Raised<FillingWarning>[] {
  const warnings: Raised<FillingWarning>[] = [{ ...at('safety'), code: 'fire-label' }]
  const heaviestKg = Math.max(0, ...plans.map((p) => p.mass?.value ?? 0))
  const lengthMm = Math.max(...plans.flatMap((p) => [p.sizing.block.width.value, p.sizing.block.depth.value]))
  if (heaviestKg > HEAVY_KG || lengthMm > LONG_MM)
    warnings.push({ ...at('safety'), code: 'heavy', massKg: heaviestKg, lengthMm })
  const aboard =
    filling.load.use === 'cockpit' ||
    filling.load.exposure === 'wet' ||
    (filling.kind === 'foam' && filling.layers.some((l) => l.grade.family === 'closed-cell'))
  if (aboard) warnings.push({ ...at('safety'), code: 'not-a-lifebuoy' })
  if (hasOldFoam) warnings.push({ ...at('safety'), code: 'old-foam-dust' })
  return warnings
}

/** An edge that shrank to nothing is a corner now; one that turned round or crosses others is lost. */
const isLost = (before: Outline, after: Outline): boolean =>
  before.length === after.length ? !keepsShape(before, after) : !isSimple(after)
