import type { Figure } from '../working/index.ts'
import type { EdgeDraft } from './parts/panel-draft.ts'

/**
 * An edge as it is cut where nothing is turned in: the hem is the last that is added to it, what lies before it (half a
 * lap, a reserve) stays. `nothing` says why where no allowance is left. A seam keeps its own, and an edge that the
 * cloth brings ready has no hem to take off.
 */
export const withoutHem = (edge: EdgeDraft, nothing: Figure): EdgeDraft =>
  (edge.treatment === 'hem' || edge.treatment === 'lap') && !edge.ready
    ? { ...edge, allowances: edge.allowances.length > 1 ? edge.allowances.slice(0, -1) : [nothing] }
    : edge
