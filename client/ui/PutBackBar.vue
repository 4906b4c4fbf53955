<script setup lang="ts">
import { usePutBack } from '../stores/put-back.ts'
import { useAttempt } from './use-attempt.ts'

/** What was just taken out of a list, until it is put back or waved away. */
const putBack = usePutBack()
const { failed, attempt } = useAttempt()
</script>

<template>
  <div v-if="putBack.offer || failed" class="put-back no-print" role="status">
    <span v-if="failed" class="failed">{{ failed }}</span>
    <template v-else-if="putBack.offer">
      <span>{{ putBack.offer.says }}</span>
      <button type="button" class="plain-button main" @click="attempt(putBack.putBack)">Put it back</button>
      <button type="button" class="plain-button" @click="putBack.forget()">All right</button>
    </template>
  </div>
</template>

<style scoped>
.put-back {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  padding: 8px 18px;
  background: var(--paper);
  border-bottom: 2px solid var(--ink);
}

.failed {
  color: var(--rust);
}
</style>
