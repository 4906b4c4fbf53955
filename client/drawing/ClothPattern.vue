<script setup lang="ts">
import { computed } from 'vue'
import type { Cloth, Lay } from '../../contract/index.ts'
import { clothTile, tileStart } from './cloth-tile.ts'

/**
 * The cloth's own stripes, check or motif as an SVG pattern `id`; `transform` takes millimetres on the cloth (x across,
 * y along) to pixels.
 */
const props = defineProps<{ id: string; cloth: Cloth; lay: Lay | null; transform: string }>()
const tile = computed(() => clothTile(props.cloth))
const start = computed(() => tileStart(props.cloth, props.lay))
</script>

<template>
  <pattern
    :id="id"
    patternUnits="userSpaceOnUse"
    :x="start.across"
    :y="start.along"
    :width="tile.widthMm"
    :height="tile.lengthMm"
    :patternTransform="transform"
  >
    <rect :width="tile.widthMm" :height="tile.lengthMm" :fill="tile.ground" />
    <polygon
      v-for="(part, i) in tile.parts"
      :key="i"
      :points="part.points.map((p) => p.join()).join(' ')"
      :fill="part.colour"
      :fill-opacity="part.opacity"
    />
  </pattern>
</template>
