/** What is wrong with a lay; a piece of several copies is named with its copy. */
export type LayFault =
  | { readonly code: 'unknown-piece'; readonly piece: string }
  | { readonly code: 'wrong-count'; readonly piece: string; readonly wanted: number; readonly found: number }
  | { readonly code: 'turn-not-allowed'; readonly piece: string; readonly turn: number; readonly flip: boolean }
  | { readonly code: 'overlap'; readonly piece: string; readonly other: string }
  | { readonly code: 'too-close'; readonly piece: string; readonly other: string }
  | { readonly code: 'off-cloth'; readonly piece: string; readonly over: number }
  | { readonly code: 'on-flaw'; readonly piece: string; readonly flaw: number }
  | { readonly code: 'out-of-phase'; readonly piece: string; readonly axis: 'across' | 'along'; readonly off: number }
  | { readonly code: 'not-at-side'; readonly piece: string; readonly off: number }
  | { readonly code: 'wrong-length'; readonly claimed: number; readonly real: number }
