<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'

/** Whether the cloth on the table lies flat, or folded and is cut through both layers. */
const jobs = useJob()
const lays = useLay()
const id = computed(() => lays.chosen?.cloth.id ?? '')
const isFolded = computed(() => jobs.whole!.folded.includes(id.value))
const WAYS = [
  { value: 'flat', label: 'Flat' },
  { value: 'folded', label: 'Folded, two at once' },
] as const
const set = (way: string) =>
  jobs.edit({
    says: way === 'folded' ? 'Cut folded' : 'Cut flat',
    applyToJob: (job) => ({
      ...job,
      folded: way === 'folded' ? [...new Set([...job.folded, id.value])] : job.folded.filter((f) => f !== id.value),
    }),
  })
</script>

<template>
  <div class="field-row" data-field="cloth.folded">
    <span class="label">It lies</span>
    <ChoiceButtons
      :model-value="isFolded ? 'folded' : 'flat'"
      :choices="WAYS"
      name="It lies"
      @update:model-value="set"
    />
  </div>
</template>
