import { phrase } from '../language/index.ts'
import type { Exposure, Load, SizingSchool } from '../../contract/index.ts'
import { EXPOSURE_WORDS, newLayer, SCHOOL_KINDS, USES, usualSchool, usualWadding } from '../filling/index.ts'
import { setFilling, setFoam, setLooseFibre, setWork } from '../job/index.ts'
import { ok, type Result } from '../result/index.ts'
import { valueOf } from '../seat/index.ts'
import { formatAmount, formatLengthWithUnit, parseAmount } from '../units/index.ts'
import { readLength, readPositive } from './amounts.ts'
import { chain, edit, fail, type Answer, type OpenJob, type Reader, type TypingFailure } from './failure.ts'
import { findNamed } from './find-named.ts'

const BASES = ['board', 'slats', 'webbing', 'mesh'] as const

/** Words that change what the open job's seat is filled with, and what it carries. */
export const FILLING_EDITS: Readonly<Record<string, Reader>> = {
  use: (rest, c) =>
    chain(oneOf('use', rest, Object.keys(USES) as Load['use'][]), (use) =>
      edit(load(USES[use].name, c, { use, own: {} })),
    ),
  lives: (rest, c) =>
    chain(oneOf('lives', rest, Object.keys(EXPOSURE_WORDS) as Exposure[]), (exposure) =>
      edit(load(EXPOSURE_WORDS[exposure], c, { exposure })),
    ),
  on: (rest, c) => chain(oneOf('on', rest, BASES), (base) => edit(load(`On ${base}`, c, { base }))),
  sitters: (rest, c) => sitters(rest, c),
  board: (rest, c) =>
    chain(readLength(rest, 'board', c.job.units), (now) => {
      if (now < 0) return fail({ code: 'length', what: 'board', text: rest, why: 'negative' })
      return now > THICKEST_BOARD_MM
        ? fail({ code: 'length', what: 'board', text: rest, why: 'too-long' })
        : edit(
            setFilling(`Board ${formatLengthWithUnit(now, c.job.units)}`, {
              boardMm: { ...c.job.filling.boardMm, now },
            }),
          )
    }),
  top: foamOnly('top', topLayer),
  school: foamOnly('school', (rest, c) =>
    chain(oneOf('school', rest.replaceAll(' ', '-'), SCHOOL_KINDS), (kind: SizingSchool['kind']) => {
      const usual = usualSchool(kind, valueOf(c.job.seat.thickness))
      return edit(
        setFoam(kind.replaceAll('-', ' '), (foam) => ({
          ...foam,
          school: usual.school,
          wadding: usual.wadding ?? foam.wadding,
        })),
      )
    }),
  ),
  wadding: foamOnly('wadding', (rest, c) =>
    rest.trim().toLowerCase() === 'none'
      ? edit(setFoam('No wadding', (foam) => ({ ...foam, wadding: null })))
      : chain(readPositive(rest, 'wadding', c.job.units, { ...c.limits, longestMm: MOST_LOFT_MM }), (loftMm) =>
          edit(
            setFoam(`Wadding ${formatLengthWithUnit(loftMm, c.job.units)}`, (foam) => ({
              ...foam,
              wadding: { ...(foam.wadding ?? usualWadding(loftMm)), loftMm },
            })),
          ),
        ),
  ),
  fibre: () => edit(setLooseFibre),
  order: (rest) => chain(oneOf('order', rest, ORDERED), (what) => edit(setWork(WORK_OF[what]))),
}

const ORDERED = ['both', 'cover', 'filling'] as const
const WORK_OF = { both: 'cover-and-filling', cover: 'cover-only', filling: 'filling-only' } as const

const THICKEST_BOARD_MM = 200
const MOST_LOFT_MM = 200

const load = (says: string, { job }: OpenJob, change: Partial<Load>) =>
  setFilling(says, { load: { ...job.filling.load, ...change } })

/** On loose fibre these words mean nothing. */
function foamOnly(word: string, reader: Reader): Reader {
  return (rest, context) =>
    context.job.filling.kind === 'foam'
      ? reader(rest, context)
      : fail({ code: 'pattern', word, example: 'foam gannet 36 (these cushions are filled with loose fibre)' })
}

/** A word by its beginning, where only one begins so. */
function oneOf<T extends string>(word: string, text: string, choices: readonly T[]): Result<T, TypingFailure> {
  const said = text.trim().toLowerCase()
  const found = said === '' ? [] : choices.filter((c) => c.startsWith(said))
  return found.length === 1 ? ok(found[0]!) : fail({ code: 'choice', word, text, choices })
}

/** `50 to 100`, `110 lb to 220 lb`, `75`: kilograms, beside inches pounds. */
function sitters(rest: string, context: OpenJob): Answer {
  const masses = rest.split(/\s+to\s+|\s*[-–]\s*/i).map((text) => parseAmount(text, 'mass', context.job.units))
  const kilos = masses.flatMap((m) => (m.ok ? [Number(m.value.value.toFixed(3))] : []))
  if (kilos.length !== masses.length || kilos.length > 2 || kilos.some((kg) => kg < 10 || kg > 250))
    return fail({ code: 'pattern', word: 'sitters', example: 'sitters 50 to 100 (10 to 250 kg, 23 to 551 lb)' })
  const [lightestKg, heaviestKg] = [Math.min(...kilos), Math.max(...kilos)]
  const mass = (kg: number) => formatAmount(kg, 'mass', context.job.units)
  return edit(load(`Sitters ${mass(lightestKg)} to ${mass(heaviestKg)}`, context, { lightestKg, heaviestKg }))
}

/** A softer layer on top: `top eider 25`. */
function topLayer(rest: string, { job, grades, limits }: OpenJob): Answer {
  const [, name = '', size = ''] = /^(.*?)\s+(\S+(?:\s+\d+\/\d+)?(?:\s*(?:mm|cm|in|"))?)$/i.exec(rest.trim()) ?? [
    null,
    rest,
    '',
  ]
  if (job.filling.kind === 'foam' && job.filling.layers.length >= 3)
    return fail({
      code: 'pattern',
      word: 'top',
      example: 'foam gannet 36 (the block has three layers already: begin anew)',
    })
  return chain(
    findNamed('grade', name, grades, (grade) => `top ${grade} ${size}`),
    (grade) =>
      chain(readPositive(size, 'layer', job.units, { ...limits, longestMm: 1000 }), (thicknessMm) =>
        edit(
          setFoam(phrase`${grade.name} ${formatLengthWithUnit(thicknessMm, job.units)} on top`, (foam) => ({
            ...foam,
            layers: [...foam.layers, newLayer(grade, thicknessMm)],
          })),
        ),
      ),
  )
}
