<script setup lang="ts">
import { computed } from 'vue'
import { sayFigure, type Figure } from '../../core/working/index.ts'
import { useRouter } from 'vue-router'
import { focusField } from '../ui/focus-field.ts'
import { useHighlight } from '../stores/highlight.ts'
import { useJob } from '../stores/job.ts'

/**
 * From (x1, y1) to (x2, y2) in pixels, at any slant or along an arc; the words stand along the line and read from below
 * or from the right.
 */
const props = defineProps<{
  x1: number
  y1: number
  x2: number
  y2: number
  figure?: Figure
  text?: string
  editable?: boolean
  arc?: { readonly d: string; readonly x: number; readonly y: number } | undefined
  textAt?: number | undefined
}>()
const emit = defineEmits<{ edit: [] }>()
const jobs = useJob()
const highlight = useHighlight()
const words = computed(() => props.text ?? (props.figure ? sayFigure(props.figure, jobs.job?.units ?? 'mm') : ''))
const isLit = computed(() => props.figure !== undefined && highlight.figure === props.figure.id)
const middle = computed(
  () =>
    props.arc ?? {
      x: props.x1 + (props.x2 - props.x1) * (props.textAt ?? 0.5),
      y: props.y1 + (props.y2 - props.y1) * (props.textAt ?? 0.5),
    },
)
/** Degrees, turned so that the words are never upside down; an upright line is read from the right. */
const slant = computed(() => {
  const degrees = (Math.atan2(props.y2 - props.y1, props.x2 - props.x1) * 180) / Math.PI
  return degrees >= 89.99 ? degrees - 180 : degrees < -90.01 ? degrees + 180 : degrees
})
/** The field behind the figure, or behind the one it is taken from: a click on the line goes there. */
const changes = computed(() => {
  const f = props.figure
  return f?.change ?? (f?.sum.kind === 'figure' ? f.sum.figure.change : undefined)
})
const router = useRouter()
/** A tape is held by a pin at each end. */
const PIN_PX = 3
function open(): void {
  if (props.editable) emit('edit')
  else if (changes.value) void focusField(router, jobs.id, changes.value)
}
</script>

<template>
  <g
    class="dimension"
    :class="{ lit: isLit, field: changes }"
    @click="open"
    @mouseenter="highlight.figure = figure?.id ?? null"
    @mouseleave="highlight.figure = null"
  >
    <path v-if="arc" :d="arc.d" />
    <line v-else :x1="x1" :y1="y1" :x2="x2" :y2="y2" />
    <circle :cx="x1" :cy="y1" :r="PIN_PX" />
    <circle :cx="x2" :cy="y2" :r="PIN_PX" />
    <text :transform="`translate(${middle.x} ${middle.y}) rotate(${slant}) translate(0 -6)`" text-anchor="middle">{{
      words
    }}</text>
  </g>
</template>

<style scoped>
line,
path {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1;
}

circle {
  fill: var(--ink-soft);
}

text {
  font-size: 15px;
  font-weight: 600;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}

.field {
  cursor: pointer;
}

.lit line,
.lit path {
  stroke: var(--chalk);
  stroke-width: 2.5;
}

.lit circle,
.lit text {
  fill: var(--chalk);
}
</style>
