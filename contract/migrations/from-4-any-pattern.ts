import { migrateCloth } from './cloth.ts'
import { isDocument, type Document } from './document.ts'

/** Version 4 knew plain cloth and stripes along the roll, always to be bought. */
export function withAnyPattern({ cloth, lays, ...rest }: Document): Document {
  const others = {
    ...rest,
    lays: isDocument(lays)
      ? Object.fromEntries(
          Object.entries(lays).map(([id, kept]) => [
            id,
            isDocument(kept) ? { byHand: false, locked: [], ...kept } : kept,
          ]),
        )
      : lays,
  }
  if (!isDocument(cloth)) return { ...others, version: 5, cloth }
  const own = isDocument(cloth['others'])
    ? Object.fromEntries(Object.entries(cloth['others']).map(([role, c]) => [role, migrateCloth(c)]))
    : cloth['others']
  return {
    ...others,
    version: 5,
    cloth: {
      alongRule: 'front-edges-alike',
      pairs: 'goes-on-under',
      ...cloth,
      cloth: migrateCloth(cloth['cloth']),
      others: own,
    },
  }
}
