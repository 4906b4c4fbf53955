import { phrase } from '../../../core/language/index.ts'
import type { Grade } from '../../../contract/index.ts'
import { hardnessOf } from '../../../core/filling/index.ts'

/** Foam is drawn as it looks cut: pale when soft, like crust when firm; wadding white, closed cells grey. */
export function foamColour(grade: Grade): string {
  if (grade.family === 'wadding') return '#f7f4ec'
  const depth = Math.min(1, Math.max(0, ((hardnessOf(grade) ?? 140) - 50) / 300))
  if (grade.family === 'closed-cell') return phrase`hsl(40 8% ${80 - 20 * depth}%)`
  return phrase`hsl(44 ${72 - 12 * depth}% ${88 - 22 * depth}%)`
}
