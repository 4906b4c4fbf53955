import type { Filling, Job, JobCard } from '../../contract/index.ts'
import { LOOSE_WORDS, mainGrade, sitterOn } from '../filling/index.ts'
import { firstPart, partName } from '../job/index.ts'
import { buyingList } from '../lists/index.ts'
import { recordOf, unitsOf, workOrder, type Step } from '../making/index.ts'
import { flatten, type Outline } from '../outline/index.ts'
import { beforeWash } from '../pattern/index.ts'
import { planJob } from '../plan/index.ts'
import type { WorkedPlan } from '../planned/index.ts'
import { held } from '../keyed/index.ts'
import { takenBy } from '../what-if/index.ts'

/** The contract's `CARD_VERSION`, of which this room may take types only: a test holds both together. */
const VERSION = 6

/** The outline on a ticket is small: coarse arcs will do. */
const COARSE_MM = 12
const MOST_CORNERS = 60

/** What lists, calendar, stock and learning need of a job. */
export function jobCard(job: Job): JobCard {
  const plan = planJob(job)
  const cushions = plan.parts.flatMap((p) => p.cushions ?? [])
  return {
    ...plainCard(job, 'whole'),
    cushions: cushions.reduce((sum, c) => sum + c.count, 0),
    doubts: plan.warnings.filter((w) => w.level === 'stop' || w.level === 'warning').length,
    outline: cushions[0] ? small(cushions[0].seat.bare.outline) : [],
    ...(plan.kind === 'worked' ? workedPart(job, plan) : NOTHING_WORKED),
  }
}

/**
 * What a job says of itself before it is planned, over what was planned of it `before`; for good where planning takes
 * too long.
 */
export function plainCard(
  job: Job,
  kind: 'whole' | 'under-way' | 'too-long',
  before: JobCard = unreadableCard(''),
): JobCard {
  const { terms, fitting } = job
  const first = firstPart(job)
  const { cloth } = first
  return {
    ...before,
    version: VERSION,
    worked: { kind },
    furniture: terms.furniture,
    stage: terms.stage,
    archivedOn: terms.archivedOn,
    dueOn: terms.dueOn,
    orderedOn: terms.orderedOn,
    notBefore: terms.notBefore,
    makeUp: first.makeUp.construction.kind,
    parts: job.parts.map((p) => partName(p)),
    cloth: { id: cloth.cloth.id, name: cloth.cloth.name, colour: cloth.cloth.ground },
    foam: foamName(first.filling),
    stockTaken: job.making.stockTakenOn !== null,
    lesson: fitting.lesson,
    followUps: fitting.followUps.flatMap((f) => (f.doneOn === null ? [{ kind: f.kind, day: f.day }] : [])),
  }
}

/** What a job is named by on the shelf. */
function foamName(filling: Filling): string {
  switch (filling.kind) {
    case 'foam':
      return mainGrade(filling.layers).name
    case 'loose-fibre':
      return LOOSE_WORDS[filling.of]
    case 'insert':
      return filling.name || 'ready-made insert'
    default:
      return filling satisfies never
  }
}

/** The card of a document that cannot be read: it stays on the shelf by its name, and hides nothing else. */
export const unreadableCard = (why: string): JobCard => ({ ...NOTHING_KNOWN, worked: { kind: 'unreadable', why } })

type WorkedPart = Pick<JobCard, 'steps' | 'left' | 'buys' | 'needs' | 'fits' | 'times' | 'trimmed' | 'used'>

const NOTHING_WORKED: WorkedPart = {
  steps: { done: 0, of: 0 },
  left: [],
  buys: { foam: false, cloth: false },
  needs: { trims: [], cloths: [] },
  fits: [],
  times: [],
  trimmed: [],
  used: [],
}

