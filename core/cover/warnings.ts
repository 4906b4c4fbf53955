import type { PlannedPart, Ties } from '../../contract/index.ts'
import type { FillingPlan } from '../filling/index.ts'
import { arcBetween, boxOf, edgeOf, isStraight } from '../outline/index.ts'
import type { LengthUnit } from '../units/index.ts'
import type { Raised } from '../warning/index.ts'
import type { CoverWarning } from './warning.ts'
import type { Figure } from '../working/index.ts'
import type { Allowances } from './allowances.ts'
import { boxingAsCut } from './boxing-choice.ts'
import type { Check } from './checks/check.ts'
import type { Cover } from './cover.ts'
import { leastAllowance } from './finishing.ts'
import { MOST_TAKEN_FOR_STRETCH } from './growth.ts'
import { clothFor } from './on-the-roll.ts'
import { openingVerdict } from './opening.ts'
import type { Panel } from './panel.ts'
import { leastBend, stripWidthOf } from './piping/piping.ts'
import type { Refusal } from './refusal.ts'
import { slips } from './slips.ts'
import { gripFits } from './trims/trims.ts'

/** Why a cushion cannot take its make-up, as a stop. */
export const refusalWarning = (refusal: Refusal): Raised<CoverWarning> => ({
  station: 'make-up',
  level: 'stop',
  code: 'make-up-refused',
  refusal,
})

/** What is doubtful about the make-up. */
export function coverWarnings(
  job: PlannedPart,
  allowances: Allowances,
  cover: Cover,
  filling: FillingPlan,
  checks: readonly Check[],
): readonly Raised<CoverWarning>[] {
  return [
    ...checks.flatMap((c) =>
      c.faults.map((detail): Raised<CoverWarning> => ({
        station: 'pieces',
        level: 'stop',
        code: 'check-failed',
        check: c.name,
        detail,
      })),
    ),
    ...cover.panels.flatMap(panelDoubts),
    ...cover.readyNowhere.map(({ panel, edge }): Raised<CoverWarning> => ({
      station: 'make-up',
      level: 'warning',
      code: 'ready-nowhere',
      panel: cover.whole.panels.find((p) => p.id === panel)?.name ?? panel,
      edge,
    })),
    ...cover.joinFaults.map((fault): Raised<CoverWarning> => ({
      station: 'make-up',
      level: 'warning',
      code: 'not-joined',
      fault,
    })),
    ...openingDoubts(job, cover, filling),
    ...pipingDoubts(cover, filling, allowances.seamMm, job.units),
    ...clothDoubts(job),
    ...trimDoubts(job, allowances.seamMm.value, cover),
    ...slips(job, cover),
    ...(boxingAsCut(job.makeUp.construction, job.cloth) !== job.makeUp.construction && isWrap(job)
      ? [{ station: 'make-up', level: 'note', code: 'boxing-cut-per-side' } as const]
      : []),
  ]
}

const isWrap = (job: PlannedPart): boolean =>
  'boxing' in job.makeUp.construction && job.makeUp.construction.boxing === 'wrap'

function panelDoubts(panel: Panel): readonly Raised<CoverWarning>[] {
  const { minX, minY, maxX, maxY } = boxOf(panel.finished)
  const size = Math.min(maxX - minX, maxY - minY)
  const seams = panel.edges.filter((e) => e.treatment === 'seam').map((e) => e.allowance.value)
  const eaten = eatenBySeams(panel, maxX - minX <= maxY - minY)
  const warnings: Raised<CoverWarning>[] = []
  if (panel.role !== 'trim' && eaten > size / 2)
    warnings.push({
      station: 'make-up',
      level: 'warning',
      code: 'seam-over-half',
      panel: panel.name.toLowerCase(),
      seam: eaten,
      size,
    })
  if (seams.length > 0 && Math.min(...seams) <= 0)
    warnings.push({ station: 'make-up', level: 'warning', code: 'no-allowance', panel: panel.name.toLowerCase() })
  return warnings
}

