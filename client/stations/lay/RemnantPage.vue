<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Cloth } from '../../../contract/index.ts'
import { setCloth } from '../../../core/job/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { sayAmountWithUnit } from '../../../core/working/index.ts'
import { RESCUES, type Attempt } from '../../../core/what-if/index.ts'
import ClothSwatch from '../../cloth/ClothSwatch.vue'
import { useJob } from '../../stores/job.ts'
import { useShop } from '../../stores/shop.ts'
import { rescueWords } from './rescue-words.ts'
import { useWhatIf } from './what-if.ts'

/** Will this job fit a cloth in hand? Yes, with the lay; or what is missing, and what would have to be given up. */
const SECONDS = 2
const jobs = useJob()
const shop = useShop()
const unit = computed(() => jobs.job!.units)
const inHand = computed(() => (shop.lists?.cloths ?? []).filter((c) => c.supply.kind !== 'to-buy'))
const wanted = ref('')
const remnant = computed<Cloth | null>(() => inHand.value.find((c) => c.id === wanted.value) ?? inHand.value[0] ?? null)
/** What is hidden may be cut from the cheapest cloth that is bought. */
const hidden = computed(
  () =>
    (shop.lists?.cloths ?? [])
      .filter((c) => c.supply.kind === 'to-buy')
      .toSorted((a, b) => a.pricePerMetre - b.pricePerMetre)[0] ?? null,
)
const attempts = ref(new Map<number, Attempt | null>())
const { open, ask, stop } = useWhatIf((answer) => {
  if (answer.kind === 'rescue') attempts.value = new Map(attempts.value).set(answer.key, answer.attempt)
})

function tryAll(): void {
  attempts.value = new Map()
  if (!remnant.value || !hidden.value) return
  ask(
    RESCUES.map((rescue, key) => ({
      kind: 'rescue' as const,
      key,
      job: jobs.whole!,
      remnant: remnant.value!,
      hidden: hidden.value!,
      rescue,
      seconds: SECONDS,
    })),
  )
}
const rows = computed(() =>
  RESCUES.flatMap((rescue, key) => {
    const attempt = attempts.value.get(key)
    return attempt === null ? [] : [{ key, says: rescueWords(rescue, hidden.value?.name ?? '', unit.value), attempt }]
  }),
)
const best = computed(() => rows.value.find((r) => r.attempt?.found))
/** Pieces that find no place, by what they are. */
function missingWords(attempt: Attempt): string {
  const counts = new Map<string, number>()
  for (const name of attempt.missing) counts.set(name.toLowerCase(), (counts.get(name.toLowerCase()) ?? 0) + 1)
  return [...counts].map(([part, n]) => `${n} ${part}`).join(', ')
}
const supplyWords = (cloth: Cloth) =>
  cloth.supply.kind === 'length' ? formatLengthWithUnit(cloth.supply.lengthMm, unit.value) : 'remnant'
</script>

<template>
  <div v-if="remnant" class="remnant">
    <div class="ask">
      <div class="field-row">
        <span class="label">Cloth in hand</span>
        <ElSelect
          :model-value="remnant.id"
          aria-label="Cloth in hand"
          @update:model-value="(id: string) => (wanted = id)"
          ><ElOption v-for="c in inHand" :key="c.id" :value="c.id" :label="`${c.name}, ${supplyWords(c)}`"
        /></ElSelect>
      </div>
      <div class="side">
        <ClothSwatch :cloth="remnant" :height="110" />
        <div>
          <button v-if="open > 0" type="button" class="plain-button" @click="stop">Stop, {{ open }} to try</button>
          <button v-else type="button" class="plain-button main" @click="tryAll">Will it fit?</button>
          <p v-if="attempts.size > 0 && open === 0" :class="best ? 'right' : 'failed'" role="status">
            {{
              best
                ? best.key === 0
                  ? 'Yes, as it is.'
                  : 'Yes, if something is given up: see below.'
                : 'No, not even with all that could be given up.'
            }}
          </p>
          <button
            v-if="best?.key === 0 && open === 0"
            type="button"
            class="plain-button"
            @click="jobs.edit(setCloth(remnant))"
          >
            Cut this job from it
          </button>
        </div>
      </div>
    </div>
    <div>
      <table v-if="attempts.size > 0" class="close-table">
        <thead>
          <tr>
            <th>Cut so</th>
            <th>Does it fit?</th>
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
          </tr>
        </tbody>
      </table>
      <p v-if="attempts.size > 0" class="quiet">
        In the order of what is seen least. Each was laid for {{ SECONDS }} s on the true outline with its flaws; a “no”
        says what the best lay left over.
      </p>
    </div>
  </div>
  <p v-else class="quiet">No length or remnant is noted in the cloth store: enter one there, with its true outline.</p>
</template>

<style scoped>
.remnant {
  display: grid;
  grid-template-columns: minmax(320px, 2fr) minmax(0, 3fr);
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

.right {
  color: var(--moss);
}

.failed {
  color: var(--rust);
}
</style>
