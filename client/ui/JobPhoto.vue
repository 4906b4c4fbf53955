<script setup lang="ts">
import { ref, watch } from 'vue'
import { leftPhotos } from '../offline/left-photos.ts'
import { useJob } from '../stores/job.ts'

/** A photo of the open job: from the shop, or from this browser where it waits to be sent. */
defineProps<{ id: string; alt: string }>()
const jobs = useJob()
const left = ref<ReadonlyMap<string, string>>(new Map())
watch(
  () => [jobs.id, jobs.revision, jobs.job?.fitting.photos.length, jobs.job?.terms.picture],
  async () => (left.value = await leftPhotos(jobs.id).catch(() => new Map<string, string>())),
  { immediate: true },
)
</script>

<template>
  <img :src="left.get(id) ?? `/api/photos/${id}`" :alt="alt" loading="lazy" />
  <p v-if="left.has(id)" class="quiet no-print">kept here until it can be sent</p>
</template>