/** What lies folded back behind a panel from both its long sides: the allowances of its seams there. */
function eatenBySeams({ edges }: Panel, isUpright: boolean): number {
  const seam = (i: number) => (edges[i]!.treatment === 'seam' ? edges[i]!.allowance.value : 0)
  if (edges.length === 4) return isUpright ? seam(1) + seam(3) : seam(0) + seam(2)
  return 2 * Math.max(0, ...edges.map((_, i) => seam(i)))
}

function openingDoubts(
  { makeUp, filling: chosen, cutting }: PlannedPart,
  cover: Cover,
  filling: FillingPlan,
): readonly Raised<CoverWarning>[] {
  const opening = cover.closures.find((c) => c.choice.kind !== 'fixed')
  // A slip cover is pulled over from above; what is poured into a liner needs no more than a hand's width.
  const isPassed =
    opening &&
    makeUp.construction.kind !== 'cube' &&
    !(makeUp.construction.kind === 'liner' && chosen.kind === 'loose-fibre')
  const isFilmed = chosen.kind === 'foam' && cutting.film !== 'none'
  const warnings: Raised<CoverWarning>[] = []
  if (isPassed) {
    const { goes, way, neededMm, packedMm, girthMm } = openingVerdict(
      { choice: opening.choice, lengthMm: opening.lengthMm.value },
      filling,
      isFilmed,
    )
    if (!goes)
      warnings.push({
        station: 'make-up',
        level: 'warning',
        code: 'opening-too-small',
        closure: opening.choice.kind,
        way,
        opening: opening.lengthMm.value,
        needed: neededMm,
        packed: packedMm,
        girth: girthMm,
      })
  }
  const lap = opening?.lap
  const most = cover.figures.find((f) => f.id === 'cover.lapMost')
  if (lap && most && lap.value > most.value)
    warnings.push({ station: 'make-up', level: 'note', code: 'lap-over-limit', lap: lap.value, most: most.value })
  return warnings
}

function pipingDoubts(
  { piping, whole: { panels } }: Cover,
  filling: FillingPlan,
  seam: Figure,
  unit: LengthUnit,
): readonly Raised<CoverWarning>[] {
  if (!piping) return []
  const { choice } = piping
  const size = choice.kind === 'flat' ? choice.showMm : choice.cordMm
  const warnings: Raised<CoverWarning>[] = []
  const plates = panels.filter((p) => piping.groups.some((g) => g.panel.id === p.id))
  const bends = plates.flatMap((p) =>
    p.finished.flatMap((v, i) =>
      isStraight(v.bulge) ? [] : [Math.abs(arcBetween(...edgeOf(p.finished, i), v.bulge!).radius)],
    ),
  )
  const tightest = Math.min(Infinity, ...bends)
  if (tightest < leastBend(choice))
    warnings.push({
      station: 'make-up',
      level: 'warning',
      code: 'piping-bend',
      radius: tightest,
      needed: leastBend(choice),
    })
  else if (choice.kind !== 'ready-made' && choice.cut !== 'bias')
    warnings.push({
      station: 'make-up',
      level: 'note',
      code: 'straight-piping-corners',
      cord: size,
      needed: leastBend(choice),
    })
  const thickness = filling.sizing.cover.thickness.value
  if (choice.kind !== 'flat' && size * 3 > thickness)
    warnings.push({ station: 'make-up', level: 'warning', code: 'piping-as-high-as-boxing', cord: size, thickness })
  if (choice.kind === 'corded' && choice.stripMm !== null) {
    const needed = stripWidthOf({ ...choice, stripMm: null }, seam, unit)
    if (needed && choice.stripMm < needed.value - 0.5)
      warnings.push({
        station: 'make-up',
        level: 'warning',
        code: 'strip-too-narrow',
        strip: choice.stripMm,
        needed: needed.value,
        cord: choice.cordMm,
      })
  }
  return warnings
}

