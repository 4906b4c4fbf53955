import type { AllowanceBook, Cloth, Dimension, Grade, Job, Piping, Seat } from '../../contract/index.ts'
import { newSeat, setAllowance, setCloth, setGrade, setReadings, setSeat, type DimensionName, type Edit } from '../job/index.ts'
import { err, ok, type Result } from '../result/index.ts'
import { formatLengthWithUnit, isInch, parseLength, type LengthUnit } from '../units/index.ts'
import { facing } from '../seat/index.ts'

/** What a typed line can refer to. `job` is null on the shelf, where only new jobs make sense. */
export interface TypingContext {
  readonly job: Job | null
  readonly units: LengthUnit
  readonly grades: readonly Grade[]
  readonly cloths: readonly Cloth[]
  readonly limits: TypingLimits
}

/** The most that a job file takes. */
export interface TypingLimits {
  readonly longestMm: number
  readonly largestAllowanceMm: number
  readonly mostCushions: number
}

export type Typed =
  /** `units`: how the sizes were said, which a new job goes on with. */
  | { readonly kind: 'seat'; readonly seat: Seat; readonly units: LengthUnit; readonly says: string }
  | { readonly kind: 'edit'; readonly edit: Edit }

export type TypingFailure =
  | { readonly code: 'empty' }
  | { readonly code: 'unknown-word'; readonly word: string }
  | { readonly code: 'wants-job'; readonly word: string }
  | { readonly code: 'sizes'; readonly word: string; readonly found: number }
  | { readonly code: 'length'; readonly what: string; readonly text: string; readonly why: 'not-a-length' | 'division-by-zero' | 'empty' | 'not-positive' | 'too-long' | 'negative' }
  | { readonly code: 'count'; readonly text: string }
  | { readonly code: 'only-bench'; readonly word: string }
  | { readonly code: 'choice'; readonly word: string; readonly text: string; readonly choices: readonly string[] }
  | { readonly code: 'which'; readonly what: 'grade' | 'cloth'; readonly text: string; readonly found: readonly string[] }

type Answer = Result<Typed, TypingFailure>
type OpenJob = TypingContext & { readonly job: Job }
type Reader = (rest: string, context: OpenJob) => Answer

/** Reads one typed line into a seat for a job, or a change of the open job, said back in words. */
export function readTyped(line: string, context: TypingContext): Answer {
  const text = line.trim().replaceAll('−', '-')
  const [, word = '', rest = ''] = /^(\S+)\s*(.*)$/.exec(text) ?? []
  const name = word.toLowerCase()
  if (name === '') return err({ code: 'empty' })
  if (name === 'bench' || name === 'seat') return readSeat(name, rest, context)
  const reader = READERS[name]
  if (!reader) return err({ code: 'unknown-word', word })
  const { job } = context
  return job ? reader(rest, { ...context, job }) : err({ code: 'wants-job', word })
}

const READERS: Record<string, Reader> = {
  length: (rest, c) => readings(facing(c.job.seat.front).across, 'length', rest, c),
  width: (rest, c) => readings(facing(c.job.seat.front).across, 'width', rest, c),
  depth: (rest, c) => readings(facing(c.job.seat.front).across === 'width' ? 'depth' : 'width', 'depth', rest, c),
  thickness: (rest, c) => readings('thickness', 'thickness', rest, c),
  gap: (rest, c) => gap('gap', 1, rest, c),
  squeeze: (rest, c) => gap('squeeze', -1, rest, c),
  in: (rest, c) => chain(readCount(rest, c.limits), (n) => edit(setSeat(`${n} cushions`, (seat) => ({ ...seat, count: n })))),
  sa: (rest, c) => allowance('seamMm', 'Seam allowance', rest, c),
  pipe: (rest, c) => readPiping(rest, c),
  foam: (rest, c) => chain(findNamed('grade', rest, c.grades), (grade) => edit(setGrade(grade))),
  cloth: (rest, c) => chain(findNamed('cloth', rest, c.cloths), (cloth) => edit(setCloth(cloth))),
  railroad: () => edit({ says: 'Railroaded', apply: (job) => ({ ...job, cloth: { ...job.cloth, direction: 'railroaded' } }) }),
  up: () => edit({ says: 'Up the roll', apply: (job) => ({ ...job, cloth: { ...job.cloth, direction: 'up-the-roll' } }) }),
  units: (rest) => readUnits(rest),
}

