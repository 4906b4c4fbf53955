import { phrase } from '../../language/index.ts'
import type { Exposure, Trial } from '../../../contract/index.ts'
import { formatLengthWithUnit, isInch, KG_PER_LB, trimmed, type LengthUnit } from '../../units/index.ts'
import { sayAmount, sayAmountWithUnit } from '../../working/index.ts'
import { goodYears, type LoadCase, type SettledLayer, type Standing, type Unknown } from '../model/index.ts'
import type { Relaxation } from './advice.ts'
import { MOST_LOST, type OldFoamReason } from './old-foam.ts'
import type { Doubt, Failure, Feel, Verdict } from './verdict.ts'

export const EXPOSURE_WORDS: Readonly<Record<Exposure, string>> = {
  indoors: 'dry indoors',
  sun: 'in the sun',
  damp: 'a damp or cold place',
  wet: 'outdoors or aboard, uncovered',
}

/** Why a foam will not do, in words. */
export function failureWords(f: Failure, unit: LengthUnit): string {
  switch (f.code) {
    case 'exposure':
      return phrase`${f.grade} is not for ${EXPOSURE_WORDS[f.place]}${f.why === '' ? '' : `: ${f.why}`}`
    case 'on-board':
      return phrase`on the board under ${personWords(f.massKg, unit)}: pressed together by ${percent(f.strain)}`
    default:
      return f satisfies never
  }
}

/** What speaks against a foam that would do, in words. */
export function doubtWords(d: Doubt, unit: LengthUnit): string {
  switch (d.code) {
    case 'middle-near-board':
      return phrase`close to the board already under the middle sitter: ${formatLengthWithUnit(Math.round(d.leftMm), unit)} left`
    case 'on-board-aged':
      return phrase`fine new, on the board under the heaviest in its ${ordinal(d.year)} year`
    case 'feels-firm':
      return phrase`a firm seat: the middle sitter sinks ${percent(d.strain)}`
    case 'feels-soft':
      return phrase`a soft seat: the middle sitter sinks ${percent(d.strain)}`
    default:
      return d satisfies never
  }
}

/** What a customer wants to know of a foam, in one line. */
export function verdictWords({ support }: Verdict, { sitters }: LoadCase, unit: LengthUnit): string {
  const { worst, standing } = support.fresh
  const kg = (massKg: number) => personWords(massKg, unit)
  if (standing === 'on-board')
    return support.holdsKg < sitters[0].massKg
      ? phrase`on the board even under ${kg(sitters[0].massKg)}`
      : phrase`holds up to ${kg(Math.floor(support.holdsKg))}, on the board under ${kg(sitters[2].massKg)}`
  const years = goodYears(support)
  return [
    phrase`holds ${sayAmount(wholeMass(sitters[0].massKg, unit), 'mass', unit)} to ${kg(sitters[2].massKg)}`,
    phrase`${formatLengthWithUnit(Math.round(worst.leftMm), unit)} left under the heaviest${sitters[2].slamN > sitters[2].restN ? ' in a slam' : ''}`,
    years < 1
      ? 'good for less than a year of daily use'
      : phrase`good for about ${years} year${years === 1 ? '' : 's'} of daily use`,
  ].join(', ')
}

/** The mass of a person, `75 kg`, `165 lb`. */
export const personWords = (massKg: number, unit: LengthUnit): string =>
  sayAmountWithUnit(wholeMass(massKg, unit), 'mass', unit)

/** Nobody is weighed to the gram: whole kilograms, or whole pounds. */
const wholeMass = (massKg: number, unit: LengthUnit): number =>
  isInch(unit) ? Math.round(massKg / KG_PER_LB) * KG_PER_LB : Math.round(massKg)

export const UNKNOWN_WORDS: Readonly<Record<Unknown, string>> = {
  density: 'how heavy it is',
  force: 'how hard it is',
  life: 'how long it lasts',
}

const TRIAL_VERDICTS: Readonly<Record<Trial['verdict'], string>> = {
  'too-soft': 'too soft',
  right: 'right',
  'too-firm': 'too firm',
  'felt-the-board': 'felt the board',
}

/** `Wim, 80 kg, 20 minutes: too soft`. */
export const trialWords = ({ who, massKg, minutes, verdict }: Trial, unit: LengthUnit): string =>
  phrase`${who === '' ? '' : `${who}, `}${personWords(massKg, unit)}, ${minutes} minutes: ${TRIAL_VERDICTS[verdict]}`

export const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  clear: 'stands clear of the board',
  near: 'close to the board under the heaviest',
  'on-board': 'on the board',
}

export const FEEL_WORDS: Readonly<Record<Feel, string>> = { soft: 'soft', right: 'feels right', firm: 'firm' }

/** Which demand to give up, and what that brings. */
export function relaxationWords({ demand, lets }: Relaxation, unit: LengthUnit): string {
  return phrase`${DEMANDS[demand]}: lets in ${layerWords(lets.layers, unit)}`
}

const DEMANDS: Readonly<Record<Failure['code'], string>> = {
  exposure: 'Keep it out of the wet (another exposure)',
  'on-board': 'Accept that the heaviest sitter feels the board, or lower the heaviest sitter',
}

export const OLD_FOAM_WORDS: Readonly<Record<OldFoamReason, string>> = {
  lost: phrase`more than ${percent(MOST_LOST)} of its thickness is gone for good`,
  crumbles: 'it crumbles',
  smells: 'it smells',
  'on-board': 'the heaviest sitter presses it to the board',
}

/** Layers from the top down, as they are spoken of. */
export const layerWords = (layers: readonly SettledLayer[], unit: LengthUnit): string =>
  layers
    .toReversed()
    .map((l) => phrase`${l.grade.name} ${formatLengthWithUnit(l.thicknessMm, unit)}`)
    .join(' on ')

/** A share of one as `12 %`. */
export function percent(share: number): string {
  return `${trimmed(share * 100, 0)} %`
}

function ordinal(n: number): string {
  const named = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth']
  return named[n - 1] ?? `${n}th`
}
