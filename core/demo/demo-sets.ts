import type { FoamStock, Job, PartJob } from '../../contract/index.ts'
import { USUAL_TIES } from '../cover/index.ts'
import { USUAL_FIBRE, usualWadding } from '../filling/index.ts'
import { addPart, jobOf, newSeat, partFrom, reading, shapedSeat, USUAL_PIPING } from '../job/index.ts'
import { DEMO_FOAM_STOCK } from './demo-grades.ts'
import { built, clothNamed, filledWith, orderedWhole, readings, ticket, withCloths } from './demo-part.ts'

/** One ticket of several parts: the cloths of the first are those of the ticket. */
const together = (first: PartJob, ...others: readonly PartJob[]): Job =>
  others.reduce((job, part) => addPart(job, partFrom(job, part), part.name), jobOf(first))

/** SL-03: seats and backs of four reading chairs in one pile cloth. */
export const readingChairs = (): Job =>
  together(withCloths(chairSeats(), { liner: clothNamed('house-calico') }), chairBacks())

/** T-shaped seats of four reading chairs in a pile cloth, wrapped in wadding. */
function chairSeats(): PartJob {
  const ear = { out: reading(62), deep: reading(148) }
  const seat = shapedSeat(
    { kind: 'eared', width: readings(610, 611), depth: readings(545, 544), left: ear, right: ear },
    110,
    { kind: 'singles', count: 4, mirrored: 0 },
  )
  const rounded = Object.fromEntries(
    ['near left', 'near right'].map((corner) => [corner, { kind: 'round' as const, radiusMm: 35 }]),
  )
  const job = ticket('SL-03', 'Reading chairs', 'Fulmar 40/160', 'moss-loop', {
    ...seat,
    corners: rounded,
    old: {
      measured: { widthMm: 596, depthMm: 540, thicknessMm: 92 },
      label: { widthMm: 635, depthMm: 560, thicknessMm: 100 },
    },
  })
  return filledWith(orderedWhole({ ...job, name: 'Seats' }), (foam) => ({
    ...foam,
    load: { ...foam.load, use: 'lounge', base: 'webbing' },
    school: { kind: 'wrap-then-measure' },
    wadding: usualWadding(20),
  }))
}

/** Their knife-edge backs, fibre in a liner. */
function chairBacks(): PartJob {
  const job = ticket('SL-03', 'Reading chairs', 'Fulmar 40/160', 'moss-loop', {
    ...newSeat('singles', 560, 480, 140, 4),
    clearanceMm: 0,
  })
  const filling: PartJob['filling'] = {
    kind: 'loose-fibre',
    load: { ...job.filling.load, use: 'back' },
    boardMm: job.filling.boardMm,
    trials: [],
    ...USUAL_FIBRE,
  }
  return {
    ...withCloths(built(job, 'knife-edge'), { liner: clothNamed('house-calico') }),
    filling,
    name: 'Backs',
    pose: { kind: 'stands-at-back', leanDeg: 12 },
  }
}

/** SL-10: bolsters at both ends of a bench pad. */
export const gallery = (): Job => together(bolsters(), benchPad())

/** Two bolsters with piping of another cloth at both ends. */
function bolsters(): PartJob {
  const job = ticket('SL-10', 'Gallery bench', 'Fulmar 35/120', 'lamp-room-ticking', {
    ...newSeat('singles', 620, 190, 190, 2),
    clearanceMm: 0,
  })
  const covered = withCloths(
    built(job, 'bolster', () => ({ piping: { ...USUAL_PIPING, cordMm: 5, cut: 'bias' } })),
    { piping: clothNamed('moss-loop') },
  )
  return filledWith(
    orderedWhole({
      ...covered,
      name: 'Bolsters',
      pose: { kind: 'stands-at-end', end: 'both' },
      cloth: { ...covered.cloth, match: { kind: 'none' } },
    }),
    (foam) => ({ ...foam, load: { ...foam.load, use: 'back' }, school: { kind: 'size-for-size' } }),
  )
}

/** A bench pad with staggered buttons pulled into it, in a cloth of its own. */
function benchPad(): PartJob {
  const job = ticket('SL-10', 'Gallery bench', 'Gannet 36/180', 'ebb-linen', {
    ...newSeat('bench', 1210, 420, 85, 1),
    clearanceMm: 0,
  })
  const covered = built(job, 'boxed', ({ trims }) => ({
    closure: { kind: 'sewn-shut', side: 'back', openingMm: 900 },
    trims: {
      ...trims,
      buttons: { rows: 3, across: 6, layout: 'staggered', marginMm: 105, diameterMm: 22, depthMm: 0 },
    },
  }))
  return filledWith({ ...covered, name: 'Bench pad' }, (foam) => ({ ...foam, load: { ...foam.load, use: 'bench' } }))
}

/**
 * SL-11: a day bed in three sections of unlike width, all out of one mattress, and the bolsters at its ends in another
 * cloth.
 */
export function dayBed(): Job {
  const mattress: FoamStock = DEMO_FOAM_STOCK.find((s) => s.name === 'Boathouse mattress')!
  const section = (mm: number) => ({ count: 1, readings: { width: reading(mm) } })
  const bed = ticket('SL-11', 'Boathouse day bed', 'Fulmar 40/160', 'ebb-linen', {
    ...newSeat('singles', 610, 1940, 140, 1),
    clearanceMm: 0,
    division: { kind: 'rows', rows: [{ count: 1, readings: {} }, section(505), section(345)] },
  })
  const sections = filledWith(
    { ...bed, name: 'Sections', cutting: { ...bed.cutting, tool: 'bread-knife', stock: [mattress] } },
    (foam) => ({ ...foam, load: { ...foam.load, use: 'sleeping' }, school: { kind: 'size-for-size' } }),
  )
  const ends = ticket('SL-11', 'Boathouse day bed', 'Fulmar 40/160', 'storm-canvas', {
    ...newSeat('singles', 620, 180, 180, 2),
    clearanceMm: 0,
  })
  return together(
    sections,
    filledWith(
      { ...built(ends, 'bolster'), name: 'Bolsters', pose: { kind: 'stands-at-end', end: 'both' } },
      (foam) => ({ ...foam, load: { ...foam.load, use: 'back' }, school: { kind: 'size-for-size' } }),
    ),
  )
}

/** SL-12: four chairs up the stair, of which two measure the same, tied to their rails. */
export function stairChairs(): Job {
  const chair = (width: number, depth: number) => ({
    count: 1,
    readings: { width: reading(width), depth: reading(depth) },
  })
  const job = ticket('SL-12', 'Tower stair chairs', 'Fulmar 50/220', 'tern-check', {
    ...newSeat('singles', 452, 431, 60, 1),
    clearanceMm: 0,
    division: { kind: 'rows', rows: [{ count: 1, readings: {} }, chair(449, 436), chair(452, 431), chair(455, 433)] },
  })
  const tied = orderedWhole(built(job, 'boxed', ({ trims }) => ({ trims: { ...trims, ties: USUAL_TIES } })))
  return jobOf(
    filledWith(
      { ...tied, cloth: { ...tied.cloth, match: { kind: 'matched', rule: { kind: 'band-on-each-centre', band: 0 } } } },
      (foam) => ({ ...foam, load: { ...foam.load, use: 'dining' } }),
    ),
  )
}
