<script setup lang="ts">
import { computed, ref } from 'vue'
import {
  cutOutline,
  layDown,
  marksOnPiece,
  neighbourly,
  onPiece,
  seamLength,
  sewnOutline,
  stretchPoints,
  turnedOutline,
  type Cover,
} from '../../../core/cover/index.ts'
import { at, boxOf, boxRound, type Point } from '../../../core/outline/index.ts'
import { svgPath, useScale } from '../../drawing/use-scale.ts'
import { useZoom } from '../../drawing/use-zoom.ts'
import ZoomButtons from '../../drawing/ZoomButtons.vue'
import { useSeam } from '../../stores/seam.ts'

/** All panels of a cover flat beside their neighbours, to one scale, with the letters of their seams. */
const props = defineProps<{ cover: Cover }>()
const lit = useSeam()
const place = ref<HTMLElement | null>(null)
const laid = computed(() => neighbourly(props.cover, 26))
const box = computed(() => boxRound(laid.value.map((l) => turnedOutline(l, cutOutline(l.panel)))))
const zoom = useZoom(place, useScale(place, box, { left: 16, right: 16, top: 34, bottom: 16 }))
const { scale } = zoom
const px = (p: Point) => at(scale.value.x(p.x), scale.value.y(p.y))
const panels = computed(() =>
  laid.value.map((l) => {
    const middle = boxOf(turnedOutline(l, sewnOutline(l.panel)))
    const marks = marksOnPiece(l.panel).map((m) => ({ kind: m.kind, points: m.path.map((p) => px(layDown(l, p))) }))
    return {
      id: l.panel.id,
      name: l.panel.name,
      cut: svgPath(turnedOutline(l, cutOutline(l.panel)), scale.value),
      sew: svgPath(turnedOutline(l, sewnOutline(l.panel)), scale.value),
      centre: px(at((middle.minX + middle.maxX) / 2, (middle.minY + middle.maxY) / 2)),
      wide: (middle.maxX - middle.minX) * scale.value.k,
      high: (middle.maxY - middle.minY) * scale.value.k,
      marks,
    }
  }),
)
/** Each side of each seam, with its letter in the middle of its longest stretch. */
const sides = computed(() =>
  props.cover.seams.flatMap((seam) => {
    const isLong = seamLength(seam) > 0
    return seam.pairs.flatMap((pair, n) =>
      [pair.a, pair.b].map((on, side) => {
        const l = laid.value.find((d) => d.panel.id === on.panel)!
        const points = stretchPoints(l.panel, on, 16).map((p) => px(layDown(l, onPiece(l.panel, p))))
        const middle = points[8]!
        const length = Math.hypot(points[16]!.x - points[0]!.x, points[16]!.y - points[0]!.y)
        return {
          key: `${seam.letter} ${n} ${side}`,
          letter: seam.letter,
          kind: seam.kind,
          points: points.map((p) => `${p.x.toFixed(1)},${p.y.toFixed(1)}`).join(' '),
          middle,
          hasLetter: isLong && length > 22,
        }
      }),
    )
  }),
)
const labelFits = (p: { name: string; wide: number; high: number }) => p.wide > p.name.length * 6.6 && p.high > 18
</script>

<template>
  <div
    ref="place"
    class="drawing-place"
    tabindex="0"
    aria-label="The panels; + and - make the drawing larger and smaller, arrows move it"
  >
    <svg :width="scale.width" :height="scale.height" role="img" aria-label="Panels beside their neighbours">
      <g v-for="p in panels" :key="p.id">
        <path :d="p.cut" class="cut" />
        <path :d="p.sew" class="sew" />
        <template v-for="(m, i) in p.marks" :key="i">
          <polyline
            v-if="m.points.length > 1"
            :points="m.points.map((q) => `${q.x},${q.y}`).join(' ')"
            :class="['mark', m.kind]"
          />
          <circle v-else :cx="m.points[0]!.x" :cy="m.points[0]!.y" r="3.5" :class="['mark', m.kind]" />
        </template>
        <text v-if="labelFits(p)" :x="p.centre.x" :y="p.centre.y + 4" text-anchor="middle" class="name">
          {{ p.name }}
        </text>
      </g>
      <g
        v-for="s in sides"
        :key="s.key"
        class="seam"
        :class="{ lit: lit.letter === s.letter }"
        @mouseenter="lit.letter = s.letter"
        @mouseleave="lit.letter = null"
      >
        <polyline :points="s.points" class="catch" />
        <polyline :points="s.points" class="line" :class="s.kind" />
        <g v-if="s.hasLetter">
          <circle :cx="s.middle.x" :cy="s.middle.y" r="8" class="disc" />
          <text :x="s.middle.x" :y="s.middle.y + 4" text-anchor="middle" class="letter">{{ s.letter }}</text>
        </g>
      </g>
    </svg>
    <ZoomButtons :zoom="zoom" :of="place" name="the panels" />
  </div>
</template>

<style scoped>
.cut {
  fill: var(--field);
  stroke: var(--ink);
  stroke-width: 1.2;
}

.sew {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 1.2;
  stroke-dasharray: 5 3;
}

.catch {
  fill: none;
  stroke: transparent;
  stroke-width: 14;
}

.line {
  fill: none;
  stroke: transparent;
  stroke-width: 3;
}

.line.closure {
  stroke: var(--ink);
  stroke-dasharray: 4 2.5;
}

.seam.lit .line {
  stroke: var(--chalk);
  stroke-width: 6;
  stroke-dasharray: none;
}

.disc {
  fill: var(--field);
  stroke: var(--chalk);
}

.seam.lit .disc {
  fill: var(--chalk-wash);
  stroke-width: 2.5;
}

.letter {
  font-size: 12px;
  font-weight: 600;
  fill: var(--chalk);
}

.name {
  font-size: 13px;
  fill: var(--ink-soft);
}

.mark {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1;
  stroke-dasharray: 2 3;
}

.mark.slot,
.mark.sew {
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: none;
}

.mark.button,
.mark.tie,
.mark.vent {
  fill: var(--field);
  stroke: var(--rust);
  stroke-width: 1.6;
  stroke-dasharray: none;
}
</style>
