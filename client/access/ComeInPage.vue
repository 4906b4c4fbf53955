<script setup lang="ts">
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { signIn } from '../api/records.ts'
import { useLive } from '../stores/live.ts'
import { useAttempt } from '../ui/use-attempt.ts'

/** The door of a shop that is open to the network. */
const route = useRoute()
const router = useRouter()
const live = useLive()
const { failed, attempt } = useAttempt()
const words = ref('')
/** Only to a page of this shop. */
const wanted = () =>
  typeof route.query['to'] === 'string' && /^\/(?!\/)/.test(route.query['to']) ? route.query['to'] : '/'
const come = () =>
  attempt(async () => {
    await signIn(words.value)
    live.listen()
    await router.replace(wanted())
  })
</script>

<template>
  <form class="sheet door" @submit.prevent="come">
    <h1>Loft Seam</h1>
    <label
      >Passphrase
      <input v-model="words" type="password" class="text" autocomplete="current-password" maxlength="200" autofocus
    /></label>
    <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
    <button type="submit" class="plain-button main" :disabled="words === ''">Come in</button>
  </form>
</template>

<style scoped>
.door {
  width: 360px;
  margin: 12vh auto;
  padding: 28px;
  display: grid;
  gap: 14px;
}

.failed {
  color: var(--rust);
  margin: 0;
}
</style>
