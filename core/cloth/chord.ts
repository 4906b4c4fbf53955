/** Arcs are laid as chords within this of them. */
export const CHORD_MM = 0.08
