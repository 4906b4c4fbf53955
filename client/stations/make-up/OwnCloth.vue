<script setup lang="ts">
/** Whether a cloth is chosen for all parts of a ticket, or for the part in view alone. */
defineProps<{ isOwn: boolean; what: string }>()
const emit = defineEmits<{ set: [own: boolean] }>()
</script>

<template>
  <label class="quiet">
    <input
      type="checkbox"
      :checked="isOwn"
      :aria-label="`for these alone, ${what}`"
      @change="emit('set', ($event.target as HTMLInputElement).checked)"
    />
    for these alone
  </label>
</template>

<style scoped>
label {
  display: inline-flex;
  align-items: center;
  gap: 6px;
  min-height: var(--small-target);
}
</style>
