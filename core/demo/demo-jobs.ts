import type { Construction, Job, PartJob } from '../../contract/index.ts'
import { USUAL_TIES } from '../cover/index.ts'
import { newLayer, usualWadding } from '../filling/index.ts'
import { jobOf, newSeat, partJobs, reading, shapedSeat, USUAL_PIPING } from '../job/index.ts'
import { USUAL_CLEARANCE_MM } from '../seat/index.ts'
import { keepersBench } from './demo-job.ts'
import {
  built,
  clothNamed,
  filledWith,
  gradeNamed,
  meets,
  orderedWhole,
  readings,
  ticket,
  withCloths,
} from './demo-part.ts'
import { dayBed, gallery, readingChairs, stairChairs } from './demo-sets.ts'

/** The tickets of the demo shop, in the order of their numbers. */
export const demoJobs = (): readonly Job[] => [
  jobOf(watchRoom()),
  keepersBench(),
  readingChairs(),
  jobOf(bunks()),
  jobOf(lockerLids()),
  jobOf(forwardBerth()),
  jobOf(kneelers()),
  jobOf(hassock()),
  jobOf(deckSettle()),
  gallery(),
  dayBed(),
  stairChairs(),
]

/** Every part of every demo ticket, as it sees it: the first of each, then what else there is. */
export function demoParts(): readonly PartJob[] {
  const parts = demoJobs().map(partJobs)
  return [...parts.map((p) => p[0]!), ...parts.flatMap((p) => p.slice(1))]
}

/** SL-01: a bench along the round wall in five, its stripe running on across all and set by a mark on the panelling. */
function watchRoom(): PartJob {
  const seat = shapedSeat(
    {
      kind: 'ring',
      at: 'inner',
      curve: { by: 'radius', radius: reading(1870) },
      depth: readings(520, 521, 520),
      extent: { by: 'length', length: readings(3640, 3638, 3641) },
    },
    90,
    { kind: 'run', count: 5, gapMm: 0, cuts: 'radial' },
  )
  const job = ticket('SL-01', 'Watch room window seat', 'Gannet 36/180', 'lamp-room-ticking', {
    ...seat,
    edges: { far: meets('wall') },
  })
  return orderedWhole({
    ...job,
    makeUp: { ...job.makeUp, piping: { ...USUAL_PIPING, cut: 'bias' } },
    cloth: { ...job.cloth, match: { kind: 'matched', rule: { kind: 'band-at-mark', band: 3, markMm: 1820 } } },
  })
}

/** SL-04: three bunk mattresses with one corner cut off by the stair, without a zip: the bottom is slit across. */
function bunks(): PartJob {
  const seat = shapedSeat(
    {
      kind: 'rectangle',
      width: readings(1905, 1906, 1904),
      depth: readings(735, 735),
      rising: reading(2042),
      falling: reading(2041),
    },
    120,
    { kind: 'singles', count: 3, mirrored: 0 },
  )
  const job = ticket('SL-04', 'Bunks', 'Gannet 36/180', 'ebb-linen', {
    ...seat,
    edges: { far: meets('wall'), left: meets('wall'), right: meets('wall') },
    corners: { 'far right': { kind: 'cut', arrivingMm: 210, leavingMm: 330 } },
  })
  const soft = gradeNamed('Eider 50/60')
  const railroaded: PartJob = { ...built(job, 'slit-back'), cloth: { ...job.cloth, direction: 'railroaded' } }
  return filledWith(railroaded, (foam) => ({
    ...foam,
    load: { ...foam.load, use: 'sleeping', base: 'slats', own: {} },
    school: { kind: 'full-block', thicknessExtraMm: 5 },
    layers: [...foam.layers, newLayer(soft, 25)],
  }))
}

/**
 * SL-05: lids of the cockpit lockers, port and starboard, hinged along the side that tapers: vinyl pulled over their
 * boards.
 */
