<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { firstPart } from '../../../core/job/index.ts'
import { clothCost, layChoices, type LayChoice } from '../../../core/what-if/index.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useWhatIf } from './what-if.ts'

/**
 * Long piping strips can drive a lay apart: once it is laid, shorter ones are tried too, and offered where less cloth
 * is bought.
 */
const SECONDS = 1.5
const jobs = useJob()
const lays = useLay()
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

/** The one with the least cloth to buy, of equals the one with fewer joins. */
const best = computed(() => {
  if (!isLaid.value) return null
  const bought = (mm: number) => clothCost(cloth.value.cloth, mm).boughtMm
  const offers = [...lengths.value].map(([i, mm]) => ({
    joins: choices.value[i]!.stripJoins,
    take: choices.value[i]!.take,
    mm,
    savedMm: bought(own.value!.length) - bought(mm),
  }))
  return offers.filter((o) => o.savedMm > 0).sort((a, b) => b.savedMm - a.savedMm || a.joins - b.joins)[0] ?? null
})
const mm = (value: number) => formatLengthWithUnit(value, jobs.job!.units)
const take = ({ joins, take: applyToJob }: NonNullable<typeof best.value>) =>
  jobs.edit({ says: phrase`Piping joined ${joins} times more`, applyToJob })
</script>

<template>
  <p v-if="best" class="offer" role="status">
    <span
      >With {{ best.joins === 1 ? 'one more join' : `${best.joins} more joins` }} in each run of piping it lies on
      {{ mm(best.mm) }}: {{ mm(best.savedMm) }} less to buy.</span
    >
    <button type="button" class="plain-button no-print" @click="take(best)">Join the piping</button>
  </p>
</template>
