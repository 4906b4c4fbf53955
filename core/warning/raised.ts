/** Stations of a job, in the order of the work. */
export const STATIONS = ['measure', 'filling', 'make-up', 'pieces', 'lay', 'lists', 'make', 'fit', 'bill'] as const
export type Station = (typeof STATIONS)[number]

/** `stop`: cannot be made like this; `warning`: judge it; `note`: good to know; `safety`: can hurt someone. */
export type Level = 'stop' | 'warning' | 'note' | 'safety'

/** An objection, with the station that it belongs to. */
export type Raised<Case extends { readonly code: string }> = { readonly station: Station; readonly level: Level } & Case
