import type { Closure } from '../../../contract/index.ts'
import { entered, figure, given, minus, over, plus, times, type Figure } from '../../working/index.ts'
import type { Allowances } from '../allowances.ts'
import type { CoverDraft, Fitting } from '../cover.ts'
import type { SeamDraft } from '../seam.ts'

type DraftClosure = CoverDraft['closures'][number]

/** Snaps, buttons and ties keep so far from the ends of the opening. */
export const FIRST_FROM_END_MM = 25

/**
 * What closes an opening of a given length: what to buy, and where along it snaps and buttons stand, from one datum for
 * both halves. Tape ends short of what is `lost` of the opening: seams at both ends, or a hem.
 */
export function planClosure(
  choice: Closure,
  seam: SeamDraft | null,
  lengthMm: Figure,
  allowances: Allowances,
  lost: readonly Figure[] = [allowances.seamMm, allowances.seamMm],
): DraftClosure {
  const lap = lapOf(choice, allowances)
  const places = placesOf(choice, lengthMm.value)
  return { choice, seam, lengthMm, lap, places, fittings: fittingsOf(choice, lengthMm, places.length, lost) }
}

function placesOf(choice: Closure, lengthMm: number): readonly number[] {
  if ('spacingMm' in choice) return placesAlong(lengthMm, choice.spacingMm)
  const spots = choice.kind === 'hook-and-loop' ? (choice.spots ?? 0) : 0
  return Array.from({ length: spots }, (_, i) => (lengthMm * (i + 0.5)) / spots)
}

/** How far two halves lap: the tape and a margin, or as set. */
export function lapOf(choice: Closure, allowances: Allowances): Figure | null {
  if (choice.kind === 'hook-and-loop' || choice.kind === 'snap-tape')
    return figure({
      id: 'closure.lap',
      label: 'Lap',
      quantity: 'length',
      sum: plus(given(choice.tapeMm, 'length', 'tape width'), allowances.tapeMarginMm),
      rule: 'tape width and a margin',
      change: 'make-up.closure',
    })
  return 'lapMm' in choice
    ? entered({
        id: 'closure.lap',
        label: 'Lap',
        quantity: 'length',
        value: choice.lapMm,
        rule: 'as set for the closure',
        setBy: 'job',
        change: 'make-up.closure',
      })
    : null
}

/** Each of two lapped halves reaches past the line where they close. */
export const halfLap = (lap: Figure): Figure =>
  figure({
    id: 'cover.halfLap',
    label: 'Half the lap',
    quantity: 'length',
    sum: over(lap, given(2, 'count', 'halves')),
    rule: 'each half reaches past the line where they close',
  })

/**
 * Beyond the line where two halves close: half the lap, and a hem a margin wider than the lap so that the tape is
 * stitched through it, or as wide where it is pressed on.
 */
export const lapEdge = (lap: Figure, allowances: Allowances, choice: Closure): readonly Figure[] => [
  halfLap(lap),
  figure({
    id: 'cover.lapHem',
    label: 'Hem of the lap',
    quantity: 'length',
    ...(isPressedOn(choice)
      ? { sum: plus(lap), rule: 'turned in as wide as the lap: a tape that is pressed on takes no stitches' }
      : { sum: plus(lap, allowances.tapeMarginMm), rule: 'turned in a margin wider than the lap' }),
  }),
]

/** Tape with its own glue, ironed or pressed on. */
export const isPressedOn = (choice: Closure): boolean =>
  choice.kind === 'hook-and-loop' && choice.fixed === 'pressed-on'

/**
 * Places from the first end, the first and last a fixed way from the ends, the rest evenly no further apart than the
 * spacing.
 */
export function placesAlong(lengthMm: number, spacingMm: number): readonly number[] {
  const run = lengthMm - 2 * FIRST_FROM_END_MM
  if (run <= 0) return [lengthMm / 2]
  const gaps = Math.max(1, Math.ceil(run / spacingMm - 1e-9))
  return Array.from({ length: gaps + 1 }, (_, i) => FIRST_FROM_END_MM + (run * i) / gaps)
}

