/** What was clicked on the drawing, and where its card opens, in pixels of the drawing. */
export interface Picked {
  readonly kind: 'edge' | 'corner'
  readonly name: string
  readonly x: number
  readonly y: number
}
