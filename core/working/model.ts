/**
 * What a number counts or measures. Lengths and runs (lengths bought off a roll or reel) are mm, areas mm², angles
 * radians, times minutes, money is in the job's currency, prices a metre and a m³, densities kg/m³; a conversion is a
 * constant between two units of one kind.
 */
export type Quantity =
  | 'length'
  | 'run'
  | 'area'
  | 'angle'
  | 'count'
  | 'mass'
  | 'density'
  | 'share'
  | 'money'
  | 'metre-price'
  | 'volume-price'
  | 'time'
  | 'plain'
  | 'conversion'

/**
 * The sum behind a figure, kept as a tree: the value and the shown working both come from it,
 * so that what is shown is what was computed.
 */
export type Expression =
  | { readonly kind: 'given'; readonly value: number; readonly quantity: Quantity; readonly label: string }
  | { readonly kind: 'figure'; readonly figure: Figure }
  | { readonly kind: 'sum'; readonly terms: readonly { readonly sign: 1 | -1; readonly of: Expression }[] }
  | { readonly kind: 'product'; readonly factors: readonly Expression[] }
  | { readonly kind: 'quotient'; readonly top: Expression; readonly bottom: Expression }
  | { readonly kind: 'pick'; readonly by: 'least' | 'most' | 'median'; readonly of: readonly Expression[] }
  | {
      readonly kind: 'round'
      readonly way: 'up' | 'down'
      readonly of: Expression
      readonly step: number
      readonly quantity: Quantity
    }

/** Who or what decided a figure's rule. */
export type SetBy = 'measured' | 'shop' | 'job' | 'rule' | 'catalogue'

/** Which line a length is taken to: the sewing line (net) or the cut edge. */
export type Line = 'net' | 'cut'

/** A number with the sum that made it, the rule behind it and the place to change it. */
export interface Figure {
  /** Stable within a plan; drawings light up by it. */
  readonly id: string
  readonly label: string
  readonly value: number
  readonly quantity: Quantity
  readonly line?: Line
  readonly sum: Expression
  readonly rule: string
  readonly setBy: SetBy
  /** The field that changes it, as `station.field`; absent where it follows from others. */
  readonly change?: string
}
