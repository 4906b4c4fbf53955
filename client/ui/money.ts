/** `€ 603.50` in the manner of the reader's own language. */
export const money = (amount: number, currency: string): string =>
  new Intl.NumberFormat(undefined, { style: 'currency', currency }).format(amount)
