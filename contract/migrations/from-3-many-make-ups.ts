import { migrateCloth } from './cloth.ts'
import type { Document } from './document.ts'
import { migrateBook } from './settings.ts'

/** Version 3 knew one make-up, boxed with a zip in a gusset, one cloth and one lay. */
export function withManyMakeUps({ makeUp, cloth, allowances, lay, ...others }: Document): Document {
  const part = (value: unknown): Document | null =>
    typeof value === 'object' && value !== null ? (value as Document) : null
  const [boxed, choice, own, kept] = [part(makeUp), part(cloth), part(allowances), part(lay)]
  const piping = part(boxed?.['piping'])
  const newCloth = choice && migrateCloth(choice['cloth'])
  return {
    ...others,
    version: 4,
    makeUp: boxed && {
      construction: { kind: boxed['kind'], boxing: boxed['boxing'] },
      closure: ZIP_GUSSET,
      piping:
        piping?.['rows'] === 'none'
          ? { kind: 'none' }
          : piping && { kind: 'corded', ...piping, sides: ALL_SIDES, clothMm: 0, stripMm: null },
      trims: NO_TRIMS,
      liner: null,
    },
    cloth: choice && { ...choice, cloth: newCloth, others: {} },
    allowances: own && { ...own, book: migrateBook(own['book']), edges: {} },
    // The pieces have other keys now: a lay of before would never count.
    lays: lay === null || kept ? {} : lay,
  }
}

const ALL_SIDES = ['front', 'right', 'back', 'left']
const ZIP_GUSSET = { kind: 'zip-gusset', side: 'back', lapped: false, pocketMm: 0 }
const NO_TRIMS = {
  ties: null,
  handles: null,
  vents: null,
  grip: { kind: 'none' },
  buttons: null,
  finishing: 'overlocked-together',
  trimReserveMm: 0,
}
