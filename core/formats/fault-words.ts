import { phrase } from '../language/index.ts'
import type { OutlineFault } from './outline-file.ts'

/** Why a drawing gives no outline, and what to do. */
export function outlineFaultWords(fault: OutlineFault): string {
  switch (fault.code) {
    case 'not-readable':
      return phrase`The drawing cannot be read: ${fault.why}. Save it again as DXF (ASCII) or plain SVG.`
    case 'unknown-kind':
      return 'Only .dxf and .svg drawings are read.'
    case 'nothing-drawn':
      return phrase`No line was found in the drawing${fault.skipped.length > 0 ? ` (${fault.skipped.join('; ')})` : ''}. Draw the outline as lines, arcs or a polyline.`
    case 'nothing-closed':
      return phrase`None of its ${fault.lines} line${fault.lines === 1 ? '' : 's'} closes: the smallest gap is ${fault.gapMm.toFixed(1)} mm. Close the outline in the drawing.`
    case 'crosses-itself':
      return 'The outline crosses or touches itself.'
    case 'too-many-points':
      return phrase`The outline has ${fault.points} points; at most 1000 are taken. Draw it with arcs, or with fewer points.`
    case 'size':
      return phrase`The outline is ${fault.mm < 1 ? fault.mm.toFixed(3) : Math.round(fault.mm)} mm large, which is no seat. Check the unit of the drawing.`
    default:
      return fault satisfies never
  }
}
