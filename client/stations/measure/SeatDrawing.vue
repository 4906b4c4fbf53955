<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { at, boxOf, onEdge, outwardOn, vertex, type Box, type Point } from '../../../core/outline/index.ts'
import { handlesOf, shapeSeat, type Handle } from '../../../core/seat/index.ts'
import DimensionLine from '../../drawing/DimensionLine.vue'
import { edgePath, svgPath, useScale } from '../../drawing/use-scale.ts'
import { useJob } from '../../stores/job.ts'
import DimensionEditor from './DimensionEditor.vue'
import { placeMarks } from './place-marks.ts'
import SeatHandle from './SeatHandle.vue'
import type { Picked } from './picked.ts'
import { pixelOf, sketchCushions, sketchCushionWidth, sketchEdges, sketchLetters, writtenOn } from './seat-sketch.ts'
import { useDrag } from './use-drag.ts'

/** The seat from above with its front edge at the foot: every dimension is a field, corners and bows can be dragged. */
defineProps<{ picked: Picked | null }>()
const emit = defineEmits<{ pick: [picked: Picked | null] }>()
const jobs = useJob()
const place = ref<HTMLElement | null>(null)
const svg = ref<SVGSVGElement | null>(null)
const seat = computed(() => jobs.job!.seat)
const shaped = computed(() => {
  const found = shapeSeat(seat.value)
  return found.ok ? found.value : null
})
const cushions = computed(() => jobs.part!.cushions)

/** Drawn from the footprint's own origin, so that nothing jumps while a corner is dragged. */
const origin = computed(() => shaped.value?.origin ?? at(0, 0))
const bare = computed(() => shaped.value?.bare.outline ?? [])
const liveBox = computed((): Box => {
  const box = bare.value.length > 0 ? boxOf(bare.value) : { minX: 0, minY: 0, maxX: 1000, maxY: 600 }
  return {
    minX: box.minX - origin.value.x,
    minY: box.minY - origin.value.y,
    maxX: box.maxX - origin.value.x,
    maxY: box.maxY - origin.value.y,
  }
})
const frozen = shallowRef<Box | null>(null)
const scale = useScale(
  place,
  computed(() => frozen.value ?? liveBox.value),
  { left: 96, right: 84, top: 92, bottom: 96 },
)
const view = computed(() => {
  const { k, x, y } = scale.value
  return { k, x: (mm: number) => x(mm - origin.value.x), y: (mm: number) => y(mm - origin.value.y) }
})
const pixel = (p: Point) => pixelOf(view.value, p)

const handles = computed(() => handlesOf(seat.value))
const { dragged, guides, start } = useDrag(
  svg,
  scale,
  origin,
  computed(() => shaped.value?.corners.map((c) => c.at) ?? []),
)
watch(dragged, (id) => (frozen.value = id === null ? null : (frozen.value ?? liveBox.value)))

const drawn = computed(() =>
  cushions.value ? sketchCushions(seat.value, cushions.value, jobs.job!.units, view.value) : [],
)
const frontName = computed(() =>
  shaped.value?.bare.edges.some((e) => e.name === seat.value.front)
    ? seat.value.front
    : (shaped.value?.bare.edges[0]?.name ?? ''),
)
const edges = computed(() =>
  shaped.value ? sketchEdges(shaped.value, frontName.value, view.value, writtenOn(drawn.value)) : [],
)
const letters = computed(() => (shaped.value ? sketchLetters(seat.value, shaped.value, view.value) : []))
const cushionWidth = computed(() =>
  cushions.value ? sketchCushionWidth(seat.value, cushions.value, bare.value, view.value) : null,
)
const arcOf = ([from, to]: readonly [Point, Point], bulge: number) => {
  const arc = [vertex(from, bulge), to]
  return { d: edgePath(arc, 0, view.value), ...pixel(onEdge(arc, 0, 0.5)) }
}
const marks = computed(() =>
  (shaped.value ? placeMarks(shaped.value.marks, bare.value, scale.value.k) : []).map((m, i) => ({
    slot: m.slot,
    textAt: m.line[0] === m.between[0] ? [0.5, 0.36, 0.64][i % 3] : 0.5,
    line: m.line.map(pixel),
    between: m.between.map(pixel),
    arc: m.bulge === 0 ? undefined : arcOf(m.line, m.bulge),
    figure: cushions.value?.measured.find((f) => f.id === `seat.${m.slot}`),
  })),
)
const corners = computed(() =>
  (shaped.value?.corners ?? []).filter(
    (c) => bare.value.length <= 24 && !handles.value.some((h) => h.kind === 'corner' && h.of === c.name),
  ),
)

/** Degrees by which the edge of a bow lies off level on the drawing. */
function slantOf(handle: Handle): number {
  const edge = shaped.value!.bare.edges.findIndex((e) => e.name === handle.of)
  if (edge < 0) return 0
  const out = outwardOn(bare.value, edge, 0.5)
  return 90 - (Math.atan2(out.y, out.x) * 180) / Math.PI
}

const pick = (kind: Picked['kind'], name: string, p: { x: number; y: number }) =>
  emit('pick', { kind, name, x: p.x, y: p.y })
const grab = (event: PointerEvent, h: Handle) =>
  start(event, h, () => (h.kind === 'corner' ? pick('corner', h.of, pixel(h.at)) : pick('edge', h.of, pixel(h.at))))

