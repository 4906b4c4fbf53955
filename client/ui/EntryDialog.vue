<script setup lang="ts">
import { ref } from 'vue'
import { useAttempt } from './use-attempt.ts'

/** One entry of a shop list while it is changed: kept, dropped or left as it was. */
const props = defineProps<{
  title: string
  width: string
  /** Why it cannot be kept as it stands: said once something was entered, or Keep was pressed. */
  fault: string
  keep: () => Promise<void>
  /** Offered for an entry that stands in the list already. */
  drop: { readonly words: string; readonly run: () => Promise<void> } | null
}>()
const emit = defineEmits<{ close: [] }>()
const { failed, attempt } = useAttempt()
/** Something was typed or chosen in it since it was opened; told after the field took it, or drawing would put it back. */
const touched = ref(false)
const asks = ref(false)
function leave(): void {
  if (touched.value && !asks.value) asks.value = true
  else emit('close')
}

/** Keep was pressed on an entry that cannot be kept. */
const pressed = ref(false)
function keepIt(): void {
  pressed.value = props.fault !== ''
  if (!pressed.value) void andClose(props.keep)
}
const andClose = (work: () => Promise<void>) =>
  attempt(async () => {
    await work()
    emit('close')
  })
</script>

<template>
  <ElDialog :model-value="true" :title="title" :width="width" top="4vh" :before-close="leave">
    <div @input="touched = true" @change="touched = true"><slot /></div>
    <p v-if="asks" class="asks" role="alert">
      What you entered is not kept yet.
      <button type="button" class="plain-button" @click="emit('close')">Leave it</button>
      <button type="button" class="plain-button" @click="asks = false">Go on</button>
    </p>
    <p v-if="failed || (fault && (touched || pressed))" class="fault" role="alert">{{ failed || fault }}</p>
    <template #footer>
      <button v-if="drop" type="button" class="plain-button left" @click="andClose(drop.run)">{{ drop.words }}</button>
      <button type="button" class="plain-button main" @click="keepIt">Keep</button>
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
