import type { Job } from '../../contract/index.ts'
import type { FillingPlan } from '../filling/index.ts'
import { boxOf } from '../outline/index.ts'
import type { Warning } from '../warning/index.ts'
import { boxingAsCut } from './boxing-choice.ts'
import type { Check } from './checks/check.ts'
import type { Cover } from './cover.ts'
import { openingNeed } from './opening.ts'
import { leastBend } from './piping/piping.ts'

/** What is doubtful about the make-up. */
export function coverWarnings(job: Job, cover: Cover, filling: FillingPlan, checks: readonly Check[]): readonly Warning[] {
  const warnings: Warning[] = checks.flatMap((c) => c.faults.map((detail): Warning => ({ station: 'pieces', level: 'stop', code: 'check-failed', check: c.name, detail })))
  for (const panel of cover.panels) {
    const { minX, minY, maxX, maxY } = boxOf(panel.finished)
    const size = Math.min(maxX - minX, maxY - minY)
    const seam = Math.max(...panel.edges.filter((e) => e.treatment === 'seam').map((e) => e.allowance.value))
    if (seam > size / 2) warnings.push({ station: 'make-up', level: 'warning', code: 'seam-over-half', panel: panel.name.toLowerCase(), seam, size })
  }
  const need = openingNeed(filling.sizing, filling.kind === 'foam' ? filling.firmness : 'soft')
  if (cover.closure.lengthMm.value < need.neededMm) warnings.push({ station: 'make-up', level: 'warning', code: 'opening-too-small', opening: cover.closure.lengthMm.value, needed: need.neededMm, packed: need.packedMm })
  if (cover.piping) {
    const { choice } = cover.piping
    if (choice.cut !== 'bias') warnings.push({ station: 'make-up', level: 'note', code: 'straight-piping-corners', cord: choice.cordMm, needed: leastBend(choice) })
    const thickness = filling.sizing.cover.thickness.value
    if (choice.cordMm * 3 > thickness) warnings.push({ station: 'make-up', level: 'warning', code: 'piping-as-high-as-boxing', cord: choice.cordMm, thickness })
  }
  if (boxingAsCut(job) !== job.makeUp.boxing) warnings.push({ station: 'make-up', level: 'note', code: 'boxing-cut-per-side' })
  return warnings
}
