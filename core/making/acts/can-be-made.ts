import { phrase } from '../../language/index.ts'
import { wholeId, type Seam, type Stretch } from '../../cover/index.ts'
import type { Act, Garment } from './act.ts'

/**
 * The sixth check: plays an order of acts on the covers themselves, whatever the acts say they need. What is sewn from
 * inside wants the cover wrong side out, both its edges still within reach; a join comes before the seam that runs
 * across its end; the opening is set open before the last seam; a way is left to turn it out; nothing is put into what
 * is not turned, has no way in, or is not sewn yet; a liner is shut before it goes into its cover. Empty when it can
 * be made.
 */
export function canBeMade(order: readonly Act[], garments: readonly Garment[]): readonly string[] {
  const faults: string[] = []
  const states = new Map(garments.map((g) => [g.thing, begun(g)]))
  const ready = new Set<string>()
  for (const { thing, does, step } of order) {
    const state = states.get(thing)
    const fault = (says: string) => faults.push(phrase`${step.title}: ${says}`)
    if (does.kind === 'prepare') {
      ready.add(thing)
      if (usedUp(thing, states)) fault('it is in its cover already')
    } else if (does.kind === 'cover-over') {
      if (!ready.has(does.body) && !isShut(states.get(does.body))) fault(phrase`there is no ${does.body} yet`)
      if (state && missing(state).length > 0) fault(phrase`seam ${missing(state)[0]!.letter} is not sewn yet`)
      const liner = states.get(`${thing}, liner`)
      if (liner && !isShut(liner)) fault('the liner that goes under it is not filled and shut yet')
      if (state) state.isTurned = true
    } else if (state) play(state, does, fault, states, ready)
  }
  for (const state of states.values()) {
    for (const seam of state.garment.seams)
      if (seam.pairs.length > 0 && !state.sewn.has(seam.letter))
        faults.push(phrase`${state.garment.thing}: seam ${seam.letter} is never sewn`)
    for (const pocket of state.garment.pockets)
      if (!state.filled.has(pocket)) faults.push(phrase`${state.garment.thing}: ${pocket} is never filled`)
      else if (!state.shut.has(pocket)) faults.push(phrase`${state.garment.thing}: ${pocket} is never closed`)
  }
  return faults
}

interface State {
  readonly garment: Garment
  readonly sewn: Set<string>
  readonly filled: Map<string, string>
  readonly shut: Set<string>
  isTurned: boolean
  isOpened: boolean
}

const begun = (garment: Garment): State => ({
  garment,
  sewn: new Set(),
  filled: new Map(),
  shut: new Set(),
  isTurned: false,
  isOpened: false,
})

function play(
  state: State,
  does: Exclude<Act['does'], { kind: 'prepare' | 'cover-over' }>,
  fault: (says: string) => void,
  states: ReadonlyMap<string, State>,
  ready: ReadonlySet<string>,
): void {
  const { garment, sewn } = state
  switch (does.kind) {
    case 'onto-flat': {
      if (state.isTurned) fault('the cover is turned out already')
      const shut = does.panels.filter((panel) => isEnclosed(state, panel))
      if (shut.length > 0) fault(phrase`${shut[0]!} is sewn in already and does not lie flat`)
      return
    }
    case 'seam': {
      const { seam } = does
      if (state.isTurned) fault('it is sewn from inside, but the cover is turned out already')
      if (sewn.has(seam.letter)) fault('it is sewn already')
      if (seam.kind === 'plate') {
        const end = garment.seams.find((s) => isSewnFlat(s) && !sewn.has(s.letter) && crosses(seam, s))
        if (end) fault(phrase`it runs across the end of seam ${end.letter}, which is not sewn yet`)
      }
      sewn.add(seam.letter)
      if (insideLeft(state).length === 0 && opensAgain(garment) && !state.isOpened)
        fault('it is the last seam from inside, and the closure is not open')
      return
    }
    case 'open':
      if (garment.seams.some((s) => s.kind === 'closure' && s.pairs.length > 0 && !sewn.has(s.letter)))
        fault('the closure is not sewn in yet')
      state.isOpened = true
      return
    case 'finish':
      if (state.isTurned) fault('the raw edges lie inside a cover that is turned out')
      return
    case 'turn': {
      if (state.isTurned) fault('it is turned out already')
      const [first] = insideLeft(state)
      if (first) fault(phrase`seam ${first.letter} is sewn from inside, and is not sewn yet`)
      if (!hasWay(state)) fault('no way is left to turn it out')
      state.isTurned = true
      return
    }
    case 'top-stitch':
      if (!state.isTurned) fault('it is stitched from the right side, but the cover is wrong side out')
      if (state.filled.size > 0) fault('the filling lies in the way')
      if (does.seam) sewn.add(does.seam.letter)
      return
    case 'fill': {
      if (!state.isTurned) fault('the cover is not turned out yet')
      if (!hasWay(state)) fault('no way is left to fill it')
      const divider = garment.seams.find((s) => s.kind === 'divider' && !sewn.has(s.letter))
      if (divider) fault(phrase`seam ${divider.letter} parts the pockets, and is not sewn yet`)
      const inner = states.get(does.with)
      if (inner && inner.garment.pockets.some((p) => !inner.shut.has(p)))
        fault(phrase`${does.with} is not filled and shut yet`)
      if (!inner && !ready.has(does.with)) fault(phrase`there is no ${does.with} yet`)
      state.filled.set(does.pocket, does.with)
      return
    }
    case 'shut':
      if (!state.filled.has(does.pocket)) fault('nothing is in it yet')
      if (does.seam) sewn.add(does.seam.letter)
      state.shut.add(does.pocket)
      return
    case 'button':
      if (state.filled.size === 0) fault('buttons go through the block, which is not in it yet')
      return
    case 'look':
      return
    default:
      return does satisfies never
  }
}

