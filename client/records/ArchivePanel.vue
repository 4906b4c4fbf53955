<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import type { ArchiveLook } from '../../contract/index.ts'
import { ARCHIVE_ADDRESS, lookIntoArchive, takeArchive } from '../api/records.ts'
import { useLive } from '../stores/live.ts'
import { useShop } from '../stores/shop.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import { moment } from '../ui/manner.ts'

/** Everything in one file, out and in; what comes in is shown first and never overwrites what is here. */
const live = useLive()
const shop = useShop()
const { failed, attempt } = useAttempt()
const picker = ref<HTMLInputElement>()
const found = shallowRef<ArchiveLook | null>(null)
const state = ref<'idle' | 'reading' | 'taking' | 'done'>('idle')

const open = (event: Event) =>
  attempt(async () => {
    const file = (event.target as HTMLInputElement).files?.[0]
    if (!file) return
    found.value = null
    state.value = 'reading'
    try {
      found.value = await lookIntoArchive(file)
    } finally {
      state.value = 'idle'
      picker.value!.value = ''
    }
  })
const take = () =>
  attempt(async () => {
    state.value = 'taking'
    live.importShare = 0
    try {
      await takeArchive(found.value!.token)
      await shop.readAgain()
      state.value = 'done'
      found.value = null
    } catch (cause) {
      state.value = 'idle'
      throw cause
    } finally {
      live.importShare = null
    }
  })
</script>

<template>
  <section class="sheet" aria-label="Archive">
    <h2>Everything in one file</h2>
    <div class="fields-in-line">
      <a class="plain-button" :href="ARCHIVE_ADDRESS" download>Save the archive</a>
      <button
        type="button"
        class="plain-button"
        :disabled="state === 'reading' || state === 'taking'"
        @click="picker?.click()"
      >
        {{ state === 'reading' ? 'Reading …' : 'Open an archive' }}
      </button>
      <input ref="picker" type="file" accept=".zip,application/zip" hidden aria-label="Archive file" @change="open" />
    </div>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <div v-if="found">
      <p>
        From {{ found.shopName }}, saved {{ moment(found.savedAt) }}: {{ found.jobs }} jobs, {{ found.photos }} photos.
        Of these {{ found.newJobs }} jobs are not here yet, {{ found.newerJobs }} were saved later there;
        {{ found.things }} cloths, grades, foams and trims are new.
      </p>
      <p class="quiet">
        Jobs saved later come in as a new revision on top; everything that is here stays. A backup is made first.
      </p>
      <progress v-if="state === 'taking'" :value="live.importShare ?? 0" max="1" aria-label="Taken in" />
      <button v-else type="button" class="plain-button main" @click="take">Take it in</button>
    </div>
    <p v-if="state === 'done'" role="status">It is all in.</p>
  </section>
</template>

<style scoped>
.failed {
  color: var(--rust);
}
</style>
