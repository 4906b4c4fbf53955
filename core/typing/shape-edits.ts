import { phrase } from '../language/index.ts'
import type { CornerSetting, EdgeRole, EdgeSetting, Seat } from '../../contract/index.ts'
import { setReadings, setSeat } from '../job/index.ts'
import { ok, type Result } from '../result/index.ts'
import { footingOf, PLAIN_EDGE, shapeSeat, slotsOf } from '../seat/index.ts'
import { formatLength, formatLengthWithUnit, type LengthUnit } from '../units/index.ts'
import { allInLastUnit, readAngle, readLength, readPositive, readSizes, splitReadings } from './amounts.ts'
import { chain, edit, fail, type Answer, type OpenJob, type Reader, type TypingFailure } from './failure.ts'

/** Words that change the shape of the open job's seat. */
export const SHAPE_EDITS: Readonly<Record<string, Reader>> = {
  round: (rest, c) =>
    cornerEdit(rest, c, /^(\S+(?:\s+\d+\/\d+)?(?:\s*(?:mm|cm|in|"))?)\s*(.*)$/i, (size) =>
      chain(readPositive(size, 'radius', c.job.units, c.limits), (radiusMm) => ok({ kind: 'round', radiusMm })),
    ),
  cut: (rest, c) =>
    cornerEdit(rest, c, /^(.+?\s*[x×]\s*\S+(?:\s+\d+\/\d+)?)\s*(.*)$/i, (sizes) =>
      chain(
        readSizes(
          sizes,
          ['leg along the edge that arrives', 'leg along the edge that leaves'],
          'cut',
          'cut 210 x 330 far right',
          c.job.units,
          c.limits,
        ),
        ([arrivingMm, leavingMm]) => ok({ kind: 'cut', arrivingMm: arrivingMm!, leavingMm: leavingMm! }),
      ),
    ),
  square: (rest, c) => cornerEdit(rest === '' ? 'x all' : `x ${rest}`, c, /^(x)\s+(.*)$/, () => ok({ kind: 'square' })),
  bow: (rest, c) =>
    sizeOnEdge(
      rest,
      c,
      'rise',
      c.limits.longestMm,
      (mm) => ({ riseMm: mm }),
      (mm, edge) => `Edge ${edge} bowed by ${formatLengthWithUnit(mm, c.job.units)}`,
    ),
  overhang: (rest, c) =>
    sizeOnEdge(
      rest,
      c,
      'overhang',
      c.limits.mostOverhangMm,
      (mm) => ({ lean: mm === 0 ? null : { by: 'overhang', mm } }),
      (mm, edge) => `Top of edge ${edge} stands out ${formatLengthWithUnit(mm, c.job.units)}`,
    ),
  lean: (rest, c) => {
    const [, angle = '', name = ''] = /^(\S+)\s*(.*)$/.exec(rest) ?? []
    return chain(readAngle(angle, -c.limits.mostLeanDegrees, c.limits.mostLeanDegrees), (degrees) =>
      chain(edgeNamed(name, c.job.seat), (edge) =>
        setEdge(edge, { lean: degrees === 0 ? null : { by: 'angle', degrees } }, `Edge ${edge} leans ${degrees}°`),
      ),
    )
  },
  open: (rest, c) => roleOf('open', rest, c),
  wall: (rest, c) => roleOf('wall', rest, c),
  hinge: (rest, c) => roleOf('hinge', rest, c),
  hull: (rest, c) => roleOf('hull', rest, c),
  front: (rest, c) =>
    chain(edgeNamed(rest, c.job.seat), (edge) => edit(setSeat(`Front: edge ${edge}`, (s) => ({ ...s, front: edge })))),
  mirror: () => edit(setSeat('Mirrored', (s) => ({ ...s, mirrored: !s.mirrored }))),
  turn: (rest) =>
    chain(readAngle(rest, -180, 180), (turnDeg) => edit(setSeat(`Turned by ${turnDeg}°`, (s) => ({ ...s, turnDeg })))),
  clearance: (rest, c) =>
    chain(readLength(rest, 'clearance', c.job.units), (mm) => {
      if (mm < 0) return fail({ code: 'length', what: 'clearance', text: rest, why: 'negative' })
      return mm > c.limits.largestAllowanceMm
        ? fail({ code: 'length', what: 'clearance', text: rest, why: 'too-long' })
        : edit(setSeat(`Clearance ${formatLengthWithUnit(mm, c.job.units)}`, (s) => ({ ...s, clearanceMm: mm })))
    }),
  tape: (rest, c) => {
    const [, name = '', values = ''] = /^(\S+)\s*(.*)$/.exec(rest) ?? []
    return readingsInto(`tape ${name.replace('-', '–')}`, values, c)
  },
}

/** A dimension of the seat by the beginning of its name, and its readings. Null when no dimension is meant. */
export function readDimension(word: string, rest: string, context: OpenJob): Answer | null {
  const named = spokenSlot(word, context.job.seat)
  return named ? putReadings(named, word, rest, context) : null
}

/** The slot that a word for a dimension means on this seat, if it has such a one. */
export function spokenSlot(word: string, seat: Seat): string | undefined {
  const spoken = Object.hasOwn(SPOKEN, word) ? SPOKEN[word]! : []
  return spoken.find((slot) => slotsOf(seat).some((s) => s.slot === slot))
}

/** The words for dimensions, of whatever shape. */
export const dimensionWords = (): readonly string[] => Object.keys(SPOKEN)

/** What makers say, and the slots it may mean on one shape or another. Length and width run along the front. */
const SPOKEN: Readonly<Record<string, readonly string[]>> = {
  length: ['width', 'length', 'near', 'lengthA', 'across'],
  width: ['width', 'near', 'across'],
  diameter: ['across'],
  across: ['across'],
  depth: ['depth', 'depthA'],
  thickness: ['thickness'],
  near: ['near', 'width'],
  far: ['far'],
  radius: ['radius'],
  chord: ['chord'],
  rise: ['rise'],
  head: ['head'],
  foot: ['foot'],
}

function readingsInto(label: string, values: string, context: OpenJob): Answer {
  const slots = slotsOf(context.job.seat)
  const slot = slots.find((s) => s.label.toLowerCase() === label.toLowerCase())
  return slot
    ? putReadings(slot.slot, label, values, context)
    : fail({ code: 'which', what: 'dimension', text: label, found: slots.map((s) => s.label) })
}

function putReadings(slot: string, what: string, rest: string, { job, limits }: OpenJob): Answer {
  const found: { mm: number }[] = []
  for (const text of allInLastUnit(splitReadings(rest))) {
    const length = readPositive(text, what, job.units, limits)
    if (!length.ok) return length
    found.push({ mm: length.value })
  }
  if (found.length > 20) return fail({ code: 'count', text: `${found.length} readings` })
  return edit(
    setReadings(slot, found, phrase`${what} ${found.map((r) => formatLengthWithUnit(r.mm, job.units)).join(', ')} net`),
  )
}

/** Sets one thing about an edge and leaves the others. */
export const withEdge = (seat: Seat, edge: string, change: Partial<EdgeSetting>): Seat => ({
  ...seat,
  edges: { ...seat.edges, [edge]: { ...(seat.edges[edge] ?? PLAIN_EDGE), ...change } },
})

const setEdge = (edge: string, change: Partial<EdgeSetting>, says: string): Answer =>
  edit(setSeat(says, (seat) => withEdge(seat, edge, change)))

const roleOf = (meets: EdgeRole, rest: string, { job }: OpenJob): Answer =>
  chain(edgeNamed(rest, job.seat), (edge) => setEdge(edge, { meets }, `Edge ${edge}: ${meets}`))

function sizeOnEdge(
  rest: string,
  { job }: OpenJob,
  what: string,
  mostMm: number,
  change: (mm: number) => Partial<EdgeSetting>,
  says: (mm: number, edge: string) => string,
): Answer {
  const [, size = '', name = ''] = /^(-?\S+(?:\s+\d+\/\d+)?)\s*(.*)$/.exec(rest) ?? []
  return chain(readLength(size, what, job.units), (mm) =>
    Math.abs(mm) > mostMm
      ? fail({ code: 'length', what, text: size, why: 'too-long' })
      : chain(edgeNamed(name, job.seat), (edge) => setEdge(edge, change(mm), says(mm, edge))),
  )
}

function cornerEdit(
  rest: string,
  { job }: OpenJob,
  form: RegExp,
  read: (size: string) => Result<CornerSetting, TypingFailure>,
): Answer {
  const [, size = rest, name = ''] = form.exec(rest) ?? []
  return chain(read(size), (setting) =>
    chain(cornersNamed(name, job.seat), (corners) =>
      edit(
        setSeat(
          phrase`${cornerWords(corners, namesOf(job.seat).corners.length)}: ${settingWords(setting, job.units)}`,
          (seat) => corners.reduce((s, c) => withCorner(s, c, setting), seat),
        ),
      ),
    ),
  )
}

const cornerWords = (corners: readonly string[], of: number): string =>
  corners.length === 1
    ? `Corner ${corners[0]!}`
    : corners.length === of
      ? 'All corners'
      : `Corners ${corners.join(', ')}`

function settingWords(setting: CornerSetting, units: LengthUnit): string {
  switch (setting.kind) {
    case 'square':
      return 'square'
    case 'round':
      return phrase`rounded ${formatLengthWithUnit(setting.radiusMm, units)}`
    case 'cut':
      return phrase`cut off ${formatLength(setting.arrivingMm, units)} x ${formatLengthWithUnit(setting.leavingMm, units)}`
    default:
      return setting satisfies never
  }
}

/** A square corner is the usual one and is not noted. */
export function withCorner(seat: Seat, corner: string, setting: CornerSetting): Seat {
  const { [corner]: _, ...others } = seat.corners
  return { ...seat, corners: setting.kind === 'square' ? others : { ...others, [corner]: setting } }
}

/** An edge by its own name, or by the side of the cushion it makes up alone. */
function edgeNamed(text: string, seat: Seat): Result<string, TypingFailure> {
  const shaped = shapeSeat(seat)
  const edges = shaped.ok ? shaped.value.bare.edges : []
  const names = shaped.ok ? edges.map((e) => e.name) : namesOf(seat).edges
  const wanted = text.trim().toLowerCase()
  const byName =
    names.find((n) => n.toLowerCase() === wanted) ??
    (wanted === 'hull' && names.some((n) => n.startsWith('hull ')) ? 'hull' : undefined)
  const bySide = edges.filter((e) => e.side === wanted)
  if (byName) return ok(byName)
  return bySide.length === 1 ? ok(bySide[0]!.name) : fail({ code: 'which', what: 'edge', text, found: names })
}

function cornersNamed(text: string, seat: Seat): Result<readonly string[], TypingFailure> {
  const names = namesOf(seat).corners
  const wanted = text
    .trim()
    .toLowerCase()
    .replace(/\b(?:front|back)\b/g, (side) => SIDE_OF_CORNER[side]!)
  if (wanted === '' || wanted === 'all') return ok(names)
  const exact = names.filter((n) => n.toLowerCase() === wanted)
  const onSide = names.filter((n) => n.toLowerCase().split(' ').includes(wanted))
  const found = exact.length > 0 ? exact : onSide
  return found.length > 0 ? ok(found) : fail({ code: 'which', what: 'corner', text, found: names })
}

/** Front and back are near and far in the names of corners. */
const SIDE_OF_CORNER: Readonly<Record<string, string>> = { front: 'near', back: 'far' }

function namesOf(seat: Seat): { readonly edges: readonly string[]; readonly corners: readonly string[] } {
  const footing = footingOf(seat.footprint)
  return footing.ok ? footing.value : { edges: [], corners: [] }
}
