type Document = Record<string, unknown>

/**
 * Brings a job document of an older version to the present one, step by step. What does not look
 * like the old format is handed on as it is, for the schema to name the fault.
 */
export function migrateJob(document: Document): Document {
  return document['version'] === 1 ? { ...document, version: 2, seat: shapedSeat(document['seat']) } : document
}

const SIDES = ['near', 'right', 'far', 'left'] as const

/** Version 1 knew rectangles alone: a bench in so many, or single cushions. */
function shapedSeat(seat: unknown): unknown {
  if (typeof seat !== 'object' || seat === null) return seat
  const { kind, width, depth, thickness, front, roles, clearanceMm, count, gapMm, ...unknown } = seat as Document
  const meets = typeof roles === 'object' && roles !== null ? (roles as Document) : {}
  return {
    ...unknown,
    footprint: { kind: 'rectangle', width, depth, rising: null, falling: null },
    thickness,
    edges: Object.fromEntries(SIDES.filter((side) => meets[side] !== 'open').map((side) => [side, { meets: meets[side], lean: null, riseMm: 0 }])),
    corners: {},
    front,
    turnDeg: 0,
    mirrored: false,
    clearanceMm,
    division: kind === 'bench' ? { kind: 'run', count, gapMm, cuts: 'straight' } : { kind: 'singles', count, mirrored: 0 },
    old: { measured: null, label: null },
  }
}
