import { formatLengthWithUnit, trimmed, type LengthUnit } from '../units/index.ts'

export interface WarningWords {
  readonly says: string
  /** The cheapest cure; empty where there is nothing to mend. */
  readonly cure: string
}

/** How lengths are said to this reader. */
export interface Saying {
  readonly unit: LengthUnit
  readonly mm: (length: number) => string
}

/** Words for every case of a union of objections. */
export type WordsOf<Case extends { readonly code: string }> = {
  readonly [Code in Case['code']]: (w: CaseOf<Case, Code>, saying: Saying) => WarningWords
}

/** The members of a union that can have this code; one member may have several. */
type CaseOf<Case, Code> = Case extends { readonly code: infer Codes } ? (Code extends Codes ? Case : never) : never

export const sayingIn = (unit: LengthUnit): Saying => ({ unit, mm: (length) => formatLengthWithUnit(length, unit) })

export const words = (says: string, cure: string): WarningWords => ({ says, cure })

export const percent = (share: number): string => `${trimmed(share * 100, 1)} %`
