import type { Exposure } from '../../../contract/index.ts'
import { formatLengthWithUnit, trimmed, type LengthUnit } from '../../units/index.ts'
import type { SettledLayer } from '../model/index.ts'
import type { Relaxation } from './advice.ts'
import { MOST_LOST, type OldFoamReason } from './old-foam.ts'
import type { Doubt, Failure } from './verdict.ts'

export const EXPOSURE_WORDS: Readonly<Record<Exposure, string>> = {
  indoors: 'dry indoors',
  sun: 'in the sun',
  damp: 'a damp or cold place',
  wet: 'outdoors or aboard, uncovered',
}

export function failureWords(f: Failure): string {
  switch (f.code) {
    case 'exposure':
      return `${f.grade} is not for ${EXPOSURE_WORDS[f.place]}${f.why === '' ? '' : `: ${f.why}`}`
    case 'bottoms':
      return `bottoms: the heaviest sitter's peak presses it by ${percent(f.strain)}`
    case 'too-firm':
      return `too firm: the middle sitter sinks ${percent(f.strain)}, ${percent(f.least)} is wanted`
    case 'too-soft':
      return `too soft: the middle sitter sinks ${percent(f.strain)}, ${percent(f.most)} at most`
    default:
      return f satisfies never
  }
}

export function doubtWords(d: Doubt): string {
  switch (d.code) {
    case 'near-bottom':
      return `close to the board under the heaviest sitter's peak (${percent(d.strain)})`
    case 'bottoms-aged':
      return `fine new, bottoms in its ${ordinal(d.year)} year`
    case 'near-bottom-aged':
      return `aged, it comes close to the board (${percent(d.strain)})`
    case 'light-feels-hard':
      return `the lightest sitter finds it hard (${percent(d.strain)})`
    case 'heavy-sinks-deep':
      return `the heaviest sitter sinks deep (${percent(d.strain)})`
    default:
      return d satisfies never
  }
}

/** Which demand to give up, and what that brings. */
export function relaxationWords({ demand, lets }: Relaxation, unit: LengthUnit): string {
  return `${DEMANDS[demand]}: lets in ${layerWords(lets.layers, unit)}`
}

const DEMANDS: Readonly<Record<Failure['code'], string>> = {
  exposure: 'Keep it out of the wet (another exposure)',
  bottoms: 'Accept that the heaviest sitter touches the board, or lower the heaviest sitter',
  'too-firm': 'Accept a firmer seat (compression wanted)',
  'too-soft': 'Accept a softer seat (compression wanted)',
}

export const OLD_FOAM_WORDS: Readonly<Record<OldFoamReason, string>> = {
  lost: `more than ${percent(MOST_LOST)} of its thickness is gone for good`,
  crumbles: 'it crumbles',
  smells: 'it smells',
  bottoms: 'the heaviest sitter presses it to the board',
}

/** Layers from the top down, as they are spoken of. */
export const layerWords = (layers: readonly SettledLayer[], unit: LengthUnit): string =>
  layers
    .toReversed()
    .map((l) => `${l.grade.name} ${formatLengthWithUnit(l.thicknessMm, unit)}`)
    .join(' on ')

export function percent(share: number): string {
  return `${trimmed(share * 100, 0)} %`
}

function ordinal(n: number): string {
  const named = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']
  return named[n - 1] ?? `${n}th`
}
