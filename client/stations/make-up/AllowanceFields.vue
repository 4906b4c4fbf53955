<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { AllowanceBook, AllowanceMm, limits } from '../../../contract/index.ts'
import { ALLOWANCE_LABELS, ALLOWANCE_NAMES, type AllowanceName } from '../../../core/cover/index.ts'
import { setAllowance, setEdgeAllowance } from '../../../core/job/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import LengthField from '../../ui/LengthField.vue'
import LearntOffer from './LearntOffer.vue'

/** The allowances of the job, and of each edge of each panel, with who set them. */
const jobs = useJob()
const design = useDesign()
const job = computed(() => jobs.job!)
const plan = computed(() => (jobs.plan?.kind === 'worked' ? jobs.plan : null))
const applies = (name: AllowanceName) => job.value.allowances.overrides[name] ?? job.value.allowances.book[name]
const setBy = (name: AllowanceName) =>
  job.value.allowances.overrides[name] === undefined
    ? "shop's book"
    : phrase`this job (book ${formatLengthWithUnit(job.value.allowances.book[name], job.value.units)})`
const own = (key: string) => job.value.allowances.edges[key]
const panels = computed(() => (plan.value ? (design.chosen?.cover.panels ?? []).filter((p) => p.role !== 'trim') : []))
</script>

<template>
  <LearntOffer />
  <div v-for="name in ALLOWANCE_NAMES" :key="name" class="field-row allowance" :data-field="`make-up.${name}`">
    <span class="label">{{ ALLOWANCE_LABELS[name] }}</span>
    <div class="one">
      <LengthField
        :model-value="applies(name)"
        :unit="job.units"
        v-bind="limits(AllowanceBook.shape[name])"
        :name="ALLOWANCE_LABELS[name]"
        @update:model-value="jobs.edit(setAllowance(name, $event, ALLOWANCE_LABELS[name]), `allowance-${name}`)"
      />
      <span class="quiet">{{ setBy(name) }}</span>
      <button
        v-if="job.allowances.overrides[name] !== undefined"
        type="button"
        class="plain-button"
        @click="jobs.edit(setAllowance(name, null, `${ALLOWANCE_LABELS[name]} by the book`))"
      >
        By the book
      </button>
    </div>
  </div>
  <h2>Edge by edge</h2>
  <details v-for="p in panels" :key="p.id">
    <summary>
      {{ p.name }} <span class="quiet">{{ p.edges.length }} edges</span>
    </summary>
    <div v-for="e in p.edges" :key="e.name" class="field-row allowance">
      <span class="label">{{ e.name }}</span>
      <div class="one">
        <LengthField
          :model-value="e.allowance.value"
          :unit="job.units"
          v-bind="limits(AllowanceMm)"
          :name="`${p.name}, ${e.name}`"
          @update:model-value="
            jobs.edit(setEdgeAllowance(`${p.id}/${e.name}`, $event, `${p.name}, ${e.name}`), `edge-${p.id}-${e.name}`)
          "
        />
        <span class="quiet">{{
          own(`${p.id}/${e.name}`) === undefined ? `${e.treatment}; ${e.allowance.rule}` : e.allowance.rule
        }}</span>
        <button
          v-if="own(`${p.id}/${e.name}`) !== undefined"
          type="button"
          class="plain-button"
          @click="jobs.edit(setEdgeAllowance(`${p.id}/${e.name}`, null, `${p.name}, ${e.name} as the make-up has it`))"
        >
          As it was
        </button>
      </div>
    </div>
  </details>
</template>

<style scoped>
.allowance {
  grid-template-columns: 176px 1fr;
}

.one {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
}

summary {
  min-height: var(--small-target);
  cursor: pointer;
}
</style>
