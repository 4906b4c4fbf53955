import type { LayProblem } from '../../contract/index.ts'
import { placesAtSides } from './at-side.ts'
import { areaOf, at, isSimple } from '../outline/index.ts'

/** What a schema cannot see: crossed outlines, ids used twice, sheets without a length, no usable width. */
export function problemFaults(
  problem: LayProblem,
  mostPieces: number,
): readonly { readonly path: string; readonly message: string }[] {
  const faults: { path: string; message: string }[] = []
  const { cloth } = problem
  const seen = new Map<string, number>()
  problem.pieces.forEach((piece, i) => {
    const before = seen.get(piece.id)
    if (before !== undefined)
      faults.push({
        path: `$.pieces[${i}].id`,
        message: `"${piece.id}" is the id of pieces[${before}] already; every id is unique`,
      })
    seen.set(piece.id, i)
    const fault = outlineFault(piece.outline)
    if (fault) faults.push({ path: `$.pieces[${i}].outline`, message: fault })
    const sides = sideFault(problem, piece)
    if (sides) faults.push({ path: `$.pieces[${i}].sides`, message: sides })
  })
  const total = problem.pieces.reduce((sum, p) => sum + p.qty, 0)
  if (total > mostPieces)
    faults.push({
      path: '$.pieces',
      message: `${total} pieces with their copies; at most ${mostPieces} are laid at once`,
    })
  if (cloth.selvedge[0] + cloth.selvedge[1] >= cloth.width)
    faults.push({ path: '$.cloth.selvedge', message: 'the selvedges leave no usable width' })
  if (cloth.count !== undefined && cloth.length === null)
    faults.push({ path: '$.cloth.length', message: 'sheets (count) want a length' })
  if (cloth.outline) {
    const fault = outlineFault(cloth.outline)
    if (fault) faults.push({ path: '$.cloth.outline', message: fault })
  }
  return faults
}

function sideFault({ version, cloth }: LayProblem, piece: LayProblem['pieces'][number]): string | null {
  const { sides = [], outline, turns, flip } = piece
  if (sides.length === 0) return null
  if (version === 1) return 'is of version 2 of the format: say "version": 2'
  if (cloth.outline) return 'a remnant with an outline of its own has no sides'
  if (sides.some(({ edge }) => edge >= outline.length))
    return `names an edge beyond the ${outline.length} of the outline`
  const canStand = turns.some((turn) =>
    (flip ? [false, true] : [false]).some((f) => placesAtSides(piece, turn, f, cloth.width)!.length > 0),
  )
  return canStand
    ? null
    : 'in none of its turns does that edge lie on that side of the cloth, all of the piece within it'
}

function outlineFault(outline: readonly (readonly [number, number])[]): string | null {
  const polygon = outline.map(([x, y]) => at(x, y))
  if (!isSimple(polygon)) return 'crosses or touches itself, or repeats a point; a simple polygon is wanted'
  return Math.abs(areaOf(polygon)) < 1e-3 ? 'has no area' : null
}
