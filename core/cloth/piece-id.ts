/** Which panel of which cushion, of the cover or of the liner in it. Cushions count from 0 along the row of their part. */
export interface PieceOf {
  /** The letter of the part; empty where it is the only one. */
  readonly part: string
  readonly cushion: number
  readonly layer: 'cover' | 'liner'
  readonly panel: string
}

/** What a panel of a cushion is called in lays and their files. Nothing reads it back: a piece knows what it is. */
export const pieceId = ({ part, cushion, layer, panel }: PieceOf): string =>
  `${part}${cushion + 1}/${layer === 'liner' ? 'liner/' : ''}${panel}`
