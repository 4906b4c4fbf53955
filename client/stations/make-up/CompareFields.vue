<script setup lang="ts">
import { computed, ref } from 'vue'
import { schoolsFor, tryOut } from '../../../core/schools/index.ts'
import { warningWords } from '../../../core/warnings/index.ts'
import { useJob } from '../../stores/job.ts'
import { useShop } from '../../stores/shop.ts'
import FigureValue from '../../ui/FigureValue.vue'
import KeptSchools from './KeptSchools.vue'

/** Two schools side by side on the first cushion of the job. */
const jobs = useJob()
const shop = useShop()
const schools = computed(() => schoolsFor(jobs.job!, shop.lists?.settings.schools ?? []))
const wanted = ref<[string, string]>(['', ''])
const pick = (i: 0 | 1) =>
  schools.value.find((s) => s.id === wanted.value[i]) ??
  schools.value[i === 0 ? 0 : Math.min(1, schools.value.length - 1)]!
const sides = computed(() => [pick(0), pick(1)].map((s) => tryOut(jobs.job!, s)))
const labels = computed(() =>
  sides.value
    .flatMap((s) => (s.outcome.kind === 'made' ? s.outcome.rows.map((r) => r.label) : []))
    .filter((l, i, all) => all.indexOf(l) === i),
)
const rowOf = (i: number, label: string) => {
  const { outcome } = sides.value[i]!
  return outcome.kind === 'made' ? outcome.rows.find((r) => r.label === label) : undefined
}
const differs = (label: string) => {
  const [a, b] = [rowOf(0, label), rowOf(1, label)]
  return a?.figure && b?.figure ? Math.abs(a.figure.value - b.figure.value) > 0.05 : a?.words !== b?.words
}
const stopWords = (i: number) => {
  const { outcome } = sides.value[i]!
  return outcome.kind === 'stopped' ? warningWords(outcome.warning, jobs.job!.units) : null
}
</script>

<template>
  <p class="quiet says">
    Where makers differ: two schools on one cushion of this job. Nothing changes until one is taken over.
  </p>
  <div class="pair">
    <div v-for="i in [0, 1] as const" :key="i">
      <ElSelect
        :model-value="pick(i).id"
        :aria-label="i === 0 ? 'First school' : 'Second school'"
        @update:model-value="(id: string) => (wanted = i === 0 ? [id, wanted[1]] : [wanted[0], id])"
      >
        <ElOption v-for="s in schools" :key="s.id" :value="s.id" :label="s.name"
          ><b>{{ s.name }}</b> <span class="quiet">{{ s.says }}</span></ElOption
        >
      </ElSelect>
      <p class="quiet reason">{{ pick(i).says }}</p>
      <p v-if="stopWords(i)" class="stop" role="alert">{{ stopWords(i)!.says }} {{ stopWords(i)!.cure }}</p>
      <button type="button" class="plain-button" @click="jobs.edit(pick(i).edit)">Take this one</button>
    </div>
  </div>
  <table class="compare">
    <tbody>
      <tr v-for="label in labels" :key="label" :class="{ differs: differs(label) }">
        <th scope="row">{{ label }}</th>
        <td v-for="i in [0, 1]" :key="i">
          <FigureValue v-if="rowOf(i, label)?.figure" :figure="rowOf(i, label)!.figure!" bare /><template v-else>{{
            rowOf(i, label)?.words ?? ''
          }}</template>
        </td>
      </tr>
    </tbody>
  </table>
  <KeptSchools />
</template>

<style scoped>
.says,
.reason {
  margin: 0;
}

.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}

.stop {
  color: var(--rust);
  margin: 4px 0;
}

.compare th {
  text-align: left;
  font-weight: 400;
  padding-right: 12px;
}

.compare td {
  padding: 2px 12px 2px 0;
}

.differs td {
  font-weight: 600;
  box-shadow: inset 0 -2px 0 var(--chalk);
}
</style>