/** The dimension that is being typed on the drawing. */
const editing = ref<{ slot: string; x: number; y: number } | null>(null)
function edit(slot: string, line: readonly { x: number; y: number }[]): void {
  const middle = { x: (line[0]!.x + line[1]!.x) / 2, y: (line[0]!.y + line[1]!.y) / 2 }
  editing.value = {
    slot,
    x: Math.min(scale.value.width - 190, Math.max(8, middle.x - 70)),
    y: Math.min(scale.value.height - 70, Math.max(8, middle.y - 18)),
  }
}
</script>

<template>
  <div ref="place" class="drawing-place">
    <svg
      ref="svg"
      :width="scale.width"
      :height="scale.height"
      role="img"
      aria-label="The seat from above, to scale"
      @click.self="emit('pick', null)"
    >
      <text x="16" y="28" class="caption">
        The seat from above, front at the foot. Click an edge, corner or dimension; drag corners and bows.
      </text>
      <path :d="svgPath(bare, view)" class="seat" />
      <g v-for="(c, i) in drawn" :key="i" class="cushion">
        <path :d="c.foot" class="foot" />
        <path v-if="c.top" :d="c.top" class="top" />
        <text :x="c.x" :y="c.y" text-anchor="middle" class="number">{{ c.number }}</text>
        <text v-if="c.size" :x="c.x" :y="c.y + 22" text-anchor="middle" class="size">{{ c.size }}</text>
        <text v-if="c.mirrored" :x="c.x" :y="c.y + 42" text-anchor="middle" class="size">{{ c.mirrored }}</text>
      </g>
      <g
        v-for="e in edges"
        :key="e.name"
        class="edge"
        :class="[e.meets, { front: e.name === frontName, picked: picked?.kind === 'edge' && picked.name === e.name }]"
      >
        <path :d="e.d" class="drawn" />
        <path :d="e.d" class="hit" :data-edge="e.name" @click="pick('edge', e.name, { x: e.x, y: e.y })">
          <title>Edge {{ e.name }}</title>
        </path>
        <text :x="e.x" :y="e.y + 4" :text-anchor="e.anchor">{{ e.words }}</text>
      </g>
      <g v-for="m in marks" :key="m.slot">
        <line
          v-for="n in [0, 1]"
          :key="n"
          :x1="m.between[n]!.x"
          :y1="m.between[n]!.y"
          :x2="m.line[n]!.x"
          :y2="m.line[n]!.y"
          class="extension"
        />
        <DimensionLine
          v-if="m.figure"
          :x1="m.line[0]!.x"
          :y1="m.line[0]!.y"
          :x2="m.line[1]!.x"
          :y2="m.line[1]!.y"
          :figure="m.figure"
          :arc="m.arc"
          :text-at="m.textAt"
          editable
          @edit="edit(m.slot, m.line)"
        />
      </g>
      <DimensionLine v-if="cushionWidth" v-bind="cushionWidth" />
      <circle
        v-for="c in corners"
        :key="c.name"
        :cx="pixel(c.at).x"
        :cy="pixel(c.at).y"
        r="7"
        class="corner"
        @click="pick('corner', c.name, pixel(c.at))"
      >
        <title>Corner {{ c.name }}</title>
      </circle>
      <SeatHandle
        v-for="h in handles"
        :key="h.id"
        :handle="h"
        v-bind="pixel(h.at)"
        :slant-deg="slantOf(h)"
        :dragged="dragged === h.id"
        @pointerdown.prevent="grab($event, h)"
      />
      <text v-for="l in letters" :key="l.name" :x="l.x" :y="l.y" text-anchor="middle" class="letter">{{ l.name }}</text>
      <line
        v-for="(g, i) in guides"
        :key="i"
        v-bind="
          g.x === undefined
            ? { x1: 0, x2: scale.width, y1: view.y(g.y!), y2: view.y(g.y!) }
            : { x1: view.x(g.x), x2: view.x(g.x), y1: 0, y2: scale.height }
        "
        class="guide"
      />
    </svg>
    <DimensionEditor
      v-if="editing"
      :key="editing.slot"
      :slot-name="editing.slot"
      :style="{ left: `${editing.x}px`, top: `${editing.y}px` }"
      @close="editing = null"
    />
    <slot />
  </div>
</template>

<style scoped>
.drawing-place {
  position: relative;
}

.seat {
  fill: #e4d6bb;
}

.foot {
  fill: var(--field);
  stroke: var(--chalk);
  stroke-width: 1.5;
}

.top {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 1.2;
  stroke-dasharray: 6 4;
}

.number {
  font-family: var(--slab);
  font-size: 22px;
  fill: var(--ink-soft);
}

.cushion,
.size {
  font-size: 14px;
  fill: var(--ink-soft);
  pointer-events: none;
}

.edge .drawn {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
  pointer-events: none;
}

.edge.front .drawn {
  stroke-width: 5;
}

.edge.wall .drawn {
  stroke-width: 8;
  stroke: #7d6f57;
}

.edge.hinge .drawn {
  stroke-dasharray: 10 5;
  stroke-width: 4;
}

.edge.hull .drawn {
  stroke-width: 7;
  stroke: #51707f;
}

.edge.picked .drawn,
.edge:hover .drawn {
  stroke: var(--chalk);
}

.edge text {
  font-size: 14px;
  fill: var(--ink-soft);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
  pointer-events: none;
}

.hit {
  fill: none;
  stroke: transparent;
  stroke-width: 22;
  cursor: pointer;
}

.extension {
  stroke: var(--field-edge);
  stroke-width: 0.8;
}

.corner {
  fill: var(--field);
  stroke: var(--ink-soft);
  cursor: pointer;
}

.letter {
  font-family: var(--slab);
  font-weight: 600;
  font-size: 17px;
  fill: var(--rust);
}

.guide {
  stroke: var(--rust);
  stroke-dasharray: 4 4;
}
</style>
