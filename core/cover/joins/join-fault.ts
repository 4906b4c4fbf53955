/** Why a panel cannot be joined as it is asked; it is then cut whole. Lengths in mm. */
export type JoinFault =
  | { readonly panel: string; readonly because: 'no-such-panel' | 'twice' | 'not-in-two' | 'through-opening' }
  | { readonly panel: string; readonly because: 'too-narrow'; readonly pieceMm: number; readonly leastMm: number }
