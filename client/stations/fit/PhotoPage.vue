<script setup lang="ts">
import { ref } from 'vue'
import { MOST_PHOTOS, Fitting, textLimits } from '../../../contract/index.ts'
import { smallerPhoto } from '../../drawing/smaller-photo.ts'
import { addPhoto, dropPhoto } from '../../offline/left-photos.ts'
import { useJob } from '../../stores/job.ts'
import JobPhoto from '../../ui/JobPhoto.vue'
import { dayOf } from '../../ui/today.ts'
import { setFitting } from './fit-edits.ts'
import { vTyped } from '../../ui/v-typed.ts'
import { wholeDay } from '../../ui/manner.ts'

/** Photos of this job: made smaller here, kept in the shop, or in this browser until the shop can be reached. */
const jobs = useJob()
const failed = ref('')
const busy = ref(false)
const picker = ref<HTMLInputElement>()

async function add(event: Event): Promise<void> {
  failed.value = ''
  busy.value = true
  try {
    for (const file of (event.target as HTMLInputElement).files ?? []) {
      const id = await addPhoto(jobs.id, await smallerPhoto(file))
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
  await dropPhoto(jobs.id, id).catch((cause: Error) => (failed.value = cause.message))
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
    <JobPhoto :id="p.id" :alt="p.caption || 'photo of the cushions'" />
    <figcaption class="fields-in-line">
      <input
        class="text"
        v-typed="p.caption"
        v-bind="textLimits(Fitting.shape.photos.element.shape.caption)"
        aria-label="Caption"
        placeholder="what it shows"
        @change="caption(p.id, ($event.target as HTMLInputElement).value)"
      /><span class="quiet">{{ wholeDay(p.day) }}</span
      ><button type="button" class="plain-button" @click="drop(p.id)">Take out</button>
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 6px 0;
}

figure :deep(img) {
  width: 100%;
  max-height: 260px;
  object-fit: cover;
  border: 1px solid var(--paper-edge);
}

.failed {
  color: var(--rust);
}
</style>
