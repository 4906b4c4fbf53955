<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { neverAbreast } from '../../../core/lay/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { sayMinutes } from '../../../core/working/index.ts'
import { LEAST_MONEY, SAVINGS, savedMoney, withSaved, type Saved } from '../../../core/what-if/index.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import { useShop } from '../../stores/shop.ts'
import { money } from '../../ui/manner.ts'
import { useAsLaid } from './as-laid.ts'
import { hiddenCloth } from './hidden-cloth.ts'
import { savingWords } from './saving-words.ts'
import { useWhatIf } from './what-if.ts'

/**
 * What would make this lay shorter: each change tried by itself in the background, ranked by what it saves in money, work
 * counted in.
 */
const SECONDS = 2
/** Strips are chosen with the lay of the panels beside them: two searches, one after the other. */
const STRIPS_SECONDS = 5

const jobs = useJob()
const lays = useLay()
const shop = useShop()
const asLaid = useAsLaid()
const unit = computed(() => jobs.job!.units)
const chosen = computed(() => lays.chosen)
const lay = computed(() => lays.current)
const hidden = computed(() => hiddenCloth(shop.lists?.cloths ?? [], chosen.value?.cloth.id))
const cloths = computed(() =>
  chosen.value ? { cloth: chosen.value.cloth, hidden: hidden.value ?? chosen.value.cloth } : null,
)
const tried = ref(new Map<number, Saved | null>())
const { open, ask, stop } = useWhatIf((answer) => {
  if (answer.kind === 'saving') tried.value = new Map(tried.value).set(answer.key, answer.saved)
})
const isLaid = computed(() => lays.current !== null && !lays.running)
watch(
  [() => chosen.value?.key, isLaid],
  ([key], [before]) => {
    if (key === before && tried.value.size > 0) return
    stop()
    tried.value = new Map()
    if (isLaid.value) tryAll(true)
  },
  { immediate: true },
)

function tryAll(quietly = false): void {
  tried.value = new Map()
  ask(
    SAVINGS.map((saving, key) => ({
      kind: 'saving' as const,
      key,
      job: jobs.whole!,
      cloths: cloths.value!,
      prices: asLaid.prices(),
      saving,
      laid: asLaid.laid(),
      lay: lay.value,
      seconds: saving === 'strips-to-the-lay' ? STRIPS_SECONDS : SECONDS,
    })),
    quietly,
  )
}

const worth = ({ costs }: Saved): number | null => {
  const saved = costs && savedMoney(costs, shop.workshop.charges.hourRate)
  return saved === null ? null : whole(saved, LEAST_MONEY)
}
/** Nothing in sight is nought, and never below it. */
const whole = (value: number, least: number): number => (Math.abs(value) < least / 2 ? 0 : value)
const rows = computed(() =>
  [...tried.value.values()]
    .flatMap((saved) => (saved ? [{ saved, worth: worth(saved) }] : []))
    .toSorted((a, b) => (b.worth ?? -Infinity) - (a.worth ?? -Infinity)),
)
const nothingSaves = computed(
  () => open.value === 0 && rows.value.length > 0 && rows.value.every((r) => (r.worth ?? 0) < LEAST_MONEY),
)
const mm = (v: number) => formatLengthWithUnit(v, unit.value)
const says = (saved: Saved) => savingWords(saved, hidden.value?.name ?? '', unit.value)
const shorter = ({ laidMm }: Saved) => (laidMm === null || !lay.value ? null : lay.value.length - laidMm)
const take = (saved: Saved) =>
  jobs.edit({ says: says(saved), applyToJob: (job) => withSaved(job, cloths.value!, saved) })

/** What the length is owed to, as far as it is known. */
const owed = computed(() => {
  if (!chosen.value || !lay.value) return []
  const { pieces, lengthMm } = neverAbreast(chosen.value.problem)
  const names = new Map<string, number>()
  for (const { id, qty } of pieces) {
    const piece = chosen.value.pieces[chosen.value.problem.pieces.findIndex((p) => p.id === id)]
    const name = (piece?.of?.panel.name ?? piece?.name ?? id).toLowerCase()
    names.set(name, (names.get(name) ?? 0) + qty)
  }
  const wide = [...names].map(([name, n]) => phrase`${n} ${name}`).join(', ')
  const unmatched = [...tried.value.values()].find((s) => s?.saving === 'unmatched')?.laidMm
  const match = unmatched === null || unmatched === undefined ? 0 : lay.value.length - unmatched
  return [
    ...(pieces.length > 1
      ? [
          phrase`None of these lies beside another, since each is wider than half of the cloth: ${wide}. They take ${mm(lengthMm)} of the ${mm(lay.value.length)}.`,
        ]
      : []),
    ...(match > 0.5 ? [phrase`Matching the pattern takes ${mm(match)}.`] : []),
  ]
})
</script>

<template>
  <section v-if="chosen && lay" class="saves">
    <div class="top">
      <h3>What would make it shorter?</h3>
      <button v-if="open > 0" type="button" class="plain-button no-print" @click="stop">Stop, {{ open }} to try</button>
      <button v-else type="button" class="plain-button no-print" @click="tryAll()">Try every change</button>
    </div>
    <p v-for="line in owed" :key="line" class="quiet">{{ line }}</p>
    <p v-if="nothingSaves" role="status">Nothing that was tried saves money: this way of cutting is the cheapest.</p>
    <table v-if="rows.length > 0" class="ruled-table close-table">
      <thead>
        <tr>
          <th>Change</th>
          <th class="n">Shorter by</th>
          <th class="n">Cloth and trims</th>
          <th class="n">Work</th>
          <th class="n">Saves</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ saved, worth: saves } in rows" :key="saved.saving" :class="{ good: (saves ?? 0) >= LEAST_MONEY }">
          <td>{{ says(saved) }}</td>
          <template v-if="saved.laidMm === null">
            <td colspan="5" class="quiet">does not go on this cloth</td>
          </template>
          <template v-else>
            <td class="n">{{ mm(shorter(saved)!) }}</td>
            <td class="n">
              {{ saved.costs?.money == null ? '' : money(whole(saved.costs.money, LEAST_MONEY), jobs.job!.currency) }}
            </td>
            <td class="n">{{ saved.costs ? sayMinutes(whole(saved.costs.minutes, 1)) : '' }}</td>
            <td class="n">{{ saves === null ? '' : money(saves, jobs.job!.currency) }}</td>
            <td>
              <button
                v-if="saved.saving !== 'wider-cloth'"
                type="button"
                class="plain-button no-print"
                :aria-label="phrase`Take: ${says(saved)}`"
                @click="take(saved)"
              >
                Take
              </button>
            </td>
          </template>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length > 0" class="quiet">
      Each change by itself, searched for {{ SECONDS }} s, strips for {{ STRIPS_SECONDS }} s, beside the lay as it is;
      work at {{ money(shop.workshop.charges.hourRate, jobs.job!.currency) }} an hour.
    </p>
  </section>
</template>

<style scoped>
.saves {
  display: grid;
  gap: 8px;
  margin-bottom: 18px;
}

.top {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
}

.good {
  background: var(--chalk-wash);
}

h3,
p {
  margin: 0;
}
</style>
