<script setup lang="ts">
import { computed } from 'vue'
import { boxOf } from '../../../core/outline/index.ts'
import type { Solid } from '../../../core/seat/index.ts'
import { scaleWithin, svgPath } from '../use-scale.ts'

/** A block from above for paper, with its sizes. */
const props = defineProps<{ block: Solid; say: (mm: number) => string; width: number; height: number }>()
const scale = computed(() => scaleWithin(props, boxOf(props.block.outline), { left: 60, right: 8, top: 8, bottom: 26 }))
const box = computed(() => boxOf(props.block.outline))
</script>

<template>
  <svg :width="width" :height="height" role="img" aria-label="The block from above">
    <path :d="svgPath(block.outline, scale)" fill="#eee" stroke="#222" stroke-width="1.2" />
    <text
      :x="(scale.x(box.minX) + scale.x(box.maxX)) / 2"
      :y="scale.y(box.minY) + 18"
      text-anchor="middle"
      font-size="11"
    >
      {{ say(block.width.value) }}
    </text>
    <text
      :x="scale.x(box.minX) - 6"
      :y="(scale.y(box.minY) + scale.y(box.maxY)) / 2 + 4"
      text-anchor="end"
      font-size="11"
    >
      {{ say(block.depth.value) }}
    </text>
    <text
      :x="(scale.x(box.minX) + scale.x(box.maxX)) / 2"
      :y="(scale.y(box.minY) + scale.y(box.maxY)) / 2 + 4"
      text-anchor="middle"
      font-size="11"
    >
      {{ say(block.thickness.value) }} thick
    </text>
  </svg>
</template>
