<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { phrase } from '../../core/language/index.ts'
import type { Job, JobSummary } from '../../contract/index.ts'
import { addPart, partFrom, partJobs, partName } from '../../core/job/index.ts'
import { listShelf, openJob } from '../api/jobs.ts'
import { naming } from '../shelf/find-jobs.ts'
import { useJob } from '../stores/job.ts'

/** A part of an earlier job once more, its foam and make-up as they were; cloths that are not this ticket's come along. */
const props = defineProps<{ modelValue: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [open: boolean] }>()
const jobs = useJob()
const found = shallowRef<readonly JobSummary[]>([])
const words = ref('')
const opened = shallowRef<Job | null>(null)
const failed = ref('')

watch(
  () => props.modelValue,
  async (open) => {
    if (!open) return
    opened.value = null
    failed.value = ''
    found.value = await listShelf().catch((cause: Error) => ((failed.value = cause.message), []))
  },
)
/** Of the same customer first, then as they stand on the shelf. */
const listed = computed(() => {
  const own = jobs.whole?.customer ?? ''
  return found.value
    .filter((j) => j.id !== jobs.id)
    .filter(naming(words.value))
    .toSorted((a, b) => Number(b.customer === own && own !== '') - Number(a.customer === own && own !== ''))
    .slice(0, 12)
})
const choose = async (id: string) => {
  opened.value = await openJob(id)
    .then((stored) => stored.job)
    .catch((cause: Error) => ((failed.value = cause.message), null))
}
function take(letter: string): void {
  const part = partJobs(opened.value!).find((p) => p.letter === letter)!
  const name = part.name || opened.value!.title.slice(0, 60)
  const says = phrase`${name}, as on ${opened.value!.ticket}`
  if (jobs.edit({ says, applyToJob: (job) => addPart(job, partFrom(job, part), name) }))
    jobs.look(jobs.whole!.parts.at(-1)!.letter)
  emit('update:modelValue', false)
}
</script>

<template>
  <ElDialog
    :model-value="modelValue"
    title="As on an earlier job"
    width="620px"
    @update:model-value="emit('update:modelValue', $event)"
  >
    <p v-if="failed" role="alert" class="fault">{{ failed }}</p>
    <template v-if="!opened">
      <input v-model="words" class="text" aria-label="Look for" placeholder="customer, title or furniture" />
      <ul>
        <li v-for="j in listed" :key="j.id">
          <button type="button" class="plain-button" @click="choose(j.id)">{{ j.ticket }} {{ j.title }}</button>
          <span class="quiet">{{ j.customer }}</span>
        </li>
      </ul>
      <p v-if="listed.length === 0 && !failed" class="quiet">No other job is on the shelf.</p>
    </template>
    <template v-else>
      <p>{{ opened.ticket }} {{ opened.title }}: which of its cushions?</p>
      <ul>
        <li v-for="p in opened.parts" :key="p.letter">
          <button type="button" class="plain-button" @click="take(p.letter)">
            {{ opened.parts.length > 1 ? partName(p) : opened.title }}
          </button>
        </li>
      </ul>
      <button type="button" class="plain-button" @click="opened = null">Another job</button>
    </template>
  </ElDialog>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
}

li {
  margin: 4px 0;
}

.fault {
  color: var(--rust);
}
</style>
