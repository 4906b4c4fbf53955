import type { Construction, EdgeSetting, FoamFilling, Job, MakeUp, PartJob, Seat } from '../../contract/index.ts'
import { USUAL_TIES, usualMakeUp } from '../cover/index.ts'
import { USUAL_FIBRE, usualWadding } from '../filling/index.ts'
import { jobOf, newPartJob, newSeat, partJobs, reading, setFoam, shapedSeat, USUAL_PIPING } from '../job/index.ts'
import { USUAL_CLEARANCE_MM } from '../seat/index.ts'
import { DEMO_CLOTHS } from './demo-cloths.ts'
import { DEMO_GRADES } from './demo-grades.ts'
import { keepersBenchPart } from './demo-job.ts'
import { FACTORY_BOOK } from '../defaults/index.ts'

/**
 * The tickets of the demo shop, in the order of their numbers; seats and backs, bolsters and bench are tickets of their
 * own.
 */
export const demoJobs = (): readonly Job[] => tickets().map(jobOf)

/** Every part of every demo ticket, as it sees it. */
export const demoParts = (): readonly PartJob[] => demoJobs().flatMap(partJobs)

const tickets = (): readonly PartJob[] => [
  watchRoom(),
  keepersBenchPart(),
  readingChairs(),
  bunks(),
  lockerLids(),
  forwardBerth(),
  readingChairBacks(),
  kneelers(),
  hassock(),
  deckSettle(),
  bolsters(),
  tuftedPad(),
]

const meets = (what: EdgeSetting['meets'], degrees = 0): EdgeSetting => ({
  meets: what,
  lean: degrees === 0 ? null : { by: 'angle', degrees },
  riseMm: 0,
})
const readings = (...mm: number[]) => ({ readings: mm.map((m) => ({ mm: m })) })

const clothNamed = (id: string) => DEMO_CLOTHS.find((c) => c.id === id)!
/** Cut from other cloths than the face. */
const withCloths = (job: PartJob, others: PartJob['cloth']['others']): PartJob => ({
  ...job,
  cloth: { ...job.cloth, others },
})
const built = (
  job: PartJob,
  kind: Construction['kind'],
  change: (makeUp: MakeUp) => Partial<MakeUp> = () => ({}),
): PartJob => {
  const usual = usualMakeUp(kind)
  return { ...job, makeUp: { ...usual, ...change(usual) } }
}

const gradeNamed = (name: string) => DEMO_GRADES.find((g) => g.name === name)!
const filledWith = (job: PartJob, change: (foam: FoamFilling) => FoamFilling): PartJob => setFoam('', change).apply(job)

function ticket(number: string, title: string, gradeName: string, clothId: string, seat: Seat): PartJob {
  const grade = gradeNamed(gradeName)
  const cloth = DEMO_CLOTHS.find((c) => c.id === clothId)!
  return {
    ...newPartJob({ ticket: number, title, units: 'mm', currency: 'EUR', book: FACTORY_BOOK, grade, cloth, seat }),
    customer: 'Skerrow Light Trust',
  }
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
  const job = ticket('SL-01', 'Watch room window seat', 'Gannet 30/140', 'lamp-room-ticking', {
    ...seat,
    edges: { far: meets('wall') },
  })
  return {
    ...job,
    makeUp: { ...job.makeUp, piping: { ...USUAL_PIPING, cut: 'bias' } },
    cloth: { ...job.cloth, match: { kind: 'matched', rule: { kind: 'band-at-mark', band: 3, markMm: 1820 } } },
  }
}

/** SL-03: T-shaped seats of four reading chairs in a pile cloth, wrapped in wadding. */
function readingChairs(): PartJob {
  const ear = { out: reading(62), deep: reading(148) }
  const seat = shapedSeat(
    { kind: 'eared', width: readings(610, 611), depth: readings(545, 544), left: ear, right: ear },
    110,
    { kind: 'singles', count: 4, mirrored: 0 },
  )
  const rounded = Object.fromEntries(
    ['near left', 'near right'].map((corner) => [corner, { kind: 'round' as const, radiusMm: 35 }]),
  )
  const job = ticket('SL-03', 'Reading chairs, seats', 'Fulmar 35/120', 'moss-loop', {
    ...seat,
    corners: rounded,
    old: {
      measured: { widthMm: 596, depthMm: 540, thicknessMm: 92 },
      label: { widthMm: 635, depthMm: 560, thicknessMm: 100 },
    },
  })
  return filledWith(job, (foam) => ({
    ...foam,
    load: { ...foam.load, use: 'lounge', base: 'webbing' },
    school: { kind: 'wrap-then-measure' },
    wadding: usualWadding(20),
  }))
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
    load: { ...foam.load, use: 'sleeping', base: 'slats', own: { contactM2: 0.4 } },
    school: { kind: 'full-block', thicknessExtraMm: 5 },
    layers: [...foam.layers, { grade: soft, thicknessMm: 25 }],
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
  return filledWith(withCloths(covered, { base: clothNamed('brine-mesh') }), (foam) => ({
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
  return filledWith(covered, (foam) => ({ ...foam, load: { ...foam.load, use: 'sleeping', exposure: 'damp' } }))
}

/** SL-03B: knife-edge backs of the reading chairs, fibre in a liner. */
function readingChairBacks(): PartJob {
  const job = ticket('SL-03B', 'Reading chairs, backs', 'Fulmar 35/120', 'moss-loop', {
    ...newSeat('singles', 560, 480, 140, 4),
    clearanceMm: 0,
  })
  const filling: PartJob['filling'] = {
    kind: 'loose-fibre',
    load: { ...job.filling.load, use: 'back' },
    boardMm: job.filling.boardMm,
    ...USUAL_FIBRE,
  }
  return { ...withCloths(built(job, 'knife-edge'), { liner: clothNamed('house-calico') }), filling }
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
    built(job, 'boxed', () => ({ construction: { kind: 'boxed', boxing: 'one-per-side' } })),
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
  const job = ticket('SL-09', 'Deck settle', 'Skua 30/150', 'storm-canvas', {
    ...newSeat('singles', 470, 455, 35, 1),
    clearanceMm: 0,
  })
  const covered = built(job, 'hinged-pair', ({ construction, trims }) => ({
    construction: { ...construction, backDepthMm: 530 } as Construction,
    trims: { ...trims, ties: USUAL_TIES },
  }))
  return filledWith(covered, (foam) => ({
    ...foam,
    load: { ...foam.load, use: 'bench', exposure: 'wet', base: 'slats' },
  }))
}

/** SL-10: two bolsters with piping of another cloth at both ends. */
function bolsters(): PartJob {
  const job = ticket('SL-10', 'Gallery bolsters', 'Fulmar 35/120', 'lamp-room-ticking', {
    ...newSeat('singles', 620, 190, 190, 2),
    clearanceMm: 0,
  })
  const covered = withCloths(
    built(job, 'bolster', () => ({ piping: { ...USUAL_PIPING, cordMm: 5, cut: 'bias' } })),
    { piping: clothNamed('moss-loop') },
  )
  return filledWith({ ...covered, cloth: { ...covered.cloth, match: { kind: 'none' } } }, (foam) => ({
    ...foam,
    load: { ...foam.load, use: 'back' },
    school: { kind: 'size-for-size' },
  }))
}

/** SL-10B: a bench pad with staggered buttons pulled into it. */
function tuftedPad(): PartJob {
  const job = ticket('SL-10B', 'Gallery bench pad', 'Gannet 36/180', 'ebb-linen', {
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
  return filledWith(covered, (foam) => ({ ...foam, load: { ...foam.load, use: 'bench' } }))
}