function lockerLids(): PartJob {
  const seat = shapedSeat(
    {
      kind: 'taper',
      near: reading(402),
      far: reading(318),
      depth: readings(1124, 1125),
      offset: { kind: 'left', mm: 0 },
      rising: null,
      falling: null,
    },
    60,
    { kind: 'singles', count: 1, mirrored: 1 },
  )
  const job = ticket('SL-05', 'Kittiwake cockpit, locker lids', 'Auk 33/400', 'hull-vinyl', {
    ...seat,
    front: 'left',
    edges: { right: meets('hinge') },
    clearanceMm: USUAL_CLEARANCE_MM.aboard,
  })
  const covered = built(job, 'pull-over', ({ construction, trims }) => ({
    construction: { ...construction, stapleRows: 2, airHoles: true } as Construction,
    trims: { ...trims, finishing: 'none' },
  }))
  return filledWith(orderedWhole(withCloths(covered, { base: clothNamed('brine-mesh') })), (foam) => ({
    ...foam,
    load: { ...foam.load, use: 'cockpit', exposure: 'wet' },
    boardMm: { now: 9, before: 9 },
  }))
}

/**
 * SL-06: two mirrored berth halves against a hull that leans out by 24°, capped, with a base of mesh that opens in a
 * slot.
 */
function forwardBerth(): PartJob {
  const seat = shapedSeat(
    {
      kind: 'berth',
      length: readings(1860, 1858),
      head: reading(640),
      foot: reading(215),
      stations: [],
      hull: 'straight',
    },
    100,
    { kind: 'singles', count: 1, mirrored: 1 },
  )
  const job = ticket('SL-06', 'Kittiwake forward berth', 'Skua 30/150', 'storm-canvas', {
    ...seat,
    edges: { hull: meets('hull', 24) },
    clearanceMm: USUAL_CLEARANCE_MM.aboard,
  })
  const covered = withCloths(built(job, 'capped'), { base: clothNamed('brine-mesh') })
  return filledWith(covered, (foam) => ({
    ...foam,
    load: { ...foam.load, use: 'sleeping', exposure: 'damp' },
    layers: [newLayer(gradeNamed('Auk 33/400'), 25), ...foam.layers],
  }))
}

/**
 * SL-07: twelve kneelers, rebond with wadding, the check centred on each and going on over its edges; a remnant of
 * another check is asked after.
 */
function kneelers(): PartJob {
  const plain = ticket('SL-07', 'Chapel kneelers', 'Rook 80/350', 'tern-check', {
    ...newSeat('singles', 305, 228, 70, 12),
    clearanceMm: 0,
  })
  const job: PartJob = {
    ...plain,
    cloth: {
      ...plain.cloth,
      match: { kind: 'matched', rule: { kind: 'band-on-each-centre', band: 0 } },
      alongRule: 'centred',
    },
  }
  return filledWith(
    orderedWhole(built(job, 'boxed', () => ({ construction: { kind: 'boxed', boxing: 'one-per-side' } }))),
    (foam) => ({
      ...foam,
      load: { ...foam.load, use: 'kneeler', base: 'board' },
      school: { kind: 'wrap-then-measure' },
      wadding: usualWadding(12),
    }),
  )
}

/** SL-08: a hassock from sheets of 50 mm, its slip cover lined. */
function hassock(): PartJob {
  const job = ticket('SL-08', 'Lamp-room hassock', 'Gannet 36/180', 'ebb-linen', {
    ...newSeat('singles', 440, 440, 380, 1),
    clearanceMm: 0,
  })
  return filledWith(
    withCloths(built(job, 'cube'), {
      lining: clothNamed('house-calico'),
      liner: clothNamed('house-calico'),
      base: clothNamed('house-calico'),
    }),
    (foam) => ({ ...foam, load: { ...foam.load, use: 'hassock' }, school: { kind: 'size-for-size' } }),
  )
}

/** SL-09: seat and back in one cover, tied to the settle. */
function deckSettle(): PartJob {
  const job = ticket('SL-09', 'Deck settle', 'Auk 33/400', 'storm-canvas', {
    ...newSeat('singles', 470, 455, 35, 1),
    clearanceMm: 0,
  })
  const covered = built(job, 'hinged-pair', ({ construction, trims }) => ({
    construction: { ...construction, backDepthMm: 530 } as Construction,
    trims: { ...trims, ties: USUAL_TIES },
  }))
  return filledWith(orderedWhole(covered), (foam) => ({
    ...foam,
    load: { ...foam.load, use: 'bench', exposure: 'wet', base: 'slats' },
  }))
}
