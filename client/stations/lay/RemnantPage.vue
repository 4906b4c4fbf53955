<script setup lang="ts">
import { computed, ref } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import type { Cloth } from '../../../contract/index.ts'
import { shortfallWords } from '../../../core/cloth/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { sayAmountWithUnit, sayMinutes } from '../../../core/working/index.ts'
import { RESCUES, withRescue, type Attempt } from '../../../core/what-if/index.ts'
import ClothSwatch from '../../cloth/ClothSwatch.vue'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useShop } from '../../stores/shop.ts'
import { money } from '../../ui/manner.ts'
import { useAsLaid } from './as-laid.ts'
import { hiddenCloth } from './hidden-cloth.ts'
import { missingWords, rescueWords } from './rescue-words.ts'
import { useWhatIf } from './what-if.ts'

/**
 * Will this job fit a cloth? Yes, with the lay; or how much is missing, and every way in which it would do all the
 * same, tried, priced, and taken with one press.
 */
const SECONDS = 2
/** Strips are chosen with the lay of the panels beside them. */
const STRIPS_SECONDS = 4
const jobs = useJob()
const lays = useLay()
const shop = useShop()
const asLaid = useAsLaid()
const unit = computed(() => jobs.job!.units)
const own = computed<Cloth>(() => lays.chosen?.cloth ?? jobs.job!.cloth.cloth)
/** What is on the shelf, and the cloth that the job is planned on. */
const cloths = computed(() => [
  ...(shop.lists?.cloths ?? []).filter((c) => c.supply.kind !== 'to-buy' && c.id !== own.value.id),
  own.value,
])
const wanted = ref('')
const cloth = computed(() => {
  const isShort = lays.failure !== null || own.value.supply.kind !== 'to-buy'
  return cloths.value.find((c) => c.id === wanted.value) ?? (isShort ? own.value : cloths.value[0]!)
})
const hidden = computed(() => hiddenCloth(shop.lists?.cloths ?? [], cloth.value.id))
const attempts = ref(new Map<number, Attempt | null>())
const { open, ask, stop } = useWhatIf((answer) => {
  if (answer.kind === 'rescue') attempts.value = new Map(attempts.value).set(answer.key, answer.attempt)
})

function tryAll(): void {
  attempts.value = new Map()
  if (!hidden.value) return
  ask(
    RESCUES.map((rescue, key) => ({
      kind: 'rescue' as const,
      key,
      job: jobs.whole!,
      cloths: { cloth: cloth.value, hidden: hidden.value! },
      prices: asLaid.prices(),
      rescue,
      seconds: rescue.includes('strips-to-the-lay') ? STRIPS_SECONDS : SECONDS,
    })),
  )
}
/** What does comes first, each in the order of what shows least. */
const rows = computed(() =>
  RESCUES.flatMap((rescue, key) => {
    const attempt = attempts.value.get(key)
    return attempt === null
      ? []
      : [{ key, rescue, says: rescueWords(rescue, hidden.value?.name ?? '', unit.value), attempt }]
  }).toSorted((a, b) => Number(!a.attempt?.found) - Number(!b.attempt?.found)),
)
const asItIs = computed(() => attempts.value.get(0) ?? null)
const fitting = computed(() => rows.value.filter((r) => r.attempt?.found))
const answer = computed(() => {
  if (asItIs.value?.found) return 'Yes, as it is.'
  if (open.value > 0 && !asItIs.value) return ''
  const short = asItIs.value?.shortfall ? `${shortfallWords(asItIs.value.shortfall, unit.value)}. ` : ''
  const ways = fitting.value.length
  const end =
    open.value > 0
      ? ''
      : ways === 0
        ? 'No, not even with all that could be done.'
        : phrase`Yes, in ${ways === 1 ? 'one way' : phrase`${ways} ways`}: take one below.`
  return `${short.charAt(0).toUpperCase()}${short.slice(1)}${end}`
})
function costWords({ costs }: Attempt): string {
  if (!costs) return ''
  const signed = (v: number, words: string) => phrase`${v < 0 ? '−' : '+'} ${words}`
  return [
    costs.money === null ? '' : signed(costs.money, money(Math.abs(costs.money), jobs.job!.currency)),
    Math.abs(costs.minutes) < 0.5 ? '' : signed(costs.minutes, sayMinutes(Math.abs(costs.minutes))),
  ]
    .filter((s) => s !== '')
    .join(', ')
}
function take(attempt: Attempt, says: string): void {
  if (!hidden.value) return
  const with_ = { cloth: cloth.value, hidden: hidden.value }
  jobs.edit({
    says: phrase`Cut from ${cloth.value.name}: ${says}`,
    applyToJob: (job) => withRescue(job, with_, attempt),
  })
}
const supplyWords = (c: Cloth) =>
  c.supply.kind === 'length'
    ? formatLengthWithUnit(c.supply.lengthMm, unit.value)
    : c.supply.kind === 'remnant'
      ? 'remnant'
      : 'to be bought'
