import type { BodySizes, Layer, OldBody, There } from '../../contract/index.ts'

/** A part of which nothing is there. */
export const NOTHING_THERE: There = { bodies: [], things: {}, tucks: [], fireLabelOffOn: null }

/** A body as it is to be taken: recovered where that was measured, else as found. */
export const bodySizes = (body: OldBody): BodySizes => body.recovered ?? body.found

/** The bodies that stay in a block, as its layers name them. */
export const bodiesIn = (layers: readonly Layer[], { bodies }: There): readonly OldBody[] =>
  layers.flatMap((l) => bodies.find((b) => b.id === l.body) ?? [])

/** Layers with old bodies as thick as they are. A layer of a body that is gone is foam to be bought. */
export const asThere = (layers: readonly Layer[], { bodies }: There): readonly Layer[] =>
  layers.map((layer) => {
    const body = bodies.find((b) => b.id === layer.body)
    return body ? { ...layer, thicknessMm: bodySizes(body).thicknessMm } : { ...layer, body: null }
  })
