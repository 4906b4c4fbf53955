import type { Cloth, ClothChoice, ClothRole, LayPiece, LayProblem } from '../../contract/index.ts'
import { clothFor, cutOutline, givesOrShrinks, liesAlong, looksAlikeEveryWay, splitRun, usableWidth, type Cover, type Panel, type PipingGroup, type PipingPlan, type StripSplit } from '../cover/index.ts'
import type { Cushions, Design } from '../seat/index.ts'
import { at, flatten, type Outline, type Polygon } from '../outline/index.ts'
import { matchOf, ruledPlace, runStart } from './match.ts'
import { patternFrame, type PatternFrame } from './pattern-frame.ts'
import { mirrorAxes, repeatOf } from './stripes.ts'

/** A piece of the lay, and what it is: a panel of one cushion, or a strip of piping. */
export interface LaidPiece {
  readonly id: string
  readonly name: string
  readonly qty: number
  readonly cut: Outline
  readonly panel: Panel | null
  readonly cushion: number | null
  readonly matched: boolean
}

/** What is cut from one cloth. */
export interface ClothLay {
  readonly cloth: Cloth
  readonly pieces: readonly LaidPiece[]
  readonly problem: LayProblem
  readonly usableMm: number
}

/** Piping strips of one length for the cushions of a design. */
export interface PipingStrips {
  readonly id: string
  readonly group: PipingGroup
  readonly split: StripSplit
  readonly qty: number
}

export interface ClothPlan {
  /** The cloth of the job first; others only where something is cut from them. */
  readonly lays: readonly [ClothLay, ...ClothLay[]]
  /** How the piping of each design is split into strips. */
  readonly strips: readonly (readonly PipingStrips[])[]
}

/** The covers of one cushion of a design: what is seen, and a liner inside it. */
export interface DesignCovers {
  readonly cover: Cover
  readonly liner: Cover | null
}

/** Every piece to be laid, by cloth, with its turns and phases, as lay problems. `designs[i]` is design i. */
export function planCloth(choice: ClothChoice, designs: readonly DesignCovers[], cushions: Cushions): ClothPlan {
  const roles = rolesByCloth(choice)
  const strips = designs.map(({ cover }, i) => (cover.piping ? pipingStrips(choice, cover.piping, cushions.designs, i) : []))
  const lays = roles.map(({ cloth, roles: own }) => layOf(choice, cloth, own, designs, cushions, strips))
  const [main, ...others] = lays as [ClothLay, ...ClothLay[]]
  return { lays: [main, ...others.filter((l) => l.pieces.length > 0)], strips }
}

interface ClothRoles {
  readonly cloth: Cloth
  readonly roles: ReadonlySet<ClothRole>
}

/** Each cloth once, with all that is cut from it; what has no cloth of its own is cut from the first. */
function rolesByCloth(choice: ClothChoice): readonly ClothRoles[] {
  const others = Object.entries(choice.others) as [ClothRole, Cloth][]
  const own = others.filter(([, cloth]) => cloth.id !== choice.cloth.id)
  const ids = [...new Set(own.map(([, cloth]) => cloth.id))]
  const rest = CLOTH_ROLES.filter((role) => !own.some(([r]) => r === role))
  return [{ cloth: choice.cloth, roles: new Set(rest) }, ...ids.map((id) => ({ cloth: own.find(([, c]) => c.id === id)![1], roles: new Set(own.flatMap(([role, c]) => (c.id === id ? [role] : []))) }))]
}

const CLOTH_ROLES: readonly ClothRole[] = ['face', 'second-face', 'boxing', 'piping', 'base', 'lining', 'liner']

function layOf(choice: ClothChoice, cloth: Cloth, roles: ReadonlySet<ClothRole>, designs: readonly DesignCovers[], cushions: Cushions, strips: readonly (readonly PipingStrips[])[]): ClothLay {
  // Stripes are matched on the cloth of the job alone.
  const own: ClothChoice = cloth.id === choice.cloth.id ? choice : { ...choice, cloth, match: { kind: 'none' } }
  const usableMm = usableWidth(cloth)
  const laid: LaidPiece[] = []
  const pieces: LayPiece[] = []
  const axes = cloth.pattern.kind === 'stripes' ? mirrorAxes(cloth.pattern.bands) : []
  const cuts = designs.map(({ cover, liner }) => [{ of: cover, prefix: '' }, ...(liner ? [{ of: liner, prefix: 'liner/' }] : [])].flatMap(({ of, prefix }) => of.panels.filter((p) => roles.has(p.cloth)).map((panel) => ({ of, prefix, panel, cut: cutOutline(panel) })).map((p) => ({ ...p, flat: asOutline(p.cut) }))))
  cushions.inOrder.forEach(({ design }, cushion) => {
    const row = runStart(cushions, cushion)
    const ruled = ruledPlace(own, cushions, cushion)
    for (const { of, prefix, panel, cut, flat } of cuts[design]!) {
      const id = `${cushion + 1}/${prefix}${panel.id}`
      const frame = prefix === '' ? matchable(own, patternFrame(own, of, panel, row), axes) : null
      const match = frame && matchOf(own, panel, frame, ruled, axes)
      laid.push({ id, name: `${prefix ? 'Liner, ' : ''}${panel.name}, cushion ${cushion + 1}`, qty: panel.times, cut, panel, cushion, matched: match !== null })
      pieces.push({ id, qty: panel.times, outline: flat, turns: turnsOf(own, panel, match === null ? null : frame, axes.length > 0), flip: false, match })
    }
  })
  if (roles.has('piping')) {
    strips.forEach((groups, design) =>
      groups.forEach(({ id, split, qty, group }) => {
        const piping = designs[design]!.cover.piping!
        const outline = stripOutline(piping, split)
        const name = strips.length === 1 ? 'Piping strip' : `Piping strip ${cushions.designs[design]!.id}`
        laid.push({ id, name: group.isClosed ? name : `${name}, open run`, qty, cut: outline, panel: null, cushion: null, matched: false })
        pieces.push({ id, qty, outline: asOutline(outline), turns: pipingTurns(own, stripCut(piping)), flip: false, match: null })
      }),
    )
  }
  const isMatching = own.match.kind === 'matched' && repeatOf(cloth) !== null
  const start = cloth.pattern.kind === 'stripes' ? cloth.pattern.startMm : 0
  return {
    cloth,
    pieces: laid,
    usableMm,
    problem: {
      format: 'loft-seam/lay-problem',
      version: 1,
      cloth: { width: cloth.widthMm, length: null, selvedge: cloth.selvedgeMm, repeat: { across: isMatching ? repeatOf(cloth) : null, along: null }, flaws: [] },
      gap: 0,
      groups: isMatching ? { run: { across: start, along: null } } : {},
      pieces,
    },
  }
}

