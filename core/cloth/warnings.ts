import type { ClothChoice } from '../../contract/index.ts'
import {
  isBottomPlate,
  isTopPlate,
  cushionFrames,
  depthWay,
  frontMismatch,
  JOIN_CLEAR_MM,
  legMismatch,
  rowWay,
  wholeId,
  type Cover,
  type Panel,
} from '../cover/index.ts'
import { washedChoice } from '../pattern/index.ts'
import { MOST_LAID, pieceCount, placesAtSides } from '../lay/index.ts'
import { boxOf } from '../outline/index.ts'
import type { Raised } from '../warning/index.ts'
import type { ClothWarning } from './warning.ts'
import type { ClothLay, ClothPlan, LaidPiece } from './cloth-lay.ts'
import type { PartCovers } from './lay-pieces.ts'
import { rowPattern, type RowPattern } from './match.ts'

/** What is doubtful about cloth, stripes and direction of all parts, before anything is laid. */
export function clothWarnings(parts: readonly PartCovers[], plan: ClothPlan): readonly Raised<ClothWarning>[] {
  const nearest = Math.min(Infinity, ...plan.strips.flatMap((runs) => runs.map(({ split }) => split.clearMm)))
  return [
    ...parts.flatMap((part) =>
      partWarnings(part, plan).map((w) => (part.prefix === '' ? w : { ...w, part: part.prefix })),
    ),
    ...(nearest < JOIN_CLEAR_MM - 0.5
      ? [{ station: 'lay', level: 'note', code: 'piping-join-near', clear: nearest, wanted: JOIN_CLEAR_MM } as const]
      : []),
    ...plan.loose.map(({ part, leader, because }) => ({
      station: 'lay' as const,
      level: 'note' as const,
      code: 'cannot-follow' as const,
      part,
      leader,
      because,
    })),
    ...plan.notFolded.map(({ cloth, because }) => ({
      station: 'lay' as const,
      level: 'warning' as const,
      code: 'not-folded' as const,
      cloth,
      because,
    })),
    ...plan.lays.flatMap(offTheSelvedge),
    ...plan.lays.flatMap(spares),
    ...plan.lays.flatMap(tooMany),
    ...plan.lays.flatMap(tooWide),
  ]
}

/** Pieces with a ready edge that in no way they may lie comes to a side of the cloth. */
function offTheSelvedge({ cloth, pieces, problem }: ClothLay): readonly Raised<ClothWarning>[] {
  const off = pieces.filter(({ of }, i) => {
    const piece = problem.pieces[i]!
    if (!of?.panel.edges.some((e) => e.ready)) return false
    return piece.turns.every((t) => (placesAtSides(piece, t, false, problem.cloth.width) ?? []).length === 0)
  })
  const because = cloth.supply.kind === 'remnant' ? 'remnant' : 'lies-otherwise'
  return off.map(({ name }) => ({ station: 'lay', level: 'stop', code: 'never-on-selvedge', piece: name, because }))
}

/** Cut through two layers, a piece without a partner comes twice. */
function spares({ cloth, pieces }: ClothLay): readonly Raised<ClothWarning>[] {
  const count = pieces.reduce((sum, p) => sum + (p.way === 'one-spare' ? p.qty : 0), 0)
  return count > 0 ? [{ station: 'lay', level: 'note', code: 'spare-pieces', cloth: cloth.name, count }] : []
}

function partWarnings(part: PartCovers, plan: ClothPlan): readonly Raised<ClothWarning>[] {
  const choice = washedChoice(part.cloth)
  const { cloth, match, direction } = choice
  const pattern = rowPattern(choice)
  const main = plan.lays.find((l) => l.cloth.id === cloth.id)
  const covers = part.designs.map((d) => d.cover)
  const warnings: Raised<ClothWarning>[] = []
  if (match.kind === 'matched' && main) {
    if (!pattern.row && !pattern.depth)
      warnings.push({ station: 'lay', level: 'warning', code: 'nothing-to-match', cloth: cloth.name })
    else warnings.push(...ruleDoubts(choice, pattern), ...matchDoubts(choice, pattern, main, part.prefix, covers))
  }
  const across = direction === 'up-the-roll' ? pattern.row : pattern.depth
  if (across && main && across.repeat > main.usableMm)
    warnings.push({
      station: 'lay',
      level: 'stop',
      code: 'repeat-over-width',
      repeat: across.repeat,
      usable: main.usableMm,
    })
  if (cloth.nap === 'one-way' && direction === 'railroaded')
    warnings.push({ station: 'lay', level: 'warning', code: 'pile-sideways' })
  return warnings
}

/** Buttons on every cushion, and all of their ties, are soon more pieces than any cloth is laid with. */
function tooMany({ cloth, problem }: ClothLay): readonly Raised<ClothWarning>[] {
  const pieces = pieceCount(problem)
  return pieces > MOST_LAID
    ? [{ station: 'lay', level: 'stop', code: 'too-many-pieces', cloth: cloth.name, pieces, most: MOST_LAID }]
    : []
}

