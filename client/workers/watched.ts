import { tellMissingPart } from '../stores/trouble.ts'

/** A worker whose own file cannot be loaded says so on the page, instead of never answering. */
export function watched<W extends Worker>(worker: W): W {
  worker.addEventListener?.('error', (event) => {
    // An error within the worker has words; one of loading it has none.
    if (!event.message) tellMissingPart()
  })
  return worker
}
