<script lang="ts">
/** For which pieces it was taken by itself since the page was opened. */
const takenFor = new Set<string>()
</script>

<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { withMatesTogether } from '../../../core/cloth/index.ts'
import { isShorter, type Easier } from '../../../core/lay/index.ts'
import { keptLay } from '../../../core/what-if/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import type { KeyedLay } from '../../stores/lay/kept-lay.ts'
import { staysAsItLies } from '../../stores/lay/working-lays.ts'
import { useRole } from '../../stores/role.ts'
import { useShop } from '../../stores/shop.ts'
import { useWhatIf } from './what-if.ts'

/**
 * Once a cloth is laid, a lay that is easier to cut is looked for in the background, and offered with what it costs. One
 * that is shorter besides takes the place of the working lay; a shop whose settings say so takes any by itself. Either
 * once for the same pieces: the planner's can be had back.
 */
const SECONDS = 2.5
/** Fewer saved are not worth the reading. */
const LEAST_SAVED = 2

const jobs = useJob()
const shop = useShop()
const { mayChange } = storeToRefs(useRole())
const lays = useLay()
const easier = shallowRef<Easier | null>(null)
const { ask, stop } = useWhatIf((answer) => {
  if (answer.kind !== 'easier') return
  easier.value = answer.easier
  const [own, found] = [lays.chosen, offer.value]
  if (!own || !found || !mayMove.value || takenFor.has(own.key)) return
  if (isShorter(layOf(own, found), lays.current!)) keep(own, found)
  else if (shop.lists?.settings.lays === 'easiest') take()
  else return
  takenFor.add(own.key)
})
const mayMove = computed(() => mayChange.value && jobs.whole !== null && !staysAsItLies(jobs.whole))
const isLaid = computed(() => lays.current !== null && !lays.running && !lays.byHand && !lays.kept?.joint)

watch(
  [() => lays.chosen?.key, () => lays.current?.length, isLaid],
  () => {
    easier.value = null
    stop()
    if (isLaid.value && lays.chosen)
      ask([{ kind: 'easier', key: 0, problem: lays.chosen.problem, lay: lays.current!, seconds: SECONDS }])
  },
  { immediate: true },
)

const offer = computed(() => {
  const found = easier.value
  return found && isLaid.value && found.before.strokes - found.now.strokes >= LEAST_SAVED ? found : null
})
const words = computed(() => {
  if (!offer.value) return ''
  const { now, before, lay } = offer.value
  const overMm = lay.length - lays.current!.length
  const mm = formatLengthWithUnit(Math.abs(overMm), jobs.job!.units)
  const costs =
    Math.abs(overMm) < 0.05 ? phrase`as long` : overMm > 0 ? phrase`costs ${mm} of cloth` : phrase`${mm} shorter`
  const saved = before.strokes - now.strokes
  const cuts =
    now.bands === 0
      ? phrase`${now.strokes} in place of ${before.strokes}`
      : now.bands === 1
        ? phrase`${now.strokes} in place of ${before.strokes}, one of them straight across`
        : phrase`${now.strokes} in place of ${before.strokes}, ${now.bands} of them straight across`
  return phrase`A lay that is easier to cut: ${costs}, saves ${saved} cuts (${cuts}).`
})
function take(): void {
  const [own, found] = [lays.chosen, offer.value]
  if (own && found) lays.takeInstead('A lay that is easier to cut', layOf(own, found))
}
/** As the planner's own: nothing to undo, and a shorter one that is found later takes its place in turn. */
const keep = (own: KeyedLay, found: Easier) =>
  jobs.keepWorkedOut('the working lay', (job) => ({
    ...job,
    lays: { ...job.lays, [own.cloth.id]: keptLay(own.key, layOf(own, found)) },
  }))
const layOf = (own: KeyedLay, { lay }: Easier) => withMatesTogether(own, { ...lay, seconds: SECONDS })
</script>

<template>
  <p v-if="offer" class="offer" role="status">
    <span>{{ words }}</span>
    <button type="button" class="plain-button no-print" @click="take">Take it</button>
  </p>
</template>
