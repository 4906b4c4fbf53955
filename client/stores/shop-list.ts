import type { Change } from '../../contract/index.ts'
import type { Entry, ListOnServer } from '../api/shop.ts'
import { usePutBack } from './put-back.ts'

/** A list of the shop as this page last read it. */
interface ListHere<T> {
  readonly now: () => readonly T[]
  readonly take: (list: readonly T[]) => void
  /** What is said of a thing that was taken out. */
  readonly gone: (thing: T) => string
}

/** How things are kept in a list of the shop, and taken out of it, which one press brings back. */
export function shopList<T extends Entry>(onServer: ListOnServer<T>, { now, take, gone }: ListHere<T>) {
  const putBack = usePutBack()
  /** `bases`: the things as they were changed from; what is not among them is new. */
  const keep = async (things: readonly T[], bases = now()): Promise<void> =>
    take(await onServer.save(things.map((value): Change<T> => ({ value, base: sameId(bases, value) }))))
  async function drop(id: string): Promise<void> {
    const own = now().find((thing) => thing.id === id)
    await onServer.remove(id)
    if (own) putBack.taken(gone(own), () => keep([own], []))
    take(await onServer.read())
  }
  return { keep, drop }
}

const sameId = <T extends Entry>(list: readonly T[], { id }: T): T | null => list.find((own) => own.id === id) ?? null
