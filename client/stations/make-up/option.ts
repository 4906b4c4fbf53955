import {
  limitsOfKind,
  type FieldOf,
  type KindOf,
  type Kinds,
  type Limits,
  type MakeUp,
} from '../../../contract/index.ts'

/** How a cover is built and closed; a control that would change nothing there is not shown. */
export type Built = Pick<MakeUp, 'construction' | 'closure'>

/** A choice or a length of a make-up or a closure. */
export type Option =
  | {
      readonly kind: 'length'
      readonly key: string
      readonly label: string
      readonly value: number
      readonly limits: Limits
      /** What is set at its key. */
      readonly write: (mm: number) => unknown
    }
  | {
      readonly kind: 'choice'
      readonly key: string
      readonly label: string
      readonly value: string
      readonly choices: readonly { readonly value: string; readonly label: string }[]
      readonly read: (value: string) => unknown
    }

/**
 * Lengths of one kind of a thing: `lengthOf(Closure, 'snaps')('lapMm', 'Lap', c.lapMm)`. Of a thing that stands at a key
 * of the make-up or the closure, the whole is written there.
 */
export const lengthOf =
  <U extends Kinds, K extends KindOf<U>>(
    union: U,
    kind: K,
    within?: { readonly key: string; readonly thing: object },
  ) =>
  (field: FieldOf<U, K>, label: string, value: number): Option => ({
    kind: 'length',
    key: within?.key ?? field,
    label,
    value,
    limits: limitsOfKind(union, kind, field),
    write: (mm) => (within ? { ...within.thing, [field]: mm } : mm),
  })

export const choice = (
  key: string,
  label: string,
  value: string,
  choices: readonly (readonly [string, string, ...unknown[]])[],
  read: (value: string) => unknown = (v) => v,
): Option => ({ kind: 'choice', key, label, value, choices: choices.map(([v, l]) => ({ value: v, label: l })), read })
export const yesNo = (key: string, label: string, value: boolean): Option =>
  choice(
    key,
    label,
    value ? 'yes' : 'no',
    [
      ['no', 'No'],
      ['yes', 'Yes'],
    ],
    (v) => v === 'yes',
  )
export const share = (key: string, label: string, value: number, shares: readonly number[]): Option =>
  choice(
    key,
    label,
    String(value),
    shares.map((s) => [String(s), `${Math.round(s * 100)} %`] as const),
    Number,
  )
