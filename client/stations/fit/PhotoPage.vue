<script setup lang="ts">
import { ref, watch } from 'vue'
import { MOST_PHOTOS } from '../../../contract/index.ts'
import { newAct } from '../../api/http.ts'
import { removePhoto, sendPhoto } from '../../api/records.ts'
import { dropLeftPhoto, keepPhoto, leftPhotos } from '../../offline/left-photos.ts'
import { isLost } from '../../session/begun.ts'
import { useJob } from '../../stores/job.ts'
import { dayOf } from '../../ui/today.ts'
import { setFitting } from './fit-edits.ts'
import { smallerPhoto } from './smaller-photo.ts'
import { vTyped } from '../../ui/v-typed.ts'
import { wholeDay } from '../../ui/manner.ts'

/** Photos of this job: made smaller here, kept in the shop, or in this browser until the shop can be reached. */
const jobs = useJob()
const failed = ref('')
const busy = ref(false)
const picker = ref<HTMLInputElement>()
/** Photos that wait to be sent, as addresses of this page. */
const left = ref<ReadonlyMap<string, string>>(new Map())
const look = async () => (left.value = await leftPhotos(jobs.id).catch(() => new Map()))
watch(() => [jobs.id, jobs.revision], look, { immediate: true })

/** Under an id of its own from the start: sent twice it is kept once. */
async function keep(photo: Blob): Promise<string> {
  const id = newAct()
  const { id: jobId } = jobs
  await sendPhoto(jobId, photo, id).catch(async (cause: unknown) => {
    if (!isLost(cause) || !(await keepPhoto(jobId, id, photo))) throw cause
    await look()
  })
  return id
}
async function add(event: Event): Promise<void> {
  failed.value = ''
  busy.value = true
  try {
    for (const file of (event.target as HTMLInputElement).files ?? []) {
      const id = await keep(await smallerPhoto(file))
      jobs.edit(setFitting('Photo', (f) => ({ photos: [...f.photos, { id, caption: '', day: dayOf(new Date()) }] })))
    }
  } catch (cause) {
    failed.value = (cause as Error).message
  } finally {
    busy.value = false
    picker.value!.value = ''
  }
}
const caption = (id: string, text: string) =>
  jobs.edit(
    setFitting('Caption', (f) => ({ photos: f.photos.map((p) => (p.id === id ? { ...p, caption: text } : p)) })),
  )
async function drop(id: string): Promise<void> {
  jobs.edit(setFitting('Photo taken out', (f) => ({ photos: f.photos.filter((p) => p.id !== id) })))
  if (left.value.has(id)) await dropLeftPhoto(jobs.id, id)
  else await removePhoto(id).catch((cause: Error) => (failed.value = cause.message))
}
</script>

<template>
  <div class="fields-in-line">
    <button
      type="button"
      class="plain-button main"
      :disabled="busy || jobs.job!.fitting.photos.length >= MOST_PHOTOS"
      @click="picker?.click()"
    >
      {{ busy ? 'Keeping …' : 'Add photos' }}
    </button>
    <input ref="picker" type="file" accept="image/*" multiple hidden aria-label="Photos" @change="add" />
    <span class="quiet">{{ jobs.job!.fitting.photos.length }} of {{ MOST_PHOTOS }}</span>
  </div>
  <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
  <p v-if="jobs.job!.fitting.photos.length === 0" class="quiet">
    A photo of the cushions on their seat says more next year than any note.
  </p>
  <figure v-for="p in jobs.job!.fitting.photos" :key="p.id">
    <img :src="left.get(p.id) ?? `/api/photos/${p.id}`" :alt="p.caption || 'photo of the cushions'" loading="lazy" />
    <figcaption class="fields-in-line">
      <input
        class="text"
        v-typed="p.caption"
        maxlength="200"
        aria-label="Caption"
        placeholder="what it shows"
        @change="caption(p.id, ($event.target as HTMLInputElement).value)"
      /><span class="quiet">{{ wholeDay(p.day) }}{{ left.has(p.id) ? ', kept here until it can be sent' : '' }}</span
      ><button type="button" class="plain-button" @click="drop(p.id)">Take out</button>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 6px 0;
}

img {
  width: 100%;
  max-height: 260px;
  object-fit: cover;
  border: 1px solid var(--paper-edge);
}

.failed {
  color: var(--rust);
}
</style>
