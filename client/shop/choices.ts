import { phrase } from '../../core/language/index.ts'

const TAGS = ['en-GB', 'en-IE', 'en-US', 'en-AU', 'en-CA', 'da-DK', 'de-CH', 'de-DE', 'es-ES', 'fr-FR', 'it-IT', 'nl-NL', 'nb-NO', 'pl-PL', 'pt-PT', 'fi-FI', 'sv-SE'] // prettier-ignore

/** No manner of the shop's own. */
export const AS_BROWSER = 'browser'

export interface Choice {
  readonly value: string
  readonly label: string
}

const sample = (tag: string | undefined): string =>
  `${new Date(2026, 2, 4).toLocaleDateString(tag, { dateStyle: 'long' })}; ${(1234.5).toLocaleString(tag, { minimumFractionDigits: 2 })}`

/** Manners of writing, each with a day and an amount written so. */
export const MANNERS: readonly Choice[] = [
  { value: AS_BROWSER, label: phrase`as this browser: ${sample(undefined)}` },
  ...TAGS.map((value) => ({ value, label: phrase`${value}: ${sample(value)}` })),
]

const currencyName = new Intl.DisplayNames('en', { type: 'currency' })

/** Every currency that the browser knows, by its code. */
export const CURRENCIES: readonly Choice[] = Intl.supportedValuesOf('currency').map((value) => ({
  value,
  label: phrase`${value}, ${currencyName.of(value)}`,
}))

export const FIRST_WEEKDAYS = [
  { value: 'monday', label: 'Monday' },
  { value: 'sunday', label: 'Sunday' },
  { value: 'saturday', label: 'Saturday' },
] as const

export const PAPERS: readonly { readonly value: 'A4' | 'letter'; readonly label: string }[] = [
  { value: 'A4', label: 'A4' },
  { value: 'letter', label: 'Letter' },
]

export const LAYS = [
  { value: 'shortest', label: 'The shortest' },
  { value: 'easiest', label: 'The one that is easier to cut' },
] as const
