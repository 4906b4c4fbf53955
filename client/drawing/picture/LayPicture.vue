<script setup lang="ts">
import { computed } from 'vue'
import type { Lay } from '../../../contract/index.ts'
import type { ClothLay } from '../../../core/cloth/index.ts'
import { onTheCloth } from '../../../core/lay/index.ts'
import { at, flatten } from '../../../core/outline/index.ts'
import { scaleWithin, svgPoints } from '../use-scale.ts'

/** A lay for paper: its pieces on the cloth, the roll running to the right. */
const props = defineProps<{ plan: ClothLay; lay: Lay; width: number; height: number }>()
const cloth = computed(() => props.plan.laidOn.widthMm)
const scale = computed(() =>
  scaleWithin(
    props,
    { minX: 0, maxX: props.lay.length, minY: 0, maxY: cloth.value },
    { left: 6, right: 6, top: 6, bottom: 6 },
  ),
)
const FINE_MM = 1
const pieces = computed(() =>
  props.lay.placements.flatMap((place) => {
    const piece = props.plan.pieces.find((p) => p.id === place.id)
    if (!piece) return []
    const points = flatten(piece.cut, FINE_MM).map((p) => {
      const [x, y] = onTheCloth(place, p.x, p.y)
      return at(y, cloth.value - x)
    })
    return [{ key: `${place.id} ${place.copy}`, points: svgPoints(points, scale.value) }]
  }),
)
</script>

<template>
  <svg :width="width" :height="height" role="img" :aria-label="`The lay on ${plan.cloth.name}`">
    <rect
      :x="scale.x(0)"
      :y="scale.y(cloth)"
      :width="lay.length * scale.k"
      :height="cloth * scale.k"
      fill="none"
      stroke="#222"
      stroke-width="1.4"
    />
    <polygon v-for="p in pieces" :key="p.key" :points="p.points" fill="#eee" stroke="#222" stroke-width="0.8" />
  </svg>
</template>
