<script setup lang="ts">
/** The frame of a simulated device: it says that it is none, and can be put away. */
defineProps<{ name: string; does: string }>()
const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <aside class="device" :aria-label="name">
    <header>
      <b>{{ name }}</b> <span class="quiet">no real device: {{ does }}</span
      ><button type="button" class="plain-button" @click="emit('close')">Put away</button>
    </header>
    <slot />
  </aside>
</template>

<style scoped>
.device {
  border: 2px solid var(--brass);
  border-radius: 4px;
  padding: 10px 12px;
  background: var(--field);
}

header {
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 4px 10px;
}

header button {
  margin-left: auto;
}

.device :deep(p) {
  margin: 6px 0;
}

.device :deep(.row) {
  display: flex;
  align-items: center;
  gap: 10px;
  margin: 4px 0;
}

.device :deep(.row > span:first-child),
.device :deep(.row > label) {
  flex: 0 0 98px;
}
</style>
