<script setup lang="ts">
import { computed } from 'vue'
import { Job, textLimits, type PartJob } from '../../contract/index.ts'
import { useJob } from '../stores/job.ts'
import { vTyped } from '../ui/v-typed.ts'

defineProps<{ modelValue: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [open: boolean] }>()
const jobs = useJob()
const job = computed(() => jobs.job!)
const FIELDS = [
  { key: 'ticket', label: 'Ticket', must: true },
  { key: 'title', label: 'What it is', must: true },
  { key: 'customer', label: 'Customer', must: false },
] as const

/** An empty ticket or title is not taken; the words typed before stay. */
function set(key: 'ticket' | 'title' | 'customer' | 'note', label: string, event: Event): void {
  const text = (event.target as HTMLInputElement).value
  jobs.edit({ says: label, apply: (j: PartJob) => ({ ...j, [key]: text }) }, `ticket-${key}`)
}
</script>

<template>
  <ElDialog
    :model-value="modelValue"
    title="The ticket"
    width="520px"
    @update:model-value="emit('update:modelValue', $event)"
  >
    <div v-for="f in FIELDS" :key="f.key" class="field-row">
      <label :for="`ticket-${f.key}`">{{ f.label }}</label>
      <div>
        <input
          :id="`ticket-${f.key}`"
          v-typed="job[f.key]"
          v-bind="textLimits(Job.shape[f.key])"
          autocomplete="off"
          @change="set(f.key, f.label, $event)"
        />
      </div>
    </div>
    <div class="field-row">
      <label for="ticket-note">Note</label>
      <textarea
        id="ticket-note"
        v-typed="job.note"
        rows="4"
        v-bind="textLimits(Job.shape.note)"
        @change="set('note', 'Note', $event)"
      />
    </div>
    <p v-if="jobs.refused" role="alert" class="fault">Not taken: {{ jobs.refused }}. What was there stays.</p>
    <template #footer
      ><button type="button" class="plain-button main" @click="emit('update:modelValue', false)">Done</button></template
    >
  </ElDialog>
</template>

<style scoped>
.field-row {
  margin-bottom: 8px;
}

input,
textarea {
  width: 100%;
  min-height: var(--target);
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  background: var(--field);
  padding: 4px 9px;
  font: inherit;
  color: inherit;
}

.fault {
  color: var(--rust);
}
</style>
