/** Stations of a job, in the order of the work. */
export const STATIONS = ['measure', 'filling', 'make-up', 'pieces', 'lay', 'lists', 'make', 'fit', 'bill'] as const
export type Station = (typeof STATIONS)[number]

/** Whether a station shows one part of a ticket at a time. */
export const isOfOnePart = (station: Station): boolean =>
  station === 'measure' || station === 'filling' || station === 'make-up' || station === 'pieces' || station === 'fit'

/** `stop`: cannot be made like this; `warning`: judge it; `note`: good to know; `safety`: can hurt someone. */
export type Level = 'stop' | 'warning' | 'note' | 'safety'

/** An objection, with the station that it belongs to, and the part of a ticket that has several. */
export type Raised<Case extends { readonly code: string }> = {
  readonly station: Station
  readonly level: Level
  readonly part?: string
} & Case
