import type { Cloth, ClothChoice, ClothRole, Job, PanelJoins, PartJob } from '../../contract/index.ts'
import {
  cutOutline,
  isBottomPlate,
  isTopPlate,
  leastAllowance,
  usableWidth,
  type Panel,
  type PanelRole,
} from '../cover/index.ts'
import { inEveryPart, partJob } from '../job/index.ts'
import { boxOf } from '../outline/index.ts'
import { planJob } from '../plan/index.ts'
import type { WorkedPlan } from '../planned/index.ts'

/** What may be done so that a cloth is enough. */
export type Rescue =
  | 'as-it-is'
  | 'other-direction'
  | 'strips-to-the-lay'
  | 'narrow-allowance'
  | 'hidden-in-another'
  | 'boxing-in-another'
  | 'joined-wide'
  | 'joined-boxing'
  | 'joined-bottom'
  | 'joined-wrap'
  | 'joined-top-sides'
  | 'joined-top-middle'

/** Ways of cutting a job from a cloth, in the order in which a maker would take them: what shows least first. */
export const RESCUES: readonly (readonly Rescue[])[] = [
  ['as-it-is'],
  ['other-direction'],
  ['strips-to-the-lay'],
  ['narrow-allowance'],
  ['hidden-in-another'],
  ['hidden-in-another', 'narrow-allowance'],
  ['hidden-in-another', 'other-direction'],
  ['joined-wide'],
  ['joined-boxing'],
  ['joined-wrap'],
  ['joined-wrap', 'other-direction'],
  ['hidden-in-another', 'joined-boxing', 'narrow-allowance'],
  ['hidden-in-another', 'joined-wrap', 'narrow-allowance'],
  ['joined-bottom', 'joined-boxing'],
  ['hidden-in-another', 'boxing-in-another'],
  ['hidden-in-another', 'joined-boxing', 'narrow-allowance', 'joined-top-sides'],
  ['hidden-in-another', 'joined-boxing', 'narrow-allowance', 'joined-top-middle'],
  ['hidden-in-another', 'boxing-in-another', 'joined-wide', 'narrow-allowance'],
]

/** The narrowest allowance that a zigzagged seam holds in. */
export const NARROW_MM = 8

/** The cloth a job is to be cut from, and the one for what is hidden. */
export interface RescueCloths {
  readonly cloth: Cloth
  readonly hidden: Cloth
}

/**
 * The job cut from a cloth in such a way, as a ticket that can be kept; null where the job has nothing to which the way
 * applies.
 */
export function rescued(job: Job, { cloth, hidden }: RescueCloths, ways: readonly Rescue[]): Job | null {
  const placed = inEveryPart(job, (part) => cutFrom(part, cloth, partJob(job, part.letter).cloth))
  return ways.reduce<Job | null>((now, way) => now && applied(now, way, cloth, hidden), placed)
}

function applied(job: Job, way: Rescue, cloth: Cloth, hidden: Cloth): Job | null {
  switch (way) {
    case 'as-it-is':
      return job
    case 'other-direction':
      return inEveryPart(job, (part) => ({ ...part, cloth: { ...part.cloth, direction: OTHER[part.cloth.direction] } }))
    // How they are cut is chosen with the lay itself.
    case 'strips-to-the-lay':
      return job.parts.some((p) => p.makeUp.piping.kind === 'corded' || p.makeUp.piping.kind === 'flat') ? job : null
    case 'narrow-allowance':
      return job.parts.every((p) => seamOf(job, p) <= NARROW_MM) ? null : inEveryPart(job, narrowed)
    case 'hidden-in-another':
      return inEveryPart(job, (part) =>
        inAnother(part, ['second-face', 'piping', 'base', 'lining', 'liner'], cloth, hidden),
      )
    case 'boxing-in-another':
      return inEveryPart(job, (part) => inAnother(part, ['boxing'], cloth, hidden))
    case 'joined-wide':
      return withPanels(job, (panel) => wideJoin(panel, cloth))
    case 'joined-boxing':
      return withPanels(job, (panel) => (isOf(panel, ['boxing', 'gusset']) ? inTwo(panel, 'up') : null))
    case 'joined-bottom':
      return withPanels(job, (panel) => (isBottomPlate(panel) || panel.role === 'base' ? inTwo(panel, 'up') : null))
    case 'joined-wrap':
      return withPanels(job, (panel) => (isOf(panel, ['body', 'blank']) ? leastSeen(panel) : null))
    case 'joined-top-sides':
      return withPanels(job, (panel) =>
        isTopPlate(panel)
          ? joinOf(panel, 'up', { kind: 'outer', pieces: 3, outerMm: panel.figures.finishedWidth.value / 4 })
          : null,
      )
    case 'joined-top-middle':
      return withPanels(job, (panel) => (isTopPlate(panel) ? inTwo(panel, 'up') : null))
    default:
      return way satisfies never
  }
}

const OTHER = { railroaded: 'up-the-roll', 'up-the-roll': 'railroaded' } as const

