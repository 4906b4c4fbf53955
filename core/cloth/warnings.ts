import type { Job } from '../../contract/index.ts'
import type { Cover } from '../cover/index.ts'
import { boxOf } from '../outline/index.ts'
import type { Warning } from '../warning/index.ts'
import type { ClothLay, ClothPlan } from './lay-pieces.ts'
import { frontMismatch } from './pattern-frame.ts'
import { bandsOf, repeatOf } from './stripes.ts'

/** What is doubtful about cloth, stripes and direction, before anything is laid. */
export function clothWarnings(job: Job, plan: ClothPlan, covers: readonly Cover[]): readonly Warning[] {
  const { cloth, match, direction } = job.cloth
  const warnings: Warning[] = []
  const repeat = repeatOf(cloth, 'across')
  const bands = bandsOf(cloth, 'across').length
  if (match.kind === 'matched' && cloth.pattern.kind === 'plain') warnings.push({ station: 'lay', level: 'warning', code: 'nothing-to-match', cloth: cloth.name })
  if (match.kind === 'matched' && bands > 0) {
    if (match.rule.band >= bands) warnings.push({ station: 'lay', level: 'warning', code: 'band-missing', band: match.rule.band, bands })
    const off = Math.max(...covers.map(frontMismatch))
    if (direction === 'up-the-roll' && off > 0.5) warnings.push({ station: 'lay', level: 'note', code: 'curved-front-match', off })
    const sidesMatch = direction === 'up-the-roll' && cloth.nap === 'two-way' && repeatOf(cloth, 'along') !== null
    if (!sidesMatch) warnings.push({ station: 'lay', level: 'note', code: 'sides-cannot-match', edges: direction === 'up-the-roll' ? 'side' : 'front' })
  }
  if (repeat !== null && repeat > plan.lays[0].usableMm) warnings.push({ station: 'lay', level: 'stop', code: 'repeat-over-width', repeat, usable: plan.lays[0].usableMm })
  if (cloth.nap === 'one-way' && direction === 'railroaded') warnings.push({ station: 'lay', level: 'warning', code: 'pile-sideways' })
  return [...warnings, ...plan.lays.flatMap(tooWide)]
}

/** One warning for each kind of panel that is wider than the usable cloth in every allowed turn. */
function tooWide(plan: ClothLay): readonly Warning[] {
  const seen = new Set<string>()
  return plan.problem.pieces.flatMap((piece, i): Warning[] => {
    const { panel, cut, name } = plan.pieces[i]!
    const box = boxOf(cut)
    const [w, h] = [box.maxX - box.minX, box.maxY - box.minY]
    const widths = piece.turns.map((t) => (t % 180 === 0 ? w : h))
    const over = Math.min(...widths) - plan.usableMm
    const label = panel?.name ?? name
    if (over <= 0 || seen.has(label)) return []
    seen.add(label)
    return [{ station: 'lay', level: 'stop', code: 'piece-wider-than-cloth', piece: label, over, cure: panel?.id === 'boxing' ? 'one-per-side' : panel?.role === 'plate' && Math.min(w, h) <= plan.usableMm ? 'other-direction' : 'divide' }]
  })
}