/** A rule that names a band which is not there, or that the pattern cannot follow the way it is meant. */
function ruleDoubts({ match, alongRule }: ClothChoice, { row, depth }: RowPattern): readonly Raised<ClothWarning>[] {
  if (match.kind === 'none') return []
  const { rule } = match
  const warnings: Raised<ClothWarning>[] = []
  const missing = (band: number, way: typeof row) => {
    if (way && band >= way.bands.length)
      warnings.push({ station: 'lay', level: 'warning', code: 'band-missing', band, bands: way.bands.length })
  }
  const isSecond = alongRule !== 'front-edges-alike'
  missing(rule.band, row ?? (isSecond ? null : depth))
  if (typeof alongRule === 'object') missing(alongRule.band, depth)
  if (!row && (rule.kind === 'band-at-mark' || rule.kind === 'band-at-left-end'))
    warnings.push({ station: 'lay', level: 'note', code: 'rule-from-front', isTaken: !isSecond })
  if (!depth && isSecond) warnings.push({ station: 'lay', level: 'note', code: 'depth-rule-idle' })
  return warnings
}

/** Where the pattern cannot go on over a seam, with the reason. */
function matchDoubts(
  choice: ClothChoice,
  pattern: RowPattern,
  main: ClothLay,
  prefix: string,
  covers: readonly Cover[],
): readonly Raised<ClothWarning>[] {
  const warnings: Raised<ClothWarning>[] = []
  const off = pattern.row ? Math.max(...covers.map(frontMismatch)) : 0
  if (off > 0.5) warnings.push({ station: 'lay', level: 'note', code: 'curved-front-match', off })
  const repeats = { row: pattern.row?.repeat ?? null, depth: pattern.depth?.repeat ?? null }
  const isOff = (panel: Panel) => main.pieces.some((p) => p.of && wholeId(p.of.panel) === panel.id && !p.matched)
  for (const edges of ['front', 'side'] as const) {
    const strips = covers.flatMap((cover) =>
      cover.whole.panels.filter((p) => boxesSide(cover, p, edges)).map((panel) => ({ cover, panel })),
    )
    if (strips.some(({ panel }) => isOff(panel)))
      warnings.push({
        station: 'lay',
        level: 'note',
        code: 'sides-cannot-match',
        edges,
        because: whyNot(choice, pattern, edges),
      })
    const legs = Math.max(
      0,
      ...strips.map(({ cover, panel }) => legMismatch(cover, panel, cushionFrames(choice, cover, panel), repeats)),
    )
    if (legs > LEGS_OFF_MM) warnings.push({ station: 'lay', level: 'note', code: 'matches-one-leg', edges, off: legs })
  }
  // Both ways were asked of the bottom, and one-way cloth gives it fewer.
  const under = main.problem.pieces.filter((_, i) => isUnder(main.pieces[i]!, prefix))
  const [wantsRow, wantsDepth] = [pattern.row !== null, pattern.depth !== null && covers.some((c) => c.wall !== null)]
  const has = (way: 'across' | 'along') => under.every((p) => typeof p.match?.[way] === 'number')
  if (under.length > 0 && ((wantsRow && !has(rowWay(choice))) || (wantsDepth && !has(depthWay(choice)))))
    warnings.push({ station: 'lay', level: 'note', code: 'under-cannot-match' })
  return warnings
}

const isUnder = ({ of }: LaidPiece, prefix: string): boolean =>
  of !== null && of.part === prefix && of.layer === 'cover' && isBottomPlate(of.panel)

const LEGS_OFF_MM = 0.5

/** Whether a strip of boxing is sewn to the top plate along the front, or along a side. */
function boxesSide(cover: Cover, panel: Panel, edges: 'front' | 'side'): boolean {
  if (panel.role !== 'boxing') return false
  const sides = cover.whole.seams
    .flatMap((s) => (s.kind === 'plate' ? s.pairs : []))
    .flatMap(({ a, b }) => {
      const plate = b.panel === panel.id ? cover.whole.panels.find((p) => p.id === a.panel && isTopPlate(p)) : undefined
      return plate?.edges.find((e) => e.name === a.edge)?.side ?? []
    })
  return edges === 'front'
    ? sides.includes('front')
    : !sides.includes('front') && (sides.includes('left') || sides.includes('right'))
}

function whyNot(
  { cloth }: ClothChoice,
  { row, depth }: RowPattern,
  edges: 'front' | 'side',
): Extract<Raised<ClothWarning>, { code: 'sides-cannot-match' }>['because'] {
  if ((edges === 'front' ? row : depth) === null) return 'runs-along'
  return cloth.nap === 'one-way' ? 'one-way' : 'slanted'
}

/** One warning for each kind of panel that is wider than the usable cloth in every allowed turn. */
function tooWide(plan: ClothLay): readonly Raised<ClothWarning>[] {
  const seen = new Set<string>()
  return plan.problem.pieces.flatMap((piece, i): Raised<ClothWarning>[] => {
    const { of, cut, name } = plan.pieces[i]!
    const panel = of?.panel
    const box = boxOf(cut)
    const [w, h] = [box.maxX - box.minX, box.maxY - box.minY]
    const widths = piece.turns.map((t) => (t % 180 === 0 ? w : h))
    const over = Math.min(...widths) - plan.usableMm
    const label = panel?.name ?? name
    if (over <= HAIR_MM || seen.has(label)) return []
    seen.add(label)
    return [
      {
        station: 'lay',
        level: 'stop',
        code: 'piece-wider-than-cloth',
        piece: label,
        over,
        cure:
          panel?.role === 'boxing' && panel.face === 'round'
            ? 'one-per-side'
            : panel && panel.role !== 'trim' && Math.min(w, h) <= plan.usableMm
              ? 'other-direction'
              : 'divide',
      },
    ]
  })
}

/** What rounding leaves: a piece as wide as the cloth lies on it. */
const HAIR_MM = 0.05
