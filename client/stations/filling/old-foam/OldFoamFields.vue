<script setup lang="ts">
import { computed } from 'vue'
import type { OldFoam } from '../../../../contract/index.ts'
import { judgeOldFoam, OLD_FOAM_WORDS, percent } from '../../../../core/filling/index.ts'
import LengthField from '../../../ui/LengthField.vue'
import { useFoam } from '../use-foam.ts'
import FoamTestFields from './FoamTestFields.vue'

/** May the old foam be kept, and what is a foam of which nothing is known? */
const { jobs, foam, plan, testedGrade, change } = useFoam()
const old = computed(() => foam.value.old)
const verdict = computed(() => (old.value ? judgeOldFoam(old.value, foam.value.load, testedGrade.value) : null))
const setOld = (with_: Partial<OldFoam>, says: string, key: string | null = null) =>
  change(says, (f) => (f.old ? { ...f, old: { ...f.old, ...with_ } } : f), key)
function start(): void {
  const thickness = Math.round(plan.value.sizing.block.thickness.value)
  change('Old foam', (f) => ({
    ...f,
    old: { freshMm: thickness, sunkMm: thickness, restedMm: thickness, crumbles: false, smells: false },
  }))
}
const SIZES = [
  ['freshMm', 'At an edge nobody sat on'],
  ['sunkMm', 'Where they sit, as found'],
  ['restedMm', 'There, steamed or rested a day'],
] as const
</script>

<template>
  <h2>May the old foam stay?</h2>
  <template v-if="old && verdict">
    <div v-for="[key, label] in SIZES" :key="key" class="field-row">
      <span class="label">{{ label }}</span>
      <LengthField
        :model-value="old[key]"
        :unit="jobs.job!.units"
        :name="label"
        :min="1"
        :max="1000"
        @update:model-value="setOld({ [key]: $event }, label, key)"
      />
    </div>
    <div class="signs">
      <label
        ><input
          type="checkbox"
          :checked="old.crumbles"
          @change="setOld({ crumbles: ($event.target as HTMLInputElement).checked }, 'Crumbles')"
        />
        it crumbles</label
      >
      <label
        ><input
          type="checkbox"
          :checked="old.smells"
          @change="setOld({ smells: ($event.target as HTMLInputElement).checked }, 'Smells')"
        />
        it smells</label
      >
    </div>
    <p class="verdict" :class="{ keep: verdict.keep }" role="status">
      <b>{{ verdict.keep ? 'It may stay.' : 'Replace it.' }}</b>
      {{ percent(verdict.lostShare) }} of its thickness is lost, {{ percent(Math.max(0, verdict.regainedShare)) }} came
      back with rest<template v-if="verdict.reasons.length > 0"
        >: {{ verdict.reasons.map((r) => OLD_FOAM_WORDS[r]).join('; ') }}</template
      >.
      <template v-if="!testedGrade"> Whether it still holds only a press can tell.</template>
    </p>
    <button type="button" class="plain-button" @click="change('No old foam', (f) => ({ ...f, old: null }))">
      There is no old foam
    </button>
  </template>
  <div v-else>
    <p class="quiet">
      Measure the old block at an edge nobody sat on, where they sit, and there again after steaming or a day's rest.
    </p>
    <button type="button" class="plain-button" @click="start">Judge the old foam</button>
  </div>
  <FoamTestFields />
</template>

<style scoped>
.field-row {
  grid-template-columns: 210px 1fr;
}

.signs {
  display: flex;
  gap: 20px;
}

.signs label {
  display: inline-flex;
  gap: 7px;
  align-items: center;
  min-height: 34px;
}

.verdict {
  margin: 0;
  padding: 8px 12px;
  background: var(--rust-wash);
}

.verdict.keep {
  background: var(--moss-wash);
}
</style>
