<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { LengthUnit } from '../../core/units/index.ts'
import { ruledOf } from './ruled.ts'

/**
 * A folding glass such as cloth is counted with: it lies where the pointer or the focus is, what is under it seen larger,
 * and its frame ruled to the same scale. It is looked through: what lies under it is pressed and dragged as ever.
 */
const props = defineProps<{
  /** What it is laid on. */
  over: HTMLElement | null
  /** The id of what is drawn there. */
  drawn: string
  /** Pixels of the drawing for each mm. */
  k: number
  units: LengthUnit
}>()
const at = ref<{ readonly x: number; readonly y: number; readonly byFinger: boolean } | null>(null)

function layAt(clientX: number, clientY: number, byFinger: boolean): void {
  const { left, top } = props.over!.getBoundingClientRect()
  at.value = { x: clientX - left, y: clientY - top, byFinger }
}
const over = computed(() => props.over)
useEventListener(over, ['pointermove', 'pointerdown'], (event: PointerEvent) =>
  layAt(event.clientX, event.clientY, event.pointerType === 'touch'),
)
useEventListener(over, 'pointerleave', () => (at.value = null))
useEventListener(over, 'focusin', ({ target }: FocusEvent) => {
  if (!(target instanceof SVGElement)) return
  const { left, top, width, height } = target.getBoundingClientRect()
  layAt(left + width / 2, top + height / 2, false)
})
/** Under a finger nothing is seen: it lies above it. It never lies beyond what it is laid on. */
const place = computed(() => {
  if (!at.value || !props.over) return null
  const { x, y, byFinger } = at.value
  const { clientWidth, clientHeight } = props.over
  const whole = SIDE + 2 * RIM
  const within = (from: number, most: number) => `${Math.max(0, Math.min(from, most - whole))}px`
  return {
    left: within(x - whole / 2, clientWidth),
    top: within(y - whole / 2 - (byFinger ? SIDE * 0.8 : 0), clientHeight),
  }
})
const view = computed(() => {
  const seen = SIDE / ENLARGED
  return at.value && `${at.value.x - seen / 2} ${at.value.y - seen / 2} ${seen} ${seen}`
})
const ticks = computed(() => ruledOf(SIDE, props.k * ENLARGED, props.units))
const SIDE = 216
const RIM = 15
const ENLARGED = 5
</script>

<template>
  <div v-if="place" class="glass no-print" :style="place" aria-hidden="true">
    <svg :width="SIDE + 2 * RIM" :height="SIDE + 2 * RIM" class="frame">
      <rect x="1" y="1" :width="SIDE + 2 * RIM - 2" :height="SIDE + 2 * RIM - 2" rx="5" class="rim" />
      <g v-for="t in ticks.marks" :key="t.at">
        <line :x1="RIM + t.at" :x2="RIM + t.at" :y1="RIM" :y2="RIM - t.long" />
        <line :y1="RIM + t.at" :y2="RIM + t.at" :x1="RIM" :x2="RIM - t.long" />
      </g>
      <text :x="SIDE + RIM" :y="SIDE + 2 * RIM - 4" text-anchor="end">{{ ticks.says }}</text>
    </svg>
    <svg :width="SIDE" :height="SIDE" :viewBox="view!" class="seen" :style="{ left: `${RIM}px`, top: `${RIM}px` }">
      <use :href="`#${drawn}`" />
    </svg>
  </div>
</template>

<style scoped>
.glass {
  position: absolute;
  z-index: 2;
  pointer-events: none;
  filter: drop-shadow(0 4px 8px rgb(34 40 44 / 35%));
}

.frame,
.seen {
  display: block;
}

.rim {
  fill: var(--brass);
  stroke: #5d4613;
}

.frame line {
  stroke: #33270a;
}

.frame text {
  font-size: 11px;
  font-weight: 600;
  fill: #33270a;
}

.seen {
  position: absolute;
  background: var(--paper);
  box-shadow: inset 0 0 0 1px #5d4613;

  /* Names would lie over the cloth that is looked at. */
  --tags: none;
}
</style>
