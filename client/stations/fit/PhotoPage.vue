<script setup lang="ts">
import { ref } from 'vue'
import { MOST_PHOTOS } from '../../../contract/index.ts'
import { removePhoto, sendPhoto } from '../../api/records.ts'
import { useJob } from '../../stores/job.ts'
import { dayOf } from '../../ui/today.ts'
import { setFitting } from './fit-edits.ts'
import { smallerPhoto } from './smaller-photo.ts'
import { vTyped } from '../../ui/v-typed.ts'

/** Photos of this job: made smaller here, kept in the shop. */
const jobs = useJob()
const failed = ref('')
const busy = ref(false)
const picker = ref<HTMLInputElement>()

async function add(event: Event): Promise<void> {
  failed.value = ''
  busy.value = true
  try {
    for (const file of (event.target as HTMLInputElement).files ?? []) {
      const id = await sendPhoto(jobs.id, await smallerPhoto(file))
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
  await removePhoto(id).catch((cause: Error) => (failed.value = cause.message))
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
    <img :src="`/api/photos/${p.id}`" :alt="p.caption || 'photo of the cushions'" loading="lazy" />
    <figcaption class="fields-in-line">
      <input
        class="text"
        v-typed="p.caption"
        maxlength="200"
        aria-label="Caption"
        placeholder="what it shows"
        @change="caption(p.id, ($event.target as HTMLInputElement).value)"
      /><span class="quiet">{{ p.day }}</span
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
