<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import type { AccessState } from '../../contract/index.ts'
import { accessState, setPassphrases, signOut } from '../api/records.ts'
import { useAttempt } from '../ui/use-attempt.ts'

/** Who may come in from the network. */
const router = useRouter()
const { failed, attempt } = useAttempt()
const state = shallowRef<AccessState | null>(null)
const maker = ref('')
const viewer = ref('')
const done = ref('')
const read = async () => {
  state.value = await accessState()
}
onMounted(() => attempt(read))
const keep = () => attempt(async () => {
  done.value = ''
  await setPassphrases({ ...(maker.value ? { maker: maker.value } : {}), ...(viewer.value ? { viewer: viewer.value } : {}) })
  maker.value = viewer.value = ''
  done.value = 'Kept. Everybody who was signed in says the new one.'
  await read()
})
const shutOut = () => attempt(async () => {
  await setPassphrases({ viewer: null })
  await read()
})
const out = () => attempt(async () => {
  await signOut()
  await router.push('/come-in')
})
</script>

<template>
  <section class="sheet" aria-label="On the network">
    <h2>On the network</h2>
    <template v-if="state">
      <p v-if="state.network">Open to the network at <b v-for="a in state.addresses" :key="a">{{ a }} </b>; you are here as a {{ state.role }}.</p>
      <p v-else>Open on this machine alone. To open it to phones and other machines set a passphrase here, then start it with <code>HOST=0.0.0.0</code>.</p>
      <div class="field-row"><label for="maker-words">Makers say</label><input id="maker-words" v-model="maker" type="password" class="text" maxlength="200" autocomplete="new-password" :placeholder="state.hasPassphrase.maker ? 'set; type a new one' : 'ten characters or more'" /></div>
      <div class="field-row"><label for="viewer-words">Viewers say</label><span class="fields-in-line"><input id="viewer-words" v-model="viewer" type="password" class="text" maxlength="200" autocomplete="new-password" :placeholder="state.hasPassphrase.viewer ? 'set; type a new one' : 'nobody looks without'" /><button v-if="state.hasPassphrase.viewer" type="button" class="plain-button" @click="shutOut">No viewers</button></span></div>
      <div class="fields-in-line"><button type="button" class="plain-button" :disabled="!maker && !viewer" @click="keep">Keep the passphrase</button><button v-if="state.network" type="button" class="plain-button" @click="out">Sign out</button></div>
    </template>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <p v-if="done" role="status">{{ done }}</p>
  </section>
</template>

<style scoped>
.field-row {
  margin-bottom: 6px;
}

.failed {
  color: var(--rust);
}
</style>
