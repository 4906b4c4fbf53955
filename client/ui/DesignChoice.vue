<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../core/language/index.ts'
import { useDesign } from '../stores/design.ts'
import { useJob } from '../stores/job.ts'
import ChoiceButtons from './ChoiceButtons.vue'

/** Where a seat makes cushions of several shapes: which one is shown. */
const jobs = useJob()
const design = useDesign()
const choices = computed(() =>
  (jobs.part?.cushions?.designs ?? []).map((d, i) => ({
    value: String(i),
    label: phrase`Cushion ${d.id}, ${d.count} of`,
  })),
)
</script>

<template>
  <div v-if="choices.length > 1" class="no-print">
    <ChoiceButtons
      :model-value="String(design.index)"
      :choices="choices"
      name="Which cushion"
      @update:model-value="(i: string) => (design.wanted = Number(i))"
    />
  </div>
</template>