</script>

<template>
  <div class="remnant">
    <div class="ask">
      <div class="field-row">
        <span class="label">Cloth</span>
        <ElSelect :model-value="cloth.id" aria-label="Cloth in hand" @update:model-value="(id: string) => (wanted = id)"
          ><ElOption v-for="c in cloths" :key="c.id" :value="c.id" :label="`${c.name}, ${supplyWords(c)}`"
        /></ElSelect>
      </div>
      <div class="side">
        <ClothSwatch :cloth="cloth" :height="110" />
        <div>
          <button v-if="open > 0" type="button" class="plain-button" @click="stop">Stop, {{ open }} to try</button>
          <button v-else type="button" class="plain-button main" @click="tryAll">Will it fit?</button>
          <p v-if="attempts.size > 0" :class="fitting.length > 0 ? 'right' : 'failed'" role="status">{{ answer }}</p>
          <button
            v-if="asItIs?.found && open === 0 && cloth.id !== own.id"
            type="button"
            class="plain-button"
            @click="take(asItIs, 'as it is')"
          >
            Cut this job from it
          </button>
        </div>
      </div>
      <p class="quiet">
        In the order of what shows least. Each way is laid for {{ SECONDS }} s, strips for {{ STRIPS_SECONDS }} s, on
        the true outline with its flaws; a “no” says what the best lay left over. Taken, it can be undone.
      </p>
    </div>
    <table v-if="attempts.size > 0" class="ruled-table close-table">
      <thead>
        <tr>
          <th>Cut so</th>
          <th>Does it fit?</th>
          <th>Beside “as it is”</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="r in rows" :key="r.key">
          <td>{{ r.says }}</td>
          <td v-if="r.attempt === undefined" class="quiet">to be tried</td>
          <td v-else-if="r.attempt?.found" class="right">
            fits, {{ formatLengthWithUnit(r.attempt.found.lay.length, unit) }} used
          </td>
          <td v-else class="failed">
            no room for {{ missingWords(r.attempt!) }}:
            {{ sayAmountWithUnit(r.attempt!.missingMm2, 'area', jobs.job!.units) }} missing
          </td>
          <td class="costs">{{ r.attempt ? costWords(r.attempt) : '' }}</td>
          <td>
            <button
              v-if="r.attempt?.found && r.key > 0"
              type="button"
              class="plain-button take"
              :aria-label="`Cut it so: ${r.says}`"
              @click="take(r.attempt, r.says.toLowerCase())"
            >
              Cut it so
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.remnant {
  display: grid;
  grid-template-columns: minmax(320px, 2fr) minmax(0, 4fr);
  gap: 24px;
  align-items: start;
}

.ask {
  display: grid;
  gap: 8px;
}

.side {
  display: flex;
  gap: 16px;
  align-items: start;
}

p {
  margin: 4px 0 0;
}

.costs,
.take {
  white-space: nowrap;
}

.right {
  color: var(--moss);
}

.failed {
  color: var(--rust);
}
</style>