/**
 * A panel on which the run's pattern rises against its own axis must lie upside down unless the
 * stripes are symmetrical; a pile does not allow that, and the panel stays unmatched.
 */
const matchable = (choice: ClothChoice, frame: PatternFrame | null, axes: readonly number[]): PatternFrame | null =>
  frame && frame.rises === -1 && axes.length === 0 && choice.cloth.nap === 'one-way' ? null : frame

/**
 * Turns allowed on the cloth. The pattern's top is at the back of plates and at the top of boxing;
 * railroaded plates lie on their side. 180° needs two-way cloth and, where matched, symmetrical stripes.
 */
function turnsOf(choice: ClothChoice, panel: Panel, frame: PatternFrame | null, isMirrored: boolean): number[] {
  const base = baseTurn(choice, panel, frame, isMirrored)
  const { nap } = choice.cloth
  // The gusset is hidden at the back: on two-way cloth it may lie any way.
  const isFree = looksAlikeEveryWay(choice.cloth) ? panel.role !== 'plate' && panel.role !== 'blank' && panel.role !== 'body' : !panel.isSeen && panel.role === 'gusset' && nap === 'two-way'
  if (isFree && !givesOrShrinks(choice.cloth)) return [base, (base + 90) % 360, (base + 180) % 360, (base + 270) % 360]
  const hasTwoWays = nap === 'two-way' && (frame === null || isMirrored)
  return hasTwoWays ? [base, (base + 180) % 360] : [base]
}

function baseTurn(choice: ClothChoice, panel: Panel, frame: PatternFrame | null, isMirrored: boolean): number {
  const against = frame !== null && frame.axis === 'x' && frame.rises === -1 && !isMirrored ? 180 : 0
  if (frame !== null && panel.role === 'boxing') return against
  return liesAlong(choice, panel) ? 270 : against
}

/** Strips along the roll are cut no longer than can be handled on a table. */
const LONGEST_STRIP_MM = 3000

/** Plain two-way cloth lets straight strips lie either way; bias strips may follow either diagonal. */
function pipingTurns(choice: ClothChoice, cut: StripCut): number[] {
  if (looksAlikeEveryWay(choice.cloth) || cut === 'bias') return [0, 90]
  return cut === 'along' ? [90] : [0]
}

type StripCut = Exclude<PipingPlan['choice'], { kind: 'ready-made' }>['cut']

const stripCut = ({ choice }: PipingPlan): StripCut => (choice.kind === 'ready-made' ? 'across' : choice.cut)

/** The strips of one design's piping, as long as its cloth allows; none for ready-made piping. */
function pipingStrips(choice: ClothChoice, piping: PipingPlan, designs: readonly Design[], design: number): readonly PipingStrips[] {
  const width = piping.stripWidth?.value
  const cloth = clothFor(choice, 'piping')
  const usableMm = usableWidth(cloth)
  if (width === undefined || usableMm <= 0) return []
  const cut = stripCut(piping)
  const base = designs.length === 1 ? 'piping' : `piping-${designs[design]!.id}`
  return piping.groups.map((group, k) => {
    // On the bias a strip spans its length over √2 of the width, with ends cut on the grain: joining two loses 2√2·s.
    const seam = group.panel.edges[0]!.allowance.value
    const split = cut === 'bias' ? splitRun(group, usableMm * Math.SQRT2, 2 * Math.SQRT2 * seam) : splitRun(group, cut === 'across' ? usableMm : LONGEST_STRIP_MM, width)
    const qty = Math.max(1, Math.round(split.strips.value)) * group.count * designs[design]!.count
    return { id: k === 0 ? base : `${base}-${k + 1}`, group, split, qty }
  })
}

function stripOutline(piping: PipingPlan, split: StripSplit): Polygon {
  const width = piping.stripWidth!.value
  if (stripCut(piping) !== 'bias') return [at(0, 0), at(split.each.value, 0), at(split.each.value, width), at(0, width)]
  const [reach, rise] = [split.each.value / Math.SQRT2, width * Math.SQRT2]
  return [at(0, 0), at(reach, reach), at(reach, reach + rise), at(0, rise)]
}

/** Arcs are laid as chords within this of them. */
const CHORD_MM = 0.08

const asOutline = (outline: Outline): [number, number][] => flatten(outline, CHORD_MM).map((p) => [p.x, p.y])