function workedPart(job: Job, plan: WorkedPlan): WorkedPart {
  const steps = workOrder(job, plan)
  const isDone = (s: Step) => recordOf(job, s.id).doneAt !== null
  const laid = plan.cloth.lays.map(({ cloth }) => {
    const kept = held(job.lays, cloth.id)
    const { laidMm, share } = kept ? takenBy(kept) : NOTHING_TAKEN
    return { cloth, length: { laidMm, boundMm: laidMm, share }, mm: laidMm * share }
  })
  const buying = buyingList(
    job,
    plan,
    laid.map(({ length }) => length),
  )
  return {
    steps: { done: steps.filter(isDone).length, of: steps.length },
    left: merged(
      steps
        .filter((s) => !isDone(s))
        .flatMap((s) =>
          s.work.map((w) => ({ part: s.part, resource: s.resource, kind: w.kind, units: unitsOf(w), cures: s.cures })),
        ),
    ),
    buys: {
      foam: plan.cutting?.groups.some((g) => g.buy !== null) ?? true,
      cloth: laid.some(({ cloth }) => cloth.supply.kind === 'to-buy'),
    },
    needs: {
      trims: summed(buying.lines.flatMap((l) => (l.trim ? [{ use: l.trim.use, amount: l.trim.needs }] : []))),
      cloths: laid.flatMap(({ cloth, mm }) =>
        cloth.supply.kind !== 'to-buy' && mm > 0 ? [{ id: cloth.id, mm: beforeWash(cloth, mm) }] : [],
      ),
    },
    fits: fitsOf(job, plan),
    times: steps.flatMap((s) => {
      const { doneAt, workedS, doneBy } = recordOf(job, s.id)
      return doneAt === null || workedS < LEAST_WORKED_S || s.work.length === 0
        ? []
        : [{ work: s.work.map((w) => ({ kind: w.kind, units: unitsOf(w) })), workedMin: workedS / 60, by: doneBy }]
    }),
    trimmed: steps.flatMap((s) => trimmedIn(job, plan, s)),
    used: laid.flatMap(({ cloth, mm }) => {
      const usedMm = held(job.fitting.clothUsedMm, cloth.id)
      return usedMm && mm > 0 ? [{ clothId: cloth.id, cloth: cloth.name, laidMm: mm, usedMm }] : []
    }),
  }
}

const NOTHING_TAKEN = { laidMm: 0, share: 1 }

const NOTHING_KNOWN: Omit<JobCard, 'worked'> = {
  version: VERSION,
  furniture: '',
  stage: 'asked',
  archivedOn: null,
  dueOn: null,
  orderedOn: null,
  notBefore: null,
  makeUp: '',
  parts: [],
  cloth: { id: '', name: '', colour: '#cccccc' },
  foam: '',
  cushions: 0,
  doubts: 0,
  outline: [],
  stockTaken: false,
  lesson: '',
  followUps: [],
  ...NOTHING_WORKED,
}

/** A timer that ran for less was a slip of the finger. */
const LEAST_WORKED_S = 20

function fitsOf(job: Job, plan: WorkedPlan): JobCard['fits'] {
  return Object.entries(job.fitting.fits).flatMap(
    ([cushion, { widthMm, depthMm, thicknessMm, verdict, leftAbove }]) => {
      const own = plan.worked.find((p) => cushion.startsWith(p.part.letter))
      const place = own?.cushions.inOrder[Number(cushion.slice(1)) - 1]
      if (!own || !place) return []
      const { cover, filling } = own.designs[place.design]!
      const { width, depth, thickness } = cover.solid
      const foam =
        filling.kind === 'foam'
          ? { firmness: filling.firmness, fitShare: (filling.fit.across.value + filling.fit.frontToBack.value) / 2 }
          : { firmness: null, fitShare: null }
      return [
        {
          cushion: `${own.prefix}${cushion.slice(1)}`,
          ...foam,
          planned: { widthMm: width.value, depthMm: depth.value, thicknessMm: thickness.value },
          measured: { widthMm, depthMm, thicknessMm },
          verdict,
          sat: leftAbove && filling.kind === 'foam' ? sitterOn(filling, leftAbove, own.part.filling.load) : null,
        },
      ]
    },
  )
}

/** What the stop between the two ends of a cover noted: of what was left there then, so much came off. */
function trimmedIn(job: Job, plan: WorkedPlan, { id, measures }: Step): JobCard['trimmed'] {
  const { measuredMm, ofMm } = recordOf(job, id)
  if (measures?.what !== 'trimmed-off' || measuredMm === null) return []
  const own = plan.worked.find((p) => p.part.letter === measures.letter)
  if (!own) return []
  const { makeUp, cloth } = own.part
  return [
    {
      makeUp: makeUp.construction.kind,
      clothId: cloth.cloth.id,
      cloth: cloth.cloth.name,
      leftMm: ofMm ?? measures.plannedMm,
      trimmedMm: measuredMm,
    },
  ]
}

/** One line for each part, place and kind of work. */
function merged(lines: JobCard['left']): JobCard['left'] {
  const found = new Map<string, JobCard['left'][number]>()
  for (const l of lines) {
    const key = `${l.part} ${l.resource} ${l.kind}`
    const own = found.get(key)
    found.set(key, own ? { ...own, units: own.units + l.units, cures: own.cures || l.cures } : l)
  }
  return [...found.values()]
}

function summed(lines: JobCard['needs']['trims']): JobCard['needs']['trims'] {
  const uses = [...new Set(lines.map((l) => l.use))]
  return uses.map((use) => ({ use, amount: lines.filter((l) => l.use === use).reduce((sum, l) => sum + l.amount, 0) }))
}

/** Corners in turn, x and y, whole millimetres. */
function small(outline: Outline): number[] {
  const points = flatten(outline, COARSE_MM)
  const step = Math.ceil(points.length / MOST_CORNERS)
  return points.filter((_, i) => i % step === 0).flatMap((p) => [Math.round(p.x), Math.round(p.y)])
}
