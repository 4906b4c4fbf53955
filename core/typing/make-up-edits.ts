import type { Closure, Construction, Piping } from '../../contract/index.ts'
import { CLOSURES, CONSTRUCTIONS, MAKE_UPS, USUAL_BUTTONS } from '../cover/index.ts'
import { USUAL_LINER } from '../filling/index.ts'
import { setClosure, setConstruction, setMakeUp, USUAL_PIPING } from '../job/index.ts'
import { ok } from '../result/index.ts'
import { SIDES } from '../seat/index.ts'
import { formatLengthWithUnit } from '../units/index.ts'
import { readPositive } from './amounts.ts'
import { chain, edit, fail, type Answer, type OpenJob, type Reader } from './failure.ts'

const ROWS = ['top', 'bottom', 'both'] as const

/** Words that change how the cover is built, closed and piped. */
export const MAKE_UP_EDITS: Readonly<Record<string, Reader>> = {
  makeup: (rest) =>
    chain(
      choose('makeup', rest, CONSTRUCTIONS, (kind) => MAKE_UPS[kind].label),
      (kind: Construction['kind']) => edit(setConstruction(kind)),
    ),
  close: (rest, c) => readClosure(rest, c),
  pipe: (rest, c) => readPiping(rest, c),
  liner: (rest) =>
    rest.trim() === 'none'
      ? edit(setMakeUp('No liner', (m) => ({ ...m, liner: null })))
      : edit(setMakeUp('With a liner', (m) => ({ ...m, liner: USUAL_LINER }))),
  buttons: (rest) => readButtons(rest),
}

/** One of the choices whose name holds all words said; hyphens are spaces. */
function choose<T extends string>(word: string, text: string, choices: readonly T[], label: (choice: T) => string) {
  const plain = (s: string) => s.toLowerCase().replaceAll('-', ' ')
  const said = plain(text).trim()
  const exact = choices.filter((c) => plain(c) === said || plain(label(c)) === said)
  const words = said.split(/\s+/)
  const found =
    exact.length === 1
      ? exact
      : said === ''
        ? []
        : choices.filter((c) => words.every((w) => `${plain(c)} ${plain(label(c))}`.includes(w)))
  return found.length === 1
    ? ok(found[0]!)
    : fail({ code: 'choice', word, text, choices: choices.map((c) => label(c).toLowerCase()) })
}

/** `close zip seam`, `close snap tape left`, `close sewn shut 300 back`. */
function readClosure(rest: string, { job, limits }: OpenJob): Answer {
  const offered = MAKE_UPS[job.makeUp.construction.kind].closures
  const side = SIDES.find((s) => new RegExp(`\\b${s}$`).test(rest.toLowerCase().trim()))
  const bare = side ? rest.trim().slice(0, -side.length).trim() : rest.trim()
  const [, name = '', opening] = /^(.*?)\s*(\d.*)?$/.exec(bare) ?? []
  return chain(
    choose('close', name, offered, (kind) => CLOSURES[kind].label),
    (kind: Closure['kind']) => {
      const sided = (closure: Closure): Closure => (side && 'side' in closure ? { ...closure, side } : closure)
      if (opening === undefined || kind !== 'sewn-shut')
        return edit(
          side
            ? setMakeUp(`${CLOSURES[kind].label}, ${side}`, (m) => ({ ...m, closure: sided(CLOSURES[kind].usual) }))
            : setClosure(kind),
        )
      return chain(readPositive(opening, 'opening', job.units, limits), (openingMm) =>
        edit(
          setMakeUp(`Opening ${formatLengthWithUnit(openingMm, job.units)}`, (m) => ({
            ...m,
            closure: sided({ ...CLOSURES['sewn-shut'].usual, openingMm }),
          })),
        ),
      )
    },
  )
}

/** `pipe none`, `pipe both cord 5 bias`, `pipe front`, `pipe top front left cord 6`. */
function readPiping(rest: string, { job, limits }: OpenJob): Answer {
  const text = rest.toLowerCase()
  if (/^\s*none\b/.test(text)) return edit(setMakeUp('No piping', (m) => ({ ...m, piping: { kind: 'none' } })))
  const rows = ROWS.find((r) => new RegExp(`\\b${r}\\b`).test(text))
  const sides = SIDES.filter((s) => new RegExp(`\\b${s}\\b`).test(text))
  if (!rows && sides.length === 0)
    return fail({ code: 'choice', word: 'pipe', text: rest.trim(), choices: ['none', ...ROWS, ...SIDES] })
  const before = job.makeUp.piping.kind === 'corded' ? job.makeUp.piping : USUAL_PIPING
  const cut = /\b(across|along|bias)\b/.exec(text)?.[1] as 'across' | 'along' | 'bias' | undefined
  const piping: Extract<Piping, { kind: 'corded' }> = {
    ...before,
    rows: rows ?? before.rows,
    sides: sides.length > 0 ? [...sides] : [...SIDES],
    cut: cut ?? before.cut,
  }
  const cord = /\bcord\s+(.+?)(?=\s+(?:across|along|bias|front|right|back|left|top|bottom|both)\b|$)/.exec(text)
  const set = (p: Piping & { kind: 'corded' }): Answer =>
    edit(
      setMakeUp(`Piping on ${p.rows}, cord ${formatLengthWithUnit(p.cordMm, job.units)}, ${p.cut}`, (m) => ({
        ...m,
        piping: p,
      })),
    )
  if (!cord) return set(piping)
  return chain(readPositive(cord[1]!, 'cord', job.units, limits), (cordMm) =>
    cordMm > THICKEST_CORD_MM
      ? fail({ code: 'length', what: 'cord', text: cord[1]!, why: 'too-long' })
      : set({ ...piping, cordMm }),
  )
}

const THICKEST_CORD_MM = 40

/** `buttons 3 x 4`, `buttons 3 x 4 staggered`, `buttons none`. */
function readButtons(rest: string): Answer {
  if (rest.trim() === 'none')
    return edit(setMakeUp('No buttons', (m) => ({ ...m, trims: { ...m.trims, buttons: null } })))
  const [, rows, across, layout] = /^\s*(\d+)\s*x\s*(\d+)\s*(staggered|even)?\s*$/i.exec(rest) ?? []
  const [r, a] = [Number(rows), Number(across)]
  if (!(r >= 1 && r <= 20 && a >= 1 && a <= 40))
    return fail({
      code: 'pattern',
      word: 'buttons',
      example: 'buttons 2 x 5 staggered (rows front to back, so many across)',
    })
  return edit(
    setMakeUp(`Buttons ${r} x ${a}`, (m) => ({
      ...m,
      trims: {
        ...m.trims,
        buttons: {
          ...(m.trims.buttons ?? USUAL_BUTTONS),
          rows: r,
          across: a,
          layout: layout?.toLowerCase() === 'staggered' ? 'staggered' : 'even',
        },
      },
    })),
  )
}
