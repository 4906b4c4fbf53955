<script setup lang="ts">
import { computed } from 'vue'
import type { ClothChoice } from '../../../contract/index.ts'
import { clothFor, seamPath, type Cover } from '../../../core/cover/index.ts'
import { boxOf } from '../../../core/outline/index.ts'
import { seen, seenFaces } from '../seen-cover.ts'
import { scaleWithin, svgPoints } from '../use-scale.ts'

/** A made-up cushion for paper: its faces in the colours of their cloths, and where it closes. */
const props = defineProps<{ cover: Cover; cloths: ClothChoice; width: number; height: number }>()
const faces = computed(() => seenFaces(props.cover))
const scale = computed(() =>
  scaleWithin(props, boxOf(faces.value.flatMap((f) => [...f.corners])), { left: 8, right: 8, top: 8, bottom: 8 }),
)
const drawn = computed(() =>
  faces.value.map((f) => ({
    key: f.key,
    points: svgPoints(f.corners, scale.value),
    fill: clothFor(props.cloths, props.cover.panels.find((p) => p.id === f.patch.panel)!.cloth).ground,
    shade: f.shade,
    isWhole: f.patch.bend === 'flat',
  })),
)
const closes = computed(() =>
  props.cover.closures.flatMap((c) => {
    const seam = props.cover.seams.find((s) => s.letter === c.seam)
    return (seam?.pairs ?? []).map((pair) => svgPoints(seamPath(props.cover, [pair]).map(seen), scale.value))
  }),
)
</script>

<template>
  <svg :width="width" :height="height" role="img" aria-label="The cushion, made up">
    <g v-for="f in drawn" :key="f.key">
      <polygon :points="f.points" :fill="f.fill" :stroke="f.isWhole ? '#222' : f.fill" stroke-width="0.8" />
      <polygon :points="f.points" fill="#222" :opacity="f.shade" />
    </g>
    <polyline
      v-for="(points, i) in closes"
      :key="i"
      :points="points"
      fill="none"
      stroke="#222"
      stroke-width="2"
      stroke-dasharray="4 3"
    />
  </svg>
</template>