function clothDoubts(job: PlannedPart): readonly Raised<CoverWarning>[] {
  const { cloth } = job.cloth
  const stretch = Math.max(cloth.stretch.across, cloth.stretch.along)
  const warnings: Raised<CoverWarning>[] = []
  const isBare = job.filling.kind === 'foam' && job.filling.wadding === null && job.makeUp.liner === null
  if (cloth.coatedBack === false && isBare)
    warnings.push({ station: 'make-up', level: 'warning', code: 'bare-foam', cloth: cloth.name })
  if (stretch > 0)
    warnings.push({
      station: 'make-up',
      level: 'note',
      code: 'cloth-gives',
      share: stretch,
      taken: Math.min(stretch / 2, MOST_TAKEN_FOR_STRETCH),
    })
  if (Math.max(cloth.shrink.across, cloth.shrink.along) > 0)
    warnings.push({
      station: 'make-up',
      level: 'note',
      code: 'cloth-shrinks',
      across: cloth.shrink.across,
      along: cloth.shrink.along,
      washFirst: cloth.washFirst,
    })
  return warnings
}

/** Most ties that stand beside each other in one place. */
const mostTies = ({ places }: Ties): number =>
  Math.max(
    ...places.map((p) => {
      switch (p.at) {
        case 'edge':
        case 'face':
        case 'hinge':
          return p.count
        case 'corners':
          return 0
        case 'underside':
          return p.across
        default:
          return p satisfies never
      }
    }),
  )

/** Rules of thumb: more ties than two to a side cannot be reached on a slatted or mesh seat. */
const TIES_REACHED = 2
const LONGEST_LOOP_MM = 220

function trimDoubts(
  { makeUp: { trims, construction, liner }, cloth, filling }: PlannedPart,
  seam: number,
  cover: Cover,
): readonly Raised<CoverWarning>[] {
  const warnings: Raised<CoverWarning>[] = []
  const least = leastAllowance(trims.finishing)
  if (seam < least)
    warnings.push({
      station: 'make-up',
      level: 'warning',
      code: 'finishing-wants-allowance',
      finishing: trims.finishing,
      seam,
      least,
    })
  if (trims.finishing === 'hot-knife') {
    const other = cover.panels.map((p) => clothFor(cloth, p.cloth)).find((c) => c.fibre !== 'synthetic')
    warnings.push(
      other
        ? { station: 'make-up', level: 'stop', code: 'hot-knife-cloth', cloth: other.name }
        : { station: 'make-up', level: 'safety', code: 'hot-knife' },
    )
  }
  if (
    trims.ties &&
    mostTies(trims.ties) > TIES_REACHED &&
    (filling.load.base === 'slats' || filling.load.base === 'mesh')
  )
    warnings.push({ station: 'make-up', level: 'warning', code: 'ties-unreachable', perSide: mostTies(trims.ties) })
  if (cover.tiesNowhere > 0)
    warnings.push({ station: 'make-up', level: 'warning', code: 'ties-nowhere', count: cover.tiesNowhere })
  if (trims.ties && trims.ties.lengthMm > LONGEST_LOOP_MM)
    warnings.push({ station: 'make-up', level: 'safety', code: 'long-cords', length: trims.ties.lengthMm })
  if (!gripFits(trims.grip, cover.solid))
    warnings.push({
      station: 'make-up',
      level: 'stop',
      code: 'grip-vanishes',
      grip: trims.grip.kind === 'non-slip' ? 'non-slip' : 'hook-and-loop',
    })
  if (cover.buttonsOutside > 0)
    warnings.push({ station: 'make-up', level: 'stop', code: 'buttons-outside', count: cover.buttonsOutside })
  if (trims.buttons)
    warnings.push(
      { station: 'make-up', level: 'note', code: 'buttons-not-washable' },
      { station: 'make-up', level: 'safety', code: 'small-parts' },
    )
  if (construction.kind === 'liner' && liner)
    warnings.push({ station: 'make-up', level: 'stop', code: 'liner-in-liner' })
  if (construction.kind === 'no-sew-wrap')
    warnings.push({
      station: 'make-up',
      level: 'warning',
      code: 'wrap-not-washable',
      fastening: construction.fastening,
    })
  if (construction.kind === 'pull-over') warnings.push({ station: 'make-up', level: 'safety', code: 'stapler' })
  return warnings
}