/** Cut from what is in hand every cushion is matched by itself: a run would want more cloth than there is. */
function cutFrom(part: PartJob, cloth: Cloth, before: ClothChoice): PartJob {
  if (before.cloth.id === cloth.id) return part
  return {
    ...part,
    cloth: {
      ...part.cloth,
      cloth,
      match: matchOn(cloth, before.match),
      others: Object.fromEntries(Object.entries(part.cloth.others).filter(([, c]) => c.id !== cloth.id)),
    },
  }
}

function matchOn(cloth: Cloth, match: ClothChoice['match']): ClothChoice['match'] {
  if (cloth.pattern.kind === 'plain') return { kind: 'none' }
  return match.kind === 'matched' ? { kind: 'matched', rule: { kind: 'band-on-each-centre', band: 0 } } : match
}

const seamOf = (job: Job, part: Job['parts'][number]): number => part.allowances.overrides.seamMm ?? job.book.seamMm

const narrowed = (part: PartJob): PartJob => ({
  ...part,
  allowances: { ...part.allowances, overrides: { ...part.allowances.overrides, seamMm: NARROW_MM } },
  makeUp:
    leastAllowance(part.makeUp.trims.finishing) <= NARROW_MM
      ? part.makeUp
      : { ...part.makeUp, trims: { ...part.makeUp.trims, finishing: 'zigzag' } },
})

/** What has a cloth of its own keeps it. */
function inAnother(part: PartJob, roles: readonly Exclude<ClothRole, 'face'>[], from: Cloth, to: Cloth): PartJob {
  const isOwn = (role: Exclude<ClothRole, 'face'>) => {
    const own = part.cloth.others[role]
    return own !== undefined && own.id !== from.id
  }
  const others = Object.fromEntries(roles.filter((role) => !isOwn(role)).map((role) => [role, to]))
  return { ...part, cloth: { ...part.cloth, others: { ...part.cloth.others, ...others } } }
}

const isOf = ({ role }: Panel, roles: readonly PanelRole[]): boolean => roles.includes(role)

/** Joins added to every panel of every cover that wants one; null where none does. */
function withPanels(job: Job, wanted: (panel: Panel) => PanelJoins | null): Job | null {
  const plan = planJob(job)
  if (plan.kind !== 'worked') return null
  const joins = new Map(plan.worked.map(({ part }) => [part.letter, joinsOf(plan, part.letter, wanted)]))
  if ([...joins.values()].every((list) => list.length === 0)) return null
  return inEveryPart(job, (part) => ({
    ...part,
    makeUp: { ...part.makeUp, joins: [...part.makeUp.joins, ...(joins.get(part.letter) ?? [])] },
  }))
}

/** One join for each panel that has none yet, whichever design it was met on first. */
function joinsOf(plan: WorkedPlan, letter: string, wanted: (panel: Panel) => PanelJoins | null): readonly PanelJoins[] {
  const { designs, part } = plan.worked.find((w) => w.part.letter === letter)!
  const found = new Map<string, PanelJoins>()
  for (const { cover } of designs)
    for (const panel of cover.whole.panels) {
      if (found.has(panel.id) || part.makeUp.joins.some((j) => j.of === 'cover' && j.panel === panel.id)) continue
      const join = wanted(panel)
      if (join) found.set(panel.id, join)
    }
  return [...found.values()]
}

const joinOf = (panel: Panel, lines: PanelJoins['lines'], places: PanelJoins['places']): PanelJoins => ({
  panel: panel.id,
  of: 'cover',
  lines,
  places,
})

/** Panels narrower than this are not worth a seam. */
const LEAST_JOINED_MM = 300

const inTwo = (panel: Panel, lines: PanelJoins['lines']): PanelJoins | null =>
  panel.figures.finishedWidth.value < LEAST_JOINED_MM ? null : joinOf(panel, lines, { kind: 'even', pieces: 2 })

/** A wrap is parted across its longer way. */
const leastSeen = (panel: Panel): PanelJoins =>
  joinOf(panel, panel.figures.finishedWidth.value > panel.figures.finishedHeight.value ? 'up' : 'across', {
    kind: 'least-seen',
    pieces: 2,
  })

/** A panel wider than the cloth, in as few pieces as it gives; null where it is not, or six would not do. */
function wideJoin(panel: Panel, cloth: Cloth): PanelJoins | null {
  const box = boxOf(cutOutline(panel))
  const [wide, lines] =
    panel.lies === 'across' ? ([box.maxX - box.minX, 'up'] as const) : ([box.maxY - box.minY, 'across'] as const)
  const usable = usableWidth(cloth)
  if (wide <= usable || panel.role === 'trim') return null
  const seams = 2 * Math.max(...panel.edges.map((e) => e.allowance.value))
  const pieces = Math.ceil((wide - seams) / Math.max(1, usable - seams) - 1e-9)
  return pieces > 6
    ? null
    : joinOf(panel, lines, pieces === 2 ? { kind: 'least-seen', pieces } : { kind: 'even', pieces })
}
