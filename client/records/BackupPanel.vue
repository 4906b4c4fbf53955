<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { phrase } from '../../core/language/index.ts'
import type { Backup, BackupContents } from '../../contract/index.ts'
import { listBackups, lookIntoBackup, makeBackup, restoreBackup } from '../api/records.ts'
import { useShop } from '../stores/shop.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import { moment } from '../ui/manner.ts'

/** Dated copies of the whole shop; one is opened and shown before it is put back. */
const shop = useShop()
const { failed, attempt } = useAttempt()
const backups = shallowRef<readonly Backup[]>([])
const looked = ref<{ readonly backup: Backup; readonly holds: BackupContents | null } | null>(null)
const done = ref('')
const busy = ref(false)
const read = async () => {
  backups.value = await listBackups()
}
onMounted(() => attempt(read))
const KINDS: Readonly<Record<Backup['kind'], string>> = {
  timed: 'by the clock',
  manual: 'your own',
  'before-restore': 'before one was put back',
  'before-import': 'before an archive came in',
  'before-migration': 'before an update',
}
const make = () =>
  attempt(async () => {
    done.value = phrase`Made: ${moment((await makeBackup()).savedAt)}.`
    await read()
  })
const look = (backup: Backup) =>
  attempt(async () => {
    looked.value = { backup, holds: null }
    looked.value = { backup, holds: await lookIntoBackup(backup.name) }
  })
const restore = (backup: Backup) =>
  attempt(async () => {
    busy.value = true
    try {
      const before = await restoreBackup(backup.name)
      looked.value = null
      done.value = phrase`The shop is as it was on ${moment(backup.savedAt)}. What was there until now is kept as the backup of ${moment(before.savedAt)}.`
      await shop.readAgain()
      await read()
    } finally {
      busy.value = false
    }
  })
</script>

<template>
  <section class="sheet" aria-label="Backups">
    <div class="head">
      <h2>Backups</h2>
      <button type="button" class="plain-button main" @click="make">Make one now</button>
    </div>
    <p class="quiet">
      While something is saved one is made every hour. One of each hour of the last day is kept, of each day of two
      weeks, each week of two months and each month of two years; your own and those made before a change are kept
      beside them.
    </p>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <p v-if="done" role="status">{{ done }}</p>
    <ol>
      <li v-for="b in backups" :key="b.name">
        <div class="fields-in-line">
          <span>{{ moment(b.savedAt) }}</span><span class="quiet">{{ KINDS[b.kind] }}</span
          ><span class="quiet">{{ (b.bytes / 1024 / 1024).toFixed(1) }} MB</span
          ><button type="button" class="plain-button" @click="look(b)">What is in it</button>
        </div>
        <div v-if="looked?.backup.name === b.name" class="holds">
          <p v-if="!looked.holds" class="quiet">Opening it apart …</p>
          <p v-else-if="looked.holds.kind === 'damaged'" class="failed">
            It is damaged: {{ looked.holds.why }}. Try an older one.
          </p>
          <template v-else>
            <p>
              {{ looked.holds.shopName }}: {{ looked.holds.jobs }} jobs in {{ looked.holds.revisions }} revisions,
              {{ looked.holds.cloths }} cloths, {{ looked.holds.photos }} photos; last saved
              {{ looked.holds.newestSave ? moment(looked.holds.newestSave) : 'never' }}.
            </p>
            <p v-if="looked.holds.newer" class="failed">It was written by a newer release: update first.</p>
            <button v-else type="button" class="plain-button" :disabled="busy" @click="restore(b)">
              {{ busy ? 'Putting it back …' : 'Put everything back to this' }}
            </button>
          </template>
        </div>
      </li>
    </ol>
    <p v-if="backups.length === 0" class="quiet">None yet.</p>
  </section>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
}

ol {
  list-style: none;
  padding: 0;
}

li {
  border-top: 1px solid var(--paper-edge);
  padding: 5px 0;
}

.holds {
  padding: 6px 10px;
  background: var(--note);
}

.failed {
  color: var(--rust);
}
</style>
