import type { Cloth, ClothChoice, ClothRole, LayPiece, LayProblem } from '../../contract/index.ts'
import {
  cushionFrames,
  cutOutline,
  framesAsLaid,
  givesOrShrinks,
  isLyingRole,
  looksAlikeEveryWay,
  usableWidth,
  type Cover,
  type Panel,
} from '../cover/index.ts'
import type { Cushions } from '../seat/index.ts'
import { flatten, type Outline } from '../outline/index.ts'
import { turned } from '../lay/index.ts'
import { patternStart, repeatOf, washed, washedChoice, type Way } from '../pattern/index.ts'
import { clothRow } from './cloth-row.ts'
import { pieceId, type PieceOf } from './piece-id.ts'
import { pipingStrips, pipingTurns, stripOutline, type PipingStrips } from './piping-strips.ts'
import {
  isMirrored,
  looksAlikeTurned,
  matchingsOf,
  matchOf,
  rowPattern,
  ruledPlaces,
  type Matching,
  type Matchings,
} from './match.ts'

/** A piece of the lay, and what it is: a panel of one cushion, or a strip of piping. */
export interface LaidPiece {
  readonly id: string
  readonly name: string
  readonly qty: number
  readonly cut: Outline
  /** Null for a strip of piping, which belongs to no cushion yet. */
  readonly of: (Omit<PieceOf, 'panel'> & { readonly panel: Panel }) | null
  readonly matched: boolean
}

