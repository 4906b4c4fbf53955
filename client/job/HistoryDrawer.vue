<script setup lang="ts">
import { ref, watch } from 'vue'
import { phrase } from '../../core/language/index.ts'
import type { RevisionSummary } from '../../contract/index.ts'
import { listRevisions, openRevision } from '../api/jobs.ts'
import { useJob } from '../stores/job.ts'
import { moment } from '../ui/manner.ts'

const props = defineProps<{ modelValue: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [open: boolean] }>()
const jobs = useJob()
const revisions = ref<readonly RevisionSummary[]>([])
const failed = ref('')

watch(
  () => props.modelValue,
  async (open) => {
    if (!open) return
    await jobs.flush()
    revisions.value = await listRevisions(jobs.id).catch((cause: Error) => ((failed.value = cause.message), []))
  },
)

/** An old revision comes back as a new one on top; nothing in between is lost. */
async function restore(revision: number): Promise<void> {
  const old = await openRevision(jobs.id, revision)
  jobs.edit({ says: phrase`Back to revision ${revision}`, applyToJob: () => old.job })
  emit('update:modelValue', false)
}
</script>

<template>
  <ElDrawer
    :model-value="modelValue"
    title="History of this job"
    size="420px"
    @update:model-value="emit('update:modelValue', $event)"
  >
    <p class="quiet">Every save is kept. Bringing one back makes a new revision on top.</p>
    <p v-if="failed" role="alert">{{ failed }}</p>
    <ol>
      <li v-for="r in revisions" :key="r.revision">
        <span
          ><b>{{ r.revision }}</b> {{ r.reason || 'saved' }}<br /><span class="quiet">{{
            moment(r.savedAt)
          }}</span></span
        >
        <button v-if="r.revision !== jobs.revision" type="button" class="plain-button" @click="restore(r.revision)">
          Bring back
        </button>
        <span v-else class="quiet">now</span>
      </li>
    </ol>
  </ElDrawer>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
}

li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  padding: 8px 0;
  border-top: 1px solid var(--paper-edge);
}
</style>
