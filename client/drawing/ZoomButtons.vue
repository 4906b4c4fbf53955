<script setup lang="ts">
import { useFullscreen } from '@vueuse/core'
import { computed } from 'vue'
import { STEP, type Zoom } from './use-zoom.ts'

/** Nearer, farther, all of it, and the whole screen for one drawing. */
const props = defineProps<{ zoom: Pick<Zoom, 'factor' | 'by' | 'fit'>; of: HTMLElement | null; name: string }>()
const { isFullscreen, isSupported, toggle } = useFullscreen(computed(() => props.of))
const isFitted = computed(() => props.zoom.factor.value === 1)
</script>

<template>
  <div class="zoom no-print" role="group" :aria-label="`Size of ${name}`">
    <button
      type="button"
      class="plain-button"
      aria-label="Larger"
      title="Larger: + or the wheel"
      @click="zoom.by(STEP)"
    >
      +
    </button>
    <button
      type="button"
      class="plain-button"
      aria-label="Smaller"
      title="Smaller: -"
      :disabled="isFitted"
      @click="zoom.by(1 / STEP)"
    >
      −
    </button>
    <button type="button" class="plain-button" title="All of it: 0" :disabled="isFitted" @click="zoom.fit()">
      All
    </button>
    <slot />
    <button v-if="isSupported" type="button" class="plain-button" @click="toggle">
      {{ isFullscreen ? 'Back' : 'Whole screen' }}
    </button>
  </div>
</template>

<style scoped>
.zoom {
  position: absolute;
  top: 6px;
  right: 8px;
  display: flex;
  gap: 4px;
}

/* Beside words, where there is no drawing to lie over. */
.zoom.in-line {
  position: static;
  display: inline-flex;
}

button {
  min-width: 32px;
  min-height: var(--small-target);
  padding: 2px 8px;
}
</style>
