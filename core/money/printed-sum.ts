/** An amount as it is printed, in the smallest coin of a currency; rounded as browsers write amounts. */
const coins = (amount: number, decimals: number): number =>
  Math.round(Number(amount.toFixed(decimals)) * 10 ** decimals)

/**
 * What a total is more than the amounts that stand above it, each as it is printed: rounding up to the next step, and
 * the cents that are lost where every amount is rounded by itself. With it a printed sum adds up to the last coin.
 */
export const printedRounding = (total: number, amounts: readonly number[], decimals: number): number =>
  (coins(total, decimals) - amounts.reduce((sum, a) => sum + coins(a, decimals), 0)) / 10 ** decimals
