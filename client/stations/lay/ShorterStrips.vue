<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { firstPart } from '../../../core/job/index.ts'
import { planJob } from '../../../core/plan/index.ts'
import { sayMinutes } from '../../../core/working/index.ts'
import {
  clothCost,
  costsOver,
  layChoices,
  LEAST_MONEY,
  problemKey,
  savedMoney,
  type Costs,
  type LayChoice,
} from '../../../core/what-if/index.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useShop } from '../../stores/shop.ts'
import { money } from '../../ui/manner.ts'
import { useAsLaid } from './as-laid.ts'
import { useWhatIf } from './what-if.ts'

/**
 * Long piping strips can drive a lay apart: once it is laid, shorter ones are tried too, and offered where the cloth that
 * is not bought is worth more than the work of the joins.
 */
const SECONDS = 1.5
const jobs = useJob()
const lays = useLay()
const shop = useShop()
const asLaid = useAsLaid()
const choices = shallowRef<readonly LayChoice[]>([])
const lengths = ref(new Map<number, number>())
const { ask, stop } = useWhatIf((answer) => {
  if (answer.kind === 'lay' && answer.lengthMm !== null)
    lengths.value = new Map(lengths.value).set(answer.key, answer.lengthMm)
})

const cloth = computed(() => firstPart(jobs.whole!).cloth)
const own = computed(() => lays.all[0] ?? null)
const isLaid = computed(
  () =>
    own.value !== null &&
    !lays.running &&
    !lays.byHand &&
    jobs.whole!.parts.some((p) => p.makeUp.piping.kind !== 'none'),
)

watch(
  [() => lays.cloths[0]?.key, isLaid],
  ([key], old) => {
    if (key !== old[0]) lengths.value = new Map()
    stop()
    if (!isLaid.value || lengths.value.size > 0) return
    choices.value = layChoices(jobs.whole!, {
      widthsMm: [],
      direction: false,
      match: false,
      piping: false,
      joins: true,
      fold: false,
    }).filter((c) => c.stripJoins > cloth.value.stripJoins)
    ask(
      choices.value.flatMap(({ problem }, i) =>
        problem ? [{ kind: 'lay' as const, key: i, problem, seconds: SECONDS }] : [],
      ),
    )
  },
  { immediate: true },
)

/** The one that saves most money, the work of its joins counted in; of equals the one with fewer joins. */
const best = computed(() => {
  if (!isLaid.value) return null
  const bought = (mm: number) => clothCost(cloth.value.cloth, mm).boughtMm
  const offers = [...lengths.value].flatMap(([i, mm]) => {
    const choice = choices.value[i]!
    const savedMm = bought(own.value!.length) - bought(mm)
    const costs = savedMm > 0 ? costsOf(choice, mm) : null
    const worth = costs && savedMoney(costs, shop.workshop.charges.hourRate)
    return worth === null
      ? []
      : [{ joins: choice.stripJoins, take: choice.take, mm, savedMm, minutes: costs!.minutes, worth }]
  })
  return offers.filter((o) => o.worth >= LEAST_MONEY).sort((a, b) => b.worth - a.worth || a.joins - b.joins)[0] ?? null
})
/** What the ticket cut so costs more than as it is. */
function costsOf({ take, problem }: LayChoice, laidMm: number): Costs | null {
  const [job, before] = [jobs.whole!, jobs.plan!]
  const changed = take(job)
  const plan = planJob(changed)
  if (plan.kind !== 'worked' || before.kind !== 'worked' || !problem) return null
  const laid = asLaid.laid()
  return costsOver(
    { job: changed, plan, laid: new Map([...laid, [problemKey(problem), laidMm]]) },
    { job, plan: before, laid: new Map(laid) },
    asLaid.prices(),
  )
}
const mm = (value: number) => formatLengthWithUnit(value, jobs.job!.units)
const take = ({ joins, take: applyToJob }: NonNullable<typeof best.value>) =>
  jobs.edit({ says: phrase`Piping joined ${joins} times more`, applyToJob })
</script>

<template>
  <p v-if="best" class="offer" role="status">
    <span
      >With {{ best.joins === 1 ? 'one more join' : `${best.joins} more joins` }} in each run of piping it lies on
      {{ mm(best.mm) }}: {{ mm(best.savedMm) }} less to buy, {{ money(best.worth, jobs.job!.currency) }} saved with
      {{ sayMinutes(best.minutes) }} of joining.</span
    >
    <button type="button" class="plain-button no-print" @click="take(best)">Join the piping</button>
  </p>
</template>
