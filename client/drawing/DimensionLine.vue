<script setup lang="ts">
import { computed } from 'vue'
import { sayFigure, type Figure } from '../../core/working/index.ts'
import { useRouter } from 'vue-router'
import { focusField } from '../ui/focus-field.ts'
import { useHighlight } from '../stores/highlight.ts'
import { useJob } from '../stores/job.ts'

/** From (x1, y1) to (x2, y2) in pixels, level or upright; the words stand beside the line. */
const props = defineProps<{ x1: number; y1: number; x2: number; y2: number; figure?: Figure; text?: string; hideLine?: boolean }>()
const jobs = useJob()
const highlight = useHighlight()
const isUpright = computed(() => Math.abs(props.x1 - props.x2) < Math.abs(props.y1 - props.y2))
const words = computed(() => props.text ?? (props.figure ? sayFigure(props.figure, jobs.job?.units ?? 'mm') : ''))
const isLit = computed(() => props.figure !== undefined && highlight.figure === props.figure.id)
const middle = computed(() => ({ x: (props.x1 + props.x2) / 2, y: (props.y1 + props.y2) / 2 }))
/** The field behind the figure, or behind the one it is taken from: a click on the line goes there. */
const changes = computed(() => {
  const f = props.figure
  return f?.change ?? (f?.sum.kind === 'figure' ? f.sum.figure.change : undefined)
})
const router = useRouter()
const tick = 5
</script>

<template>
  <g class="dimension" :class="{ lit: isLit, field: changes }" @click="changes && focusField(router, jobs.id, changes)" @mouseenter="highlight.figure = figure?.id ?? null" @mouseleave="highlight.figure = null">
    <line :x1="x1" :y1="y1" :x2="x2" :y2="y2" />
    <template v-if="isUpright">
      <line :x1="x1 - tick" :y1="y1 + tick" :x2="x1 + tick" :y2="y1 - tick" />
      <line :x1="x2 - tick" :y1="y2 + tick" :x2="x2 + tick" :y2="y2 - tick" />
      <text :transform="`translate(${middle.x - 6} ${middle.y}) rotate(-90)`" text-anchor="middle">{{ words }}</text>
    </template>
    <template v-else>
      <line :x1="x1 - tick" :y1="y1 + tick" :x2="x1 + tick" :y2="y1 - tick" />
      <line :x1="x2 - tick" :y1="y2 + tick" :x2="x2 + tick" :y2="y2 - tick" />
      <text :x="middle.x" :y="middle.y - 6" text-anchor="middle">{{ words }}</text>
    </template>
  </g>
</template>

<style scoped>
line {
  stroke: var(--ink-soft);
  stroke-width: 1;
}

text {
  font-size: 15px;
  font-weight: 600;
}

.field {
  cursor: pointer;
}

.lit line {
  stroke: var(--chalk);
  stroke-width: 2.5;
}

.lit text {
  fill: var(--chalk);
}
</style>
