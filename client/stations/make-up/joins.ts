import type { JoinPlaces } from '../../../contract/index.ts'

export type PlacesKind = JoinPlaces['kind']

/** How many pieces a panel is joined of. */
export const countOf = (places: JoinPlaces): number =>
  places.kind === 'at' ? places.placesMm.length + 1 : places.pieces

/** The same kind of places for another number of pieces; two cannot have outer ones. */
export function otherCount(places: JoinPlaces, pieces: number, sizeMm: number): JoinPlaces {
  if (places.kind !== 'outer') return otherPlaces(places.kind, pieces, sizeMm)
  return pieces > 2 ? { ...places, pieces } : { kind: 'even', pieces }
}

/** Another kind of places for as many pieces, on a panel of so much. */
export function otherPlaces(kind: PlacesKind, pieces: number, sizeMm: number): JoinPlaces {
  switch (kind) {
    case 'even':
    case 'least-seen':
      return { kind, pieces }
    case 'outer':
      return {
        kind,
        pieces: Math.max(3, pieces),
        outerMm: Math.max(50, Math.round(sizeMm / (2 * Math.max(3, pieces)))),
      }
    case 'at':
      return {
        kind,
        placesMm: Array.from({ length: pieces - 1 }, (_, i) => Math.max(1, Math.round((sizeMm * (i + 1)) / pieces))),
      }
    default:
      return kind satisfies never
  }
}
