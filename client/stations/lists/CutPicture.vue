<script setup lang="ts">
import { computed } from 'vue'
import { cutOutline, notchOnPiece } from '../../../core/cover/index.ts'
import { boxOf } from '../../../core/outline/index.ts'
import type { CutLine } from '../../../core/planned/index.ts'
import { scaleWithin, svgPath } from '../../drawing/use-scale.ts'

/** A piece as it is cut, with its notches, as large as a line of a list. */
const props = defineProps<{ line: CutLine }>()
const SIZE = { width: 70, height: 28 } as const
const MARGINS = { left: 1, right: 1, top: 1, bottom: 1 } as const
const NOTCH_PX = 4

const outline = computed(() => {
  const { shape, width, height } = props.line
  switch (shape.kind) {
    case 'panel':
      return cutOutline(shape.panel)
    case 'outline':
      return shape.outline
    case 'strip':
      return [
        { x: 0, y: 0 },
        { x: width.value, y: 0 },
        { x: width.value, y: height.value },
        { x: 0, y: height.value },
      ]
    default:
      return shape satisfies never
  }
})
const scale = computed(() => scaleWithin(SIZE, boxOf(outline.value), MARGINS))
const notches = computed(() => {
  const { shape } = props.line
  if (shape.kind !== 'panel') return []
  return shape.panel.notches.map((n) => {
    const { below } = notchOnPiece(shape.panel, n)
    const [a, b] = [below(0), below(NOTCH_PX / scale.value.k)]
    return { x1: scale.value.x(a.x), y1: scale.value.y(a.y), x2: scale.value.x(b.x), y2: scale.value.y(b.y) }
  })
})
</script>

<template>
  <svg :width="SIZE.width" :height="SIZE.height" aria-hidden="true">
    <path :d="svgPath(outline, scale)" />
    <line v-for="(n, i) in notches" :key="i" v-bind="n" />
  </svg>
</template>

<style scoped>
svg {
  display: block;
}

path {
  fill: var(--chalk-wash);
  stroke: var(--ink-soft);
}

line {
  stroke: var(--ink);
  stroke-width: 1.4;
}
</style>