/** What is cut from one cloth. */
export interface ClothLay {
  /** As it is bought or kept. */
  readonly cloth: Cloth
  /** As it lies on the table: shrunk, where it is washed first. */
  readonly laidOn: Cloth
  readonly pieces: readonly LaidPiece[]
  readonly problem: LayProblem
  readonly usableMm: number
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
export function planCloth(bought: ClothChoice, designs: readonly DesignCovers[], cushions: Cushions): ClothPlan {
  const choice = washedChoice(bought)
  const roles = rolesByCloth(bought)
  const strips = designs.map(({ cover }, i) =>
    cover.piping ? pipingStrips(choice, cover.piping, cushions.designs, i) : [],
  )
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
  return [
    { cloth: choice.cloth, roles: new Set(rest) },
    ...ids.map((id) => ({
      cloth: own.find(([, c]) => c.id === id)![1],
      roles: new Set(own.flatMap(([role, c]) => (c.id === id ? [role] : []))),
    })),
  ]
}

const CLOTH_ROLES: readonly ClothRole[] = ['face', 'second-face', 'boxing', 'piping', 'base', 'lining', 'liner']

function layOf(
  choice: ClothChoice,
  bought: Cloth,
  roles: ReadonlySet<ClothRole>,
  designs: readonly DesignCovers[],
  cushions: Cushions,
  strips: readonly (readonly PipingStrips[])[],
): ClothLay {
  const cloth = washed(bought)
  // Stripes are matched on the cloth of the job alone.
  const own: ClothChoice = cloth.id === choice.cloth.id ? choice : { ...choice, cloth, match: { kind: 'none' } }
  const usableMm = usableWidth(cloth)
  const laid: LaidPiece[] = []
  const pieces: LayPiece[] = []
  const cuts = designs.map(({ cover, liner }) =>
    layersOf({ cover, liner }).flatMap(({ of, layer }) =>
      of.panels
        .filter((p) => roles.has(p.cloth))
        .map((panel) => ({ of, layer, panel, cut: cutOutline(panel) }))
        .map((p) => ({ ...p, flat: asOutline(p.cut) })),
    ),
  )
  const pattern = rowPattern(own)
  const row = clothRow(
    cushions,
    designs.map((d) => d.cover),
  )
  cushions.inOrder.forEach(({ design }, cushion) => {
    const ruled = ruledPlaces(own, pattern, row, cushion)
    for (const { of, layer, panel, cut, flat } of cuts[design]!) {
      const id = pieceId({ cushion, layer, panel: panel.id })
      const frames = layer === 'cover' ? framesAsLaid(own, cushionFrames(own, of, panel), panel.lies) : null
      const ways = frames && matchedWays(own, panel, matchingsOf(own, pattern, frames, ruled, row, cushion))
      const match = ways && matchOf(panel, ways.matchings)
      laid.push({
        id,
        name: `${layer === 'liner' ? 'Liner, ' : ''}${panel.name}, cushion ${cushion + 1}`,
        qty: panel.times,
        cut,
        of: { cushion, layer, panel },
        matched: match !== null,
      })
      pieces.push({
        id,
        qty: panel.times,
        outline: flat,
        turns: [...(ways?.turns ?? turnsOf(own, panel))],
        flip: false,
        match,
      })
    }
  })
  if (roles.has('piping')) {
    strips.forEach((groups, design) =>
      groups.forEach(({ id, split, qty, group }) => {
        const piping = designs[design]!.cover.piping!
        const outline = stripOutline(piping, split, own.cloth)
        const name = strips.length === 1 ? 'Piping strip' : `Piping strip ${cushions.designs[design]!.id}`
        laid.push({
          id,
          name: group.isClosed ? name : `${name}, open run`,
          qty,
          cut: outline,
          of: null,
          matched: false,
        })
        pieces.push({
          id,
          qty,
          outline: asOutline(outline),
          turns: pipingTurns(own.cloth, piping),
          flip: false,
          match: null,
        })
      }),
    )
  }
  return {
    cloth: bought,
    laidOn: cloth,
    pieces: laid,
    usableMm,
    problem: { format: 'loft-seam/lay-problem', version: 1, ...clothProblem(own), gap: 0, pieces },
  }
}

const layersOf = ({ cover, liner }: DesignCovers) => [
  { of: cover, layer: 'cover' as const },
  ...(liner ? [{ of: liner, layer: 'liner' as const }] : []),
]

/**
 * The cloth as a lay problem knows it. Where a roll is bought it is begun wherever the pattern suits; what is in hand
 * begins where it was cut.
 */
function clothProblem({ cloth, match }: ClothChoice): Pick<LayProblem, 'cloth' | 'groups'> {
  const { supply } = cloth
  const isMatching = match.kind === 'matched' && cloth.pattern.kind !== 'plain'
  const lengthMm =
    supply.kind === 'length'
      ? supply.lengthMm
      : supply.kind === 'remnant'
        ? Math.max(...supply.outline.map((p) => p[1]))
        : null
  return {
    cloth: {
      width: cloth.widthMm,
      length: lengthMm,
      selvedge: cloth.selvedgeMm,
      repeat: isMatching
        ? { across: repeatOf(cloth, 'across'), along: repeatOf(cloth, 'along') }
        : { across: null, along: null },
      flaws: cloth.flaws.map((f) => [f.xMm, f.yMm, f.widthMm, f.lengthMm]),
      ...(supply.kind === 'remnant' ? { outline: supply.outline } : {}),
    },
    groups: isMatching
      ? {
          run: {
            across: patternStart(cloth, 'across'),
            along: supply.kind === 'to-buy' ? null : patternStart(cloth, 'along'),
          },
        }
      : {},
  }
}

interface MatchedWays {
  readonly matchings: Matchings
  readonly turns: readonly number[]
}

/**
 * The ways on which a panel can be matched as it lies, and the turns that keep them: both, else the one across, else
 * the one along. One-way cloth leaves a panel only its own turn; a pattern that rises against the panel wants it
 * upside down unless it is symmetrical.
 */
function matchedWays({ cloth }: ClothChoice, panel: Panel, { across, along }: Matchings): MatchedWays | null {
  const turns = turnsAsItLies(cloth, panel)
  const tries: readonly Matchings[] = [
    { across, along },
    { across, along: null },
    { across: null, along },
  ]
  for (const matchings of tries) {
    if (!matchings.across && !matchings.along) continue
    const kept = turns.filter(
      (turn) => keeps(turn, matchings.across, 'across') && keeps(turn, matchings.along, 'along'),
    )
    if (kept.length > 0) return { matchings, turns: kept }
  }
  return null
}

/** Whether a turn brings the panel's axis onto that way of the roll, the right way round. */
function keeps(turn: number, matching: Matching | null, way: Way): boolean {
  if (!matching) return true
  const { frame, sense } = matching
  const [x, y] = turned(frame.axis === 'x' ? 1 : 0, frame.axis === 'y' ? 1 : 0, turn, false)
  const goes = way === 'across' ? x : y
  return goes !== 0 && (isMirrored(matching) || goes === frame.rises * sense)
}

/**
 * Turns of an unmatched panel. The pattern's top is at the back of plates and at the top of boxing; railroaded plates
 * lie on their side. 180° needs two-way cloth whose pattern looks the same turned, where the panel is seen.
 */
function turnsOf({ cloth }: ClothChoice, panel: Panel): number[] {
  const asItLies = turnsAsItLies(cloth, panel)
  // The gusset is hidden at the back: on two-way cloth it may lie any way.
  const isFree = looksAlikeEveryWay(cloth)
    ? !isLyingRole(panel.role) || panel.role === 'base'
    : !panel.isSeen && panel.role === 'gusset' && cloth.nap === 'two-way'
  if (isFree && !givesOrShrinks(cloth)) return asItLies.flatMap((t) => [t, (t + 90) % 360])
  return panel.isSeen && !looksAlikeTurned(cloth) ? asItLies.slice(0, 1) : asItLies
}

function turnsAsItLies({ nap }: Cloth, { lies }: Panel): number[] {
  const own = lies === 'along' ? 270 : 0
  return nap === 'two-way' ? [own, (own + 180) % 360] : [own]
}

/** Arcs are laid as chords within this of them. */
const CHORD_MM = 0.08

const asOutline = (outline: Outline): [number, number][] => flatten(outline, CHORD_MM).map((p) => [p.x, p.y])
