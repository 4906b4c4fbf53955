<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { LEAST_PASSPHRASE, type AccessState } from '../../contract/index.ts'
import { accessState, endSession, setPassphrases, signOut } from '../api/records.ts'
import { useLive } from '../stores/live.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import { moment } from '../ui/manner.ts'

/** Who may come in from the network. */
const router = useRouter()
const { failed, attempt } = useAttempt()
const state = shallowRef<AccessState | null>(null)
const maker = ref('')
const viewer = ref('')
const current = ref('')
const live = useLive()
const done = ref('')
const read = async () => {
  state.value = await accessState()
}
onMounted(() => attempt(read))
const set = (words: Parameters<typeof setPassphrases>[0], says: string) =>
  attempt(async () => {
    done.value = ''
    await setPassphrases({ ...words, ...(state.value?.hasPassphrase.maker ? { current: current.value } : {}) })
    maker.value = viewer.value = current.value = ''
    done.value = says
    live.listen()
    await read()
  })
const keep = () =>
  set(
    { ...(maker.value ? { maker: maker.value } : {}), ...(viewer.value ? { viewer: viewer.value } : {}) },
    'Kept. Everybody else who was signed in says the new one.',
  )
const shutOut = () => set({ viewer: null }, 'Nobody comes in to look any more.')
const setOpenHere = (openHere: boolean) =>
  set({ openHere }, openHere ? 'On this machine nobody is asked.' : 'On this machine the passphrase is asked as well.')
const end = (id: string) =>
  attempt(async () => {
    state.value = await endSession(id)
  })
const out = () =>
  attempt(async () => {
    await signOut()
    await router.push('/come-in')
  })
</script>

<template>
  <section class="sheet" aria-label="On the network">
    <h2>On the network</h2>
    <template v-if="state">
      <p v-if="state.network">
        Open to the network at <b v-for="a in state.addresses" :key="a">{{ a }} </b>; you are here as a
        {{ state.role }}.
      </p>
      <p v-else>
        Open on this machine alone{{ state.asked ? ', to those who say the passphrase' : '' }}. To open it to phones and
        other machines set a passphrase here, then start it with <code>HOST=0.0.0.0</code>.
      </p>
      <div class="field-row">
        <label for="maker-words">Makers say</label
        ><input
          id="maker-words"
          v-model="maker"
          type="password"
          class="text"
          maxlength="200"
          autocomplete="new-password"
          :placeholder="state.hasPassphrase.maker ? 'set; type a new one' : `${LEAST_PASSPHRASE} characters or more`"
        />
      </div>
      <div class="field-row">
        <label for="viewer-words">Viewers say</label
        ><span class="fields-in-line"
          ><input
            id="viewer-words"
            v-model="viewer"
            type="password"
            class="text"
            maxlength="200"
            autocomplete="new-password"
            :placeholder="state.hasPassphrase.viewer ? 'set; type a new one' : 'nobody looks without'"
          /><button v-if="state.hasPassphrase.viewer" type="button" class="plain-button" @click="shutOut">
            No viewers
          </button></span
        >
      </div>
      <div v-if="state.hasPassphrase.maker" class="field-row">
        <label for="current-words">Makers say now</label
        ><input
          id="current-words"
          v-model="current"
          type="password"
          class="text"
          maxlength="200"
          autocomplete="current-password"
          placeholder="for any change here"
        />
      </div>
      <label v-if="state.hasPassphrase.maker && !state.network" class="tick"
        ><input
          type="checkbox"
          :checked="state.openHere"
          :disabled="current === ''"
          @change="setOpenHere(($event.target as HTMLInputElement).checked)"
        />
        on this machine nobody is asked</label
      >
      <div class="fields-in-line">
        <button
          type="button"
          class="plain-button"
          :disabled="(!maker && !viewer) || (state.hasPassphrase.maker && !current)"
          @click="keep"
        >
          Keep the passphrase</button
        ><button v-if="state.asked" type="button" class="plain-button" @click="out">Sign out</button>
      </div>
      <template v-if="state.sessions.length > 0">
        <h3>Signed in</h3>
        <ul>
          <li v-for="s in state.sessions" :key="s.id" class="fields-in-line">
            <span>{{ s.role }} from {{ s.from }}{{ s.yours ? ', this page' : '' }}</span
            ><span class="quiet">since {{ moment(s.since) }}, last seen {{ moment(s.last) }}</span
            ><button v-if="!s.yours" type="button" class="plain-button" @click="end(s.id)">End this one</button>
          </li>
        </ul>
      </template>
    </template>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <p v-if="done" role="status">{{ done }}</p>
  </section>
</template>

<style scoped>
h3 {
  margin: 14px 0 4px;
}

ul {
  list-style: none;
  padding: 0;
}

.field-row {
  margin-bottom: 6px;
}

.failed {
  color: var(--rust);
}
</style>
