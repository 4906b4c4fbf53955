<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import type { Job } from '../../../contract/index.ts'
import { phrase } from '../../../core/language/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { sayMinutes } from '../../../core/working/index.ts'
import {
  clothCost,
  LEAST_MONEY,
  isSplitToLay,
  pipedFrom,
  savedMoney,
  withSplitLay,
  withSplits,
  type SplitLay,
} from '../../../core/what-if/index.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { staysAsItLies } from '../../stores/lay/working-lays.ts'
import { useRole } from '../../stores/role.ts'
import { useShop } from '../../stores/shop.ts'
import { money } from '../../ui/manner.ts'
import { useAsLaid } from './as-laid.ts'
import { useWhatIf } from './what-if.ts'

/**
 * Once a cloth with piping is laid, its strips are chosen anew with the lay: offered where the cloth that is not bought
 * is worth more than the joins. A ticket whose piping is split to the lay is split anew by itself when its pieces change.
 */
const SECONDS = 6
const jobs = useJob()
const lays = useLay()
const shop = useShop()
const { mayChange } = storeToRefs(useRole())
const asLaid = useAsLaid()
const found = shallowRef<SplitLay | null>(null)
const { ask, stop } = useWhatIf((answer) => {
  if (answer.kind !== 'split') return
  found.value = answer.split
  if (offer.value && isWanted.value && mayChange.value && !staysAsItLies(jobs.whole!))
    jobs.keepWorkedOut('strips as the lay has room for them', takenBy(offer.value.split))
})

const own = computed(() => lays.chosen)
const now = computed(() => lays.current)
const isLaid = computed(() => now.value !== null && !lays.running && !lays.byHand && !lays.kept?.joint)
/** The parts whose piping is cut from the cloth in view. */
const piped = computed(() =>
  jobs.plan?.kind === 'worked' && own.value
    ? pipedFrom(jobs.plan, own.value.cloth.id).filter((p) => p.strips.length > 0)
    : [],
)
/** All of it as the lay has room: a part that is added or changed leaves its own piping even. */
const isSplit = computed(
  () => jobs.plan?.kind === 'worked' && own.value !== null && isSplitToLay(jobs.plan, own.value.cloth.id),
)
const isWanted = computed(() => piped.value.some(({ part }) => part.cloth.strips.kind === 'to-the-lay'))

watch(
  [() => own.value?.key, isLaid],
  () => {
    found.value = null
    stop()
    if (!isLaid.value || !own.value || piped.value.length === 0 || isSplit.value) return
    const { laid, prices } = asLaid
    const asked = { job: jobs.whole!, clothId: own.value.cloth.id, prices: prices(), laid: laid() }
    ask([{ kind: 'split', key: 0, ...asked, seconds: SECONDS }], /* quietly */ true)
  },
  { immediate: true },
)

const offer = computed(() => {
  const split = found.value
  const worth = split && savedMoney(split.costs, shop.workshop.charges.hourRate)
  if (!split || worth === null || worth < LEAST_MONEY || !isLaid.value || !own.value) return null
  const bought = (mm: number) => clothCost(own.value!.cloth, mm).boughtMm
  return { split, worth, savedMm: bought(now.value!.length) - bought(split.lay.length) }
})
const mm = (value: number) => formatLengthWithUnit(value, jobs.job!.units)
const words = computed(() => {
  if (!offer.value) return ''
  const { split, worth, savedMm } = offer.value
  const more = split.strips.now - split.strips.before
  const saves = phrase`${mm(savedMm)} less to buy, ${money(worth, jobs.job!.currency)} saved`
  const joins =
    more === 0
      ? 'with as many joins'
      : more < 0
        ? phrase`with ${-more} fewer joins`
        : more === 1
          ? phrase`with one more join, ${sayMinutes(split.costs.minutes)}`
          : phrase`with ${more} more joins, ${sayMinutes(split.costs.minutes)}`
  return phrase`With its strips as long as the lay has room for them it lies on ${mm(split.lay.length)}: ${saves} ${joins}.`
})
/** The split, and the lay that it was found with. */
function takenBy(split: SplitLay): (job: Job) => Job {
  const { cloth } = own.value!
  return (job) => withSplitLay(job, cloth.id, split)
}
const take = () =>
  offer.value && jobs.edit({ says: 'Strips as the lay has room for them', applyToJob: takenBy(offer.value.split) })
const cutEvenly = () =>
  jobs.edit({
    says: 'Strips of one length',
    applyToJob: (job) =>
      withSplits(
        job,
        Object.fromEntries(piped.value.map(({ part }) => [part.letter, { kind: 'even' as const, moreJoins: 0 }])),
      ),
  })
</script>

<template>
  <p v-if="offer && !isWanted" class="offer" role="status">
    <span>{{ words }}</span>
    <button type="button" class="plain-button no-print" @click="take">Cut them so</button>
  </p>
  <p v-else-if="isWanted" class="offer">
    <span>{{
      isSplit
        ? 'The piping is cut in strips as long as this lay has room for them.'
        : 'The piping is cut evenly so far.'
    }}</span>
    <button v-if="mayChange" type="button" class="plain-button no-print" @click="cutEvenly">
      Strips of one length
    </button>
  </p>
</template>
