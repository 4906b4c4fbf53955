<script setup lang="ts">
import { useAttempt } from './use-attempt.ts'

/** One entry of a shop list while it is changed: kept, dropped or left as it was. */
const props = defineProps<{
  title: string
  width: string
  /** Why it cannot be kept as it stands. */
  fault: string
  keep: () => Promise<void>
  /** Offered for an entry that stands in the list already. */
  drop: { readonly words: string; readonly run: () => Promise<void> } | null
}>()
const emit = defineEmits<{ close: [] }>()
const { failed, attempt } = useAttempt()

const andClose = (work: () => Promise<void>) =>
  attempt(async () => {
    await work()
    emit('close')
  })
</script>

<template>
  <ElDialog :model-value="true" :title="title" :width="width" top="4vh" @update:model-value="emit('close')">
    <slot />
    <p v-if="failed || fault" class="fault" role="alert">{{ failed || fault }}</p>
    <template #footer>
      <button v-if="drop" type="button" class="plain-button left" @click="andClose(drop.run)">{{ drop.words }}</button>
      <button type="button" class="plain-button main" :disabled="fault !== ''" @click="andClose(props.keep)">
        Keep
      </button>
    </template>
  </ElDialog>
</template>

<style scoped>
.fault {
  color: var(--rust);
}

.left {
  margin-right: auto;
}
</style>
