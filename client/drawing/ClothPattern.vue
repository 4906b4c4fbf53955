<script setup lang="ts">
import { computed } from 'vue'
import type { Cloth } from '../../contract/index.ts'
import { bandsWidth } from '../../core/cloth/index.ts'

/**
 * The cloth's own stripes as an SVG pattern `id`. `k` pixels for a millimetre; the repeat starts at
 * pixel `originX`/`originY`. `bandsGo` tells where the bands follow each other; `transform` lays the cloth on a slanted face.
 */
const props = defineProps<{ id: string; cloth: Cloth; k: number; originX?: number; originY?: number; bandsGo: 'right' | 'down'; transform?: string }>()
const bands = computed(() => {
  const { pattern } = props.cloth
  if (pattern.kind === 'plain') return []
  let at = 0
  return pattern.bands.map((b) => {
    const band = { at: at * props.k, width: b.widthMm * props.k, colour: b.colour }
    at += b.widthMm
    return band
  })
})
const repeat = computed(() => (props.cloth.pattern.kind === 'plain' ? 40 : bandsWidth(props.cloth.pattern.bands) * props.k))
</script>

<template>
  <pattern :id="id" patternUnits="userSpaceOnUse" :x="originX ?? 0" :y="originY ?? 0" :width="bandsGo === 'right' ? repeat : 40" :height="bandsGo === 'down' ? repeat : 40" :patternTransform="transform ?? ''">
    <rect :width="bandsGo === 'right' ? repeat : 40" :height="bandsGo === 'down' ? repeat : 40" :fill="cloth.ground" />
    <rect v-for="(b, i) in bands" :key="i" :x="bandsGo === 'right' ? b.at : 0" :y="bandsGo === 'down' ? b.at : 0" :width="bandsGo === 'right' ? b.width : 40" :height="bandsGo === 'down' ? b.width : 40" :fill="b.colour" />
  </pattern>
</template>