const isShut = (state: State | undefined): boolean =>
  state !== undefined && state.garment.pockets.every((p) => state.shut.has(p))

const usedUp = (body: string, states: ReadonlyMap<string, State>): boolean =>
  [...states.values()].some((s) => [...s.filled.values()].includes(body))

/** Seams from inside that are still to be sewn. */
const insideLeft = ({ garment, sewn }: State): readonly Seam[] =>
  garment.seams.filter((s) => s.pairs.length > 0 && s.kind !== 'final' && s.kind !== 'divider' && !sewn.has(s.letter))
const missing = ({ garment, sewn }: State): readonly Seam[] =>
  garment.seams.filter((s) => s.pairs.length > 0 && !sewn.has(s.letter))

const opensAgain = ({ cover, seams }: Garment): boolean =>
  seams.some(
    (s) => s.kind === 'closure' && cover.closures.some((c) => c.seam === s.letter && ZIPPED.has(c.choice.kind)),
  )
const ZIPPED: ReadonlySet<string> = new Set(['zip-gusset', 'zip-seam'])

/** Something opens, or something is not sewn yet. */
const hasWay = ({ garment, sewn }: State): boolean =>
  garment.seams.some((s) => s.kind === 'closure' || (s.pairs.length > 0 && !sewn.has(s.letter))) ||
  garment.cover.closures.some((c) => c.seam === null) ||
  garment.cover.panels.some(
    (p) =>
      garment.seams.some((s) => stretches(s).some((x) => x.panel === p.id)) &&
      p.edges.some((e) => e.treatment === 'hem' || e.treatment === 'lap'),
  )

/** Every edge of a panel is sewn to something: it no longer lies flat under the foot. */
function isEnclosed({ garment, sewn }: State, panel: string): boolean {
  // Pieces that are joined flat are one panel.
  const wholeOf = (id: string) => {
    const found = garment.cover.panels.find((p) => p.id === id)
    return found ? wholeId(found) : id
  }
  const own = wholeOf(panel)
  const round = garment.seams.filter((s) => {
    const wholes = stretches(s).map((x) => wholeOf(x.panel))
    return wholes.includes(own) && !(s.kind === 'join' && wholes.every((id) => id === own))
  })
  return round.length > 0 && round.every((s) => sewn.has(s.letter))
}

const isSewnFlat = ({ kind }: Seam): boolean => kind === 'join' || kind === 'corner' || kind === 'tuck'
const stretches = (seam: Seam): readonly Stretch[] => seam.pairs.flatMap((p) => [p.a, p.b])
const crosses = (seam: Seam, join: Seam): boolean =>
  stretches(join).some((end) => stretches(seam).some((s) => s.panel === end.panel && s.edge !== end.edge))
