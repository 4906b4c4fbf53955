import { readJob } from '../../contract/index.ts'
import { jobCard, unreadableCard } from '../../core/card/index.ts'
import { standBack } from '../workers/stand-back.ts'

standBack()

/** Works a job's card out, apart from the shop; a document that no release has written gets a card that says so. */
export default function workOutCard(document: string): string {
  const read = readJob(JSON.parse(document))
  return JSON.stringify(
    read.ok ? jobCard(read.value) : unreadableCard(`${read.faults[0]!.path} ${read.faults[0]!.message}`),
  )
}
