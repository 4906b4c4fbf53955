/** Why a cover finishes at another size than its filling or its seat. */
export type FitCause =
  | 'oversize'
  | 'extra-thickness'
  | 'allowance-left-out'
  | 'border-drawn'
  | 'wadding'
  | 'thinner-block'
  | 'cut-to-wrapped'
  | 'squeeze-asked'
  | 'as-it-is'

export const FIT_CAUSES: Readonly<Record<FitCause, string>> = {
  oversize: 'the block is cut larger',
  'extra-thickness': 'extra thickness of the block',
  'allowance-left-out': 'the allowance left out',
  'border-drawn': 'the border drawn to the thickness',
  wadding: 'wadding',
  'thinner-block': 'the block is thinner',
  'cut-to-wrapped': 'the cover goes round the wadding',
  'squeeze-asked': 'the squeeze that was asked for',
  'as-it-is': 'what stays is as large as it is',
}