function readSeat(word: 'bench' | 'seat', rest: string, context: TypingContext): Answer {
  const [, sizes = rest, times] = /^(.*?)\s+(?:in|times)\s+(\S+)$/i.exec(rest) ?? []
  const texts = sizes.split(/\s*[x×*]\s*/i)
  if (texts.length !== 3) return err({ code: 'sizes', word, found: texts.filter((t) => t !== '').length })
  const units = saidUnits(sizes, context.job?.units ?? context.units)
  const values: number[] = []
  for (const [i, what] of [word === 'bench' ? 'length' : 'width', 'depth', 'thickness'].entries()) {
    const length = readPositive(texts[i]!, what, units, context.limits)
    if (!length.ok) return length
    values.push(length.value)
  }
  const [w, d, t] = values as [number, number, number]
  return chain(times === undefined ? ok(1) : readCount(times, context.limits), (count) => {
    const said = [w, d, t].map((mm) => formatLengthWithUnit(mm, units)).join(' x ')
    return ok({ kind: 'seat', units, seat: newSeat(word === 'bench' ? 'bench' : 'singles', w, d, t, count), says: word === 'bench' ? `Bench ${said} net, in ${count}` : `${count} of ${said} net` })
  })
}

/** Nobody says fractions of a millimetre: a bare fraction, or inches after the last size, makes the line one in inches. */
function saidUnits(sizes: string, units: LengthUnit): LengthUnit {
  if (isInch(units)) return /\d\s*(mm|cm|m)$/i.test(sizes.trim()) ? 'mm' : units
  if (/\d\s*(in|inch|inches|")$/i.test(sizes.trim())) return 'inch-8'
  return /\d\/\d+(?!\d)(?!\s*(mm|cm|m)\b)/i.test(sizes) && !/\d\s*(mm|cm|m)\b/i.test(sizes) && !/\d\/\d+\s*(in|inch|inches|"|ft|')/i.test(sizes) ? 'inch-8' : units
}

function readings(name: DimensionName, what: string, rest: string, { job, limits }: OpenJob): Answer {
  const texts = splitReadings(rest)
  const found: { mm: number }[] = []
  for (const text of texts) {
    const length = readPositive(text, what, job.units, limits)
    if (!length.ok) return length
    found.push({ mm: length.value })
  }
  if (found.length > 20) return err({ code: 'count', text: `${found.length} readings` })
  return edit(setReadings(name, found as Dimension['readings'], `${what} ${found.map((r) => formatLengthWithUnit(r.mm, job.units)).join(', ')} net`))
}

/** Commas part readings; spaces do too, but not within `18 1/2`, `60 cm` or `4' 2"`. */
function splitReadings(rest: string): readonly string[] {
  if (/[,;]/.test(rest) && !/\d,\d/.test(rest)) return rest.split(/\s*[,;]\s*/)
  return rest.match(/\d+(?:\s+|-)\d+\/\d+\S*|\S+(?:\s+(?:mm|cm|m|in|inch|inches|ft)\b)?/gi) ?? ['']
}

function gap(word: 'gap' | 'squeeze', sign: 1 | -1, rest: string, { job }: OpenJob): Answer {
  if (job.seat.kind !== 'bench') return err({ code: 'only-bench', word })
  return chain(readLength(rest, word, job.units), (mm) => {
    const gapMm = sign * mm
    if (gapMm < -100 || gapMm > 1000) return err({ code: 'length', what: word, text: rest, why: 'too-long' })
    return edit(setSeat(gapMm < 0 ? `Squeezed by ${formatLengthWithUnit(-gapMm, job.units)}` : `Gap ${formatLengthWithUnit(gapMm, job.units)}`, (seat) => (seat.kind === 'bench' ? { ...seat, gapMm } : seat)))
  })
}

function allowance(name: keyof AllowanceBook, label: string, rest: string, { job, limits }: OpenJob): Answer {
  return chain(readLength(rest, label.toLowerCase(), job.units), (mm) => {
    if (mm < 0) return err({ code: 'length', what: label.toLowerCase(), text: rest, why: 'negative' })
    if (mm > limits.largestAllowanceMm) return err({ code: 'length', what: label.toLowerCase(), text: rest, why: 'too-long' })
    return edit(setAllowance(name, mm, `${label} ${formatLengthWithUnit(mm, job.units)}`))
  })
}

function readPiping(rest: string, { job, limits }: OpenJob): Answer {
  const [rows = '', ...more] = rest.toLowerCase().split(/\s+/)
  if (rows !== 'none' && rows !== 'top' && rows !== 'both') return err({ code: 'choice', word: 'pipe', text: rows, choices: ['none', 'top', 'both'] })
  if (rows === 'none') return edit({ says: 'No piping', apply: (j) => ({ ...j, makeUp: { ...j.makeUp, piping: { rows } } }) })
  const before = job.makeUp.piping
  let choice: Piping = before.rows === 'none' ? { rows, cordMm: 5, cut: 'across' } : { ...before, rows }
  const words = more.join(' ')
  const cut = /\b(across|along|bias)\b/.exec(words)?.[1]
  if (cut) choice = { ...choice, cut: cut as typeof choice.cut }
  const cord = /\bcord\s+(.+?)(?=\s+(?:across|along|bias)\b|$)/.exec(words)
  if (cord) {
    const mm = readPositive(cord[1]!, 'cord', job.units, limits)
    if (!mm.ok) return mm
    if (mm.value > 40) return err({ code: 'length', what: 'cord', text: cord[1]!, why: 'too-long' })
    choice = { ...choice, cordMm: mm.value }
  }
  const piping = choice
  return edit({ says: `Piping on ${rows}, cord ${formatLengthWithUnit(piping.cordMm, job.units)}, ${piping.cut}`, apply: (j) => ({ ...j, makeUp: { ...j.makeUp, piping } }) })
}

function readUnits(rest: string): Answer {
  const units = ({ mm: 'mm', cm: 'cm', in: 'inch-8', in8: 'inch-8', in16: 'inch-16' } as const)[rest.toLowerCase().trim()]
  if (!units) return err({ code: 'choice', word: 'units', text: rest, choices: ['mm', 'cm', 'in', 'in16'] })
  return edit({ says: `Lengths in ${rest}`, apply: (job) => ({ ...job, units }) })
}

/** All words must stand in the name, in any order; one match is wanted. */
function findNamed<T extends { readonly name: string }>(what: 'grade' | 'cloth', text: string, among: readonly T[]): Result<T, TypingFailure> {
  const words = text.toLowerCase().split(/\s+/).filter((w) => w !== '')
  const found = words.length === 0 ? [] : among.filter((item) => words.every((w) => item.name.toLowerCase().includes(w)))
  return found.length === 1 ? ok(found[0]!) : err({ code: 'which', what, text, found: (found.length > 0 ? found : among).map((f) => f.name) })
}

function readLength(text: string, what: string, units: LengthUnit): Result<number, TypingFailure> {
  const length = parseLength(text, units)
  return length.ok ? ok(length.value.mm) : err({ code: 'length', what, text, why: length.error.code })
}

function readPositive(text: string, what: string, units: LengthUnit, limits: TypingLimits): Result<number, TypingFailure> {
  return chain(readLength(text, what, units), (mm) => {
    if (mm <= 0) return err({ code: 'length', what, text, why: 'not-positive' })
    return mm > limits.longestMm ? err({ code: 'length', what, text, why: 'too-long' }) : ok(mm)
  })
}

function readCount(text: string, limits: TypingLimits): Result<number, TypingFailure> {
  const n = Number(text)
  return Number.isInteger(n) && n >= 1 && n <= limits.mostCushions ? ok(n) : err({ code: 'count', text })
}

const edit = (e: Edit): Answer => ok({ kind: 'edit', edit: e })

function chain<T, U, E>(result: Result<T, E>, next: (value: T) => Result<U, E>): Result<U, E> {
  return result.ok ? next(result.value) : result
}
