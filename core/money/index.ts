export { alternatives, type Alternative } from './alternatives.ts'
export { CHARGE_LABELS, CHARGE_NAMES, chargesOf } from './charges.ts'
export { quoteDoubtWords, quoteFor, type Quote, type QuoteDoubt, type QuoteLine, type QuotePart } from './quote.ts'
export { sharesByPart, type PartShare } from './by-part.ts'
