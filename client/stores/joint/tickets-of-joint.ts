import { ref, shallowRef, watch, type Ref } from 'vue'
import type { ClothLay } from '../../../core/cloth/index.ts'
import { problemKey, type JointTicket } from '../../../core/what-if/index.ts'
import { ticketOf } from './ticket-of.ts'
import type { KeptLay } from './with-lay.ts'

/** The tickets of the joint lay that is kept, each with its pieces as they are now. */
export function useTicketsOfJoint(
  joint: Readonly<Ref<KeptLay['joint'] | null>>,
  own: () => (ClothLay & { readonly key: string }) | null,
  mine: (own: ClothLay) => JointTicket,
) {
  const tickets = shallowRef<readonly JointTicket[]>([])
  /** Those whose pieces have changed since: they have to be laid anew. */
  const changed = ref<readonly string[]>([])
  watch(() => [joint.value?.id, own()?.key], read, { immediate: true })

  async function read(): Promise<void> {
    ;[tickets.value, changed.value] = [[], []]
    const [cut, here] = [joint.value, own()]
    if (!cut || !here) return
    const others = await Promise.all(
      cut.others.map(async (other) => {
        const found = await ticketOf(other.jobId, here.cloth.id).catch(() => null)
        return { other, found: found && problemKey(found.own.problem) === other.problemKey ? found : null }
      }),
    )
    if (joint.value !== cut) return
    changed.value = others.flatMap(({ other, found }) => (found ? [] : [other.ticket]))
    if (changed.value.length === 0) tickets.value = others.map((o) => o.found!).toSpliced(cut.place, 0, mine(here))
  }
  return { tickets, changed }
}
