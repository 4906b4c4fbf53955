<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Cloth } from '../../contract/index.ts'
import ClothPattern from '../drawing/ClothPattern.vue'

/** A piece of cloth to scale, with what it lacks: width across, the roll running up. */
const props = defineProps<{ cloth: Cloth; height: number; clickable?: boolean }>()
const emit = defineEmits<{ at: [acrossMm: number, alongMm: number] }>()
const id = useId()
/** So much of a roll is shown. */
const ROLL_MM = 900
const lengthMm = computed(() => {
  const { supply } = props.cloth
  return supply.kind === 'remnant'
    ? Math.max(...supply.outline.map((p) => p[1]))
    : supply.kind === 'length'
      ? Math.min(supply.lengthMm, 4 * ROLL_MM)
      : ROLL_MM
})
const k = computed(() => Math.min(props.height / lengthMm.value, (props.height * 1.6) / props.cloth.widthMm))
const outline = computed(() =>
  props.cloth.supply.kind === 'remnant'
    ? props.cloth.supply.outline
    : [
        [0, 0],
        [props.cloth.widthMm, 0],
        [props.cloth.widthMm, lengthMm.value],
        [0, lengthMm.value],
      ],
)
const x = (mm: number) => 1 + mm * k.value
const y = (mm: number) => 1 + (lengthMm.value - mm) * k.value
function click(event: MouseEvent): void {
  if (!props.clickable) return
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  emit(
    'at',
    Math.max(0, (event.clientX - box.left - 1) / k.value),
    Math.max(0, lengthMm.value - (event.clientY - box.top - 1) / k.value),
  )
}
</script>

<template>
  <svg
    :width="cloth.widthMm * k + 2"
    :height="lengthMm * k + 2"
    role="img"
    :aria-label="`${cloth.name}, to scale`"
    :class="{ clickable }"
    @click="click"
  >
    <defs>
      <ClothPattern :id="id" :cloth="cloth" :lay="null" :transform="`matrix(${k} 0 0 ${-k} ${x(0)} ${y(0)})`" />
    </defs>
    <polygon :points="outline.map(([a, b]) => `${x(a!)},${y(b!)}`).join(' ')" :fill="`url(#${id})`" class="cloth" />
    <template v-if="cloth.supply.kind !== 'remnant'">
      <rect :x="x(0)" :y="y(lengthMm)" :width="cloth.selvedgeMm[0] * k" :height="lengthMm * k" class="selvedge" />
      <rect
        :x="x(cloth.widthMm - cloth.selvedgeMm[1])"
        :y="y(lengthMm)"
        :width="cloth.selvedgeMm[1] * k"
        :height="lengthMm * k"
        class="selvedge"
      />
    </template>
    <rect
      v-for="(f, i) in cloth.flaws"
      :key="i"
      :x="x(f.xMm)"
      :y="y(f.yMm + f.lengthMm)"
      :width="Math.max(3, f.widthMm * k)"
      :height="Math.max(3, f.lengthMm * k)"
      class="flaw"
    />
    <path
      v-if="cloth.nap === 'one-way'"
      :d="`M ${x(cloth.widthMm / 2)} ${y(lengthMm * 0.3)} V ${y(lengthMm * 0.7)} m -7 9 l 7 -9 l 7 9`"
      class="pile"
    />
  </svg>
</template>

<style scoped>
.cloth {
  stroke: var(--ink);
}

.clickable {
  cursor: crosshair;
}

.selvedge {
  fill: #b5a888;
  opacity: 0.75;
}

.flaw {
  fill: var(--rust-wash);
  stroke: var(--rust);
}

.pile {
  fill: none;
  stroke: var(--field);
  stroke-width: 2.5;
}
</style>