function fittingsOf(choice: Closure, length: Figure, count: number, lost: readonly Figure[]): readonly Fitting[] {
  const counted = (what: string, use: Fitting['use'], each: number, note: string): Fitting => ({
    what,
    use,
    amount: figure({
      id: `closure.${choice.kind}`,
      label: what,
      quantity: 'count',
      sum: times(given(count, 'count', 'places'), given(each, 'count', 'at each')),
      rule: 'by the spacing, the first and last 25 mm from the ends',
    }),
    note,
  })
  switch (choice.kind) {
    case 'zip-gusset':
    case 'zip-seam':
    case 'horseshoe':
      return [
        { what: 'Zip', use: 'zip', amount: length, note: 'one slider; leave it partly open before the last seam' },
        ...stopsOf(choice),
      ]
    case 'hook-and-loop':
    case 'snap-tape': {
      if (count > 0)
        return [
          {
            what: 'Hook and loop spots, both halves',
            use: 'tape',
            amount: figure({
              id: 'closure.tape',
              label: 'Tape',
              quantity: 'length',
              sum: times(given(count, 'count', 'spots'), given(choice.tapeMm, 'length', 'each as long as it is wide')),
              rule: 'square spots, evenly along the opening',
            }),
            note: 'the hook side turned away from the filling; both halves marked from the same end',
          },
        ]
      const isEven = lost.length === 2 && lost[0] === lost[1]
      const tape = figure({
        id: 'closure.tape',
        label: 'Tape',
        quantity: 'length',
        sum: isEven ? minus(length, times(given(2, 'count', 'ends'), lost[0]!)) : minus(length, ...lost),
        rule: isEven ? 'the opening, short of the seams at both ends' : 'the opening, short of its hem',
      })
      return [
        {
          what: choice.kind === 'snap-tape' ? `Snap tape, both halves` : `Hook and loop, both halves`,
          use: 'tape',
          amount: tape,
          note:
            choice.kind === 'snap-tape'
              ? 'snaps of both halves from the same end'
              : 'the hook side turned away from the filling',
        },
      ]
    }
    case 'snaps':
      return [counted('Snaps, pairs', 'snaps', 1, 'both halves marked from the same end')]
    case 'buttons':
      return [counted('Buttons', 'buttons', 1, 'buttonholes on the upper half, from the same end')]
    case 'ties':
      return [counted('Closing ties', 'closing-ties', 2, 'one on each half')]
    case 'lacing':
      return [
        counted('Eyelets', 'eyelets', 2, 'one on each half'),
        {
          what: 'Lacing cord',
          use: 'lacing-cord',
          amount: figure({
            id: 'closure.lace',
            label: 'Lacing cord',
            quantity: 'length',
            sum: times(given(3, 'plain', 'times'), length),
            rule: 'three times the opening',
          }),
          note: '',
        },
      ]
    case 'slit':
    case 'sewn-shut':
    case 'fixed':
      return []
    default:
      return choice satisfies never
  }
}

/** What is clamped on both ends of a zip that is cut from the chain. */
const stopsOf = (choice: Closure): readonly Fitting[] =>
  'ends' in choice && choice.ends?.kind === 'stops'
    ? [
        {
          what: 'Zip stops',
          use: 'other',
          amount: figure({
            id: 'closure.stops',
            label: 'Zip stops',
            quantity: 'count',
            sum: times(given(2, 'count', 'ends'), given(1, 'count', 'at each')),
            rule: 'one clamped on each end of the chain',
          }),
          note: '',
        },
      ]
    : []

/** Sliders and pulls: one for each zip. */
export const zipSize = (isOutside: boolean): string =>
  isOutside ? 'size 8 or 10, plastic or coil teeth, no steel' : 'size 5'
