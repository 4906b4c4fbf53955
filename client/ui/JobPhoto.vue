<script setup lang="ts">
import { useObjectUrl } from '@vueuse/core'
import { shallowRef, watch } from 'vue'
import { leftPhoto } from '../offline/left-photos.ts'
import { useJob } from '../stores/job.ts'

/** A photo of the open job: from the shop, or from this browser where it waits to be sent. */
const props = defineProps<{ id: string; alt: string }>()
const jobs = useJob()
const left = shallowRef<Blob | null>(null)
const here = useObjectUrl(left)
watch(
  () => [props.id, jobs.id, jobs.revision],
  async () => (left.value = await leftPhoto(jobs.id, props.id).catch(() => null)),
  { immediate: true },
)
</script>

<template>
  <img :src="here ?? `/api/photos/${id}`" :alt="alt" loading="lazy" />
  <p v-if="left" class="quiet no-print">kept here until it can be sent</p>
</template>
