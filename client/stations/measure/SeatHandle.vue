<script setup lang="ts">
import type { Handle } from '../../../core/seat/index.ts'

/** What a hand takes hold of: a brass tack at a corner, a lens that swells the way an edge bows. */
defineProps<{
  handle: Handle
  x: number
  y: number
  /** Degrees by which the edge of a bow lies off level on the drawing. */
  slantDeg: number
  dragged: boolean
}>()
</script>

<template>
  <g class="handle" :class="{ dragged }" :data-handle="handle.id" :transform="`translate(${x} ${y})`">
    <template v-if="handle.kind === 'corner'">
      <circle r="8" />
      <circle cx="-2" cy="-2.5" r="2.6" class="gleam" />
    </template>
    <path v-else d="M -11 0 q 11 -11 22 0 q -11 11 -22 0 z" :transform="`rotate(${slantDeg})`" />
    <title>{{ handle.label }}: drag; click for more</title>
  </g>
</template>

<style scoped>
.handle {
  cursor: move;
  touch-action: none;
}

circle {
  fill: var(--brass);
  stroke: #5d4613;
  stroke-width: 1;
}

.gleam {
  fill: #f0dca0;
  stroke: none;
  pointer-events: none;
}

path {
  fill: var(--chalk-wash);
  stroke: var(--chalk);
  stroke-width: 1.6;
}

.dragged circle,
.handle:hover circle {
  stroke-width: 2.5;
}

.dragged path,
.handle:hover path {
  fill: var(--chalk);
}
</style>
