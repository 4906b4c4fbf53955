import type { EdgeSetting, FoamFilling, Job, Seat } from '../../contract/index.ts'
import { usualWadding } from '../filling/index.ts'
import { newJob, reading, setFoam, shapedSeat } from '../job/index.ts'
import { USUAL_CLEARANCE_MM } from '../seat/index.ts'
import { DEMO_CLOTHS } from './demo-cloths.ts'
import { DEMO_GRADES } from './demo-grades.ts'
import { keepersBench } from './demo-job.ts'
import { FACTORY_BOOK } from './factory-book.ts'

/** The tickets of the demo shop that are measured so far, in the order of their numbers. */
export const demoJobs = (): readonly Job[] => [watchRoom(), keepersBench(), readingChairs(), bunks(), lockerLids(), forwardBerth()]

const meets = (what: EdgeSetting['meets'], degrees = 0): EdgeSetting => ({ meets: what, lean: degrees === 0 ? null : { by: 'angle', degrees }, riseMm: 0 })
const readings = (...mm: number[]) => ({ readings: mm.map((m) => ({ mm: m })) })

const gradeNamed = (name: string) => DEMO_GRADES.find((g) => g.name === name)!
const filledWith = (job: Job, change: (foam: FoamFilling) => FoamFilling): Job => setFoam('', change).apply(job)

function ticket(number: string, title: string, gradeName: string, clothId: string, seat: Seat): Job {
  const grade = gradeNamed(gradeName)
  const cloth = DEMO_CLOTHS.find((c) => c.id === clothId)!
  return { ...newJob({ ticket: number, title, units: 'mm', currency: 'EUR', book: FACTORY_BOOK, grade, cloth, seat }), customer: 'Skerrow Light Trust' }
}

/** SL-01: a bench along the round wall in five, its stripe running on across all and set by a mark on the panelling. */
function watchRoom(): Job {
  const seat = shapedSeat({ kind: 'ring', at: 'inner', curve: { by: 'radius', radius: reading(1870) }, depth: readings(520, 521, 520), extent: { by: 'length', length: readings(3640, 3638, 3641) } }, 90, { kind: 'run', count: 5, gapMm: 0, cuts: 'radial' })
  const job = ticket('SL-01', 'Watch room window seat', 'Gannet 30/140', 'lamp-room-ticking', { ...seat, edges: { far: meets('wall') } })
  return { ...job, makeUp: { kind: 'boxed', boxing: 'one-per-side', piping: { rows: 'both', cordMm: 5, cut: 'bias' } }, cloth: { ...job.cloth, match: { kind: 'matched', rule: { kind: 'band-at-mark', band: 3, markMm: 1820 } } } }
}

/** SL-03: T-shaped seats of four reading chairs in a pile cloth, wrapped in wadding. */
function readingChairs(): Job {
  const ear = { out: reading(62), deep: reading(148) }
  const seat = shapedSeat({ kind: 'eared', width: readings(610, 611), depth: readings(545, 544), left: ear, right: ear }, 110, { kind: 'singles', count: 4, mirrored: 0 })
  const rounded = Object.fromEntries(['near left', 'near right'].map((corner) => [corner, { kind: 'round' as const, radiusMm: 35 }]))
  const job = ticket('SL-03', 'Reading chairs, seats', 'Fulmar 35/120', 'moss-loop', { ...seat, corners: rounded, old: { measured: { widthMm: 596, depthMm: 540, thicknessMm: 92 }, label: { widthMm: 635, depthMm: 560, thicknessMm: 100 } } })
  return filledWith(job, (foam) => ({ ...foam, load: { ...foam.load, use: 'lounge', base: 'webbing' }, school: { kind: 'wrap-then-measure' }, wadding: usualWadding(20) }))
}

/** SL-04: three bunk mattresses with one corner cut off by the stair. */
function bunks(): Job {
  const seat = shapedSeat({ kind: 'rectangle', width: readings(1905, 1906, 1904), depth: readings(735, 735), rising: reading(2042), falling: reading(2041) }, 120, { kind: 'singles', count: 3, mirrored: 0 })
  const job = ticket('SL-04', 'Bunks', 'Gannet 36/180', 'ebb-linen', {
    ...seat,
    edges: { far: meets('wall'), left: meets('wall'), right: meets('wall') },
    corners: { 'far right': { kind: 'cut', arrivingMm: 210, leavingMm: 330 } },
  })
  const soft = gradeNamed('Eider 50/60')
  const railroaded: Job = { ...job, cloth: { ...job.cloth, direction: 'railroaded' } }
  return filledWith(railroaded, (foam) => ({ ...foam, load: { ...foam.load, use: 'sleeping', base: 'slats', own: { contactM2: 0.4 } }, school: { kind: 'full-block', thicknessExtraMm: 5 }, layers: [...foam.layers, { grade: soft, thicknessMm: 25 }] }))
}

/** SL-05: lids of the cockpit lockers, port and starboard, hinged along the side that tapers. */
function lockerLids(): Job {
  const seat = shapedSeat({ kind: 'taper', near: reading(402), far: reading(318), depth: readings(1124, 1125), offset: { kind: 'left', mm: 0 }, rising: null, falling: null }, 60, { kind: 'singles', count: 1, mirrored: 1 })
  const job = ticket('SL-05', 'Kittiwake cockpit, locker lids', 'Auk 33/400', 'hull-vinyl', { ...seat, front: 'left', edges: { right: meets('hinge') }, clearanceMm: USUAL_CLEARANCE_MM.aboard })
  return filledWith(job, (foam) => ({ ...foam, load: { ...foam.load, use: 'cockpit', exposure: 'wet' }, boardMm: { now: 9, before: 9 } }))
}

/** SL-06: two mirrored berth halves against a hull that leans out by 24°. */
function forwardBerth(): Job {
  const seat = shapedSeat({ kind: 'berth', length: readings(1860, 1858), head: reading(640), foot: reading(215), stations: [], hull: 'straight' }, 100, { kind: 'singles', count: 1, mirrored: 1 })
  const job = ticket('SL-06', 'Kittiwake forward berth', 'Skua 30/150', 'storm-canvas', { ...seat, edges: { hull: meets('hull', 24) }, clearanceMm: USUAL_CLEARANCE_MM.aboard })
  return filledWith(job, (foam) => ({ ...foam, load: { ...foam.load, use: 'sleeping', exposure: 'damp' } }))
}
