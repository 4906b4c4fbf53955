<script setup lang="ts">
import { computed, ref } from 'vue'
import {
  cutOutline,
  marksOnPiece,
  notchDepth,
  notchOnPiece,
  sewnOutline,
  type Panel,
} from '../../../core/cover/index.ts'
import { boxOf } from '../../../core/outline/index.ts'
import DimensionLine from '../../drawing/DimensionLine.vue'
import { edgePath, svgPath, useScale } from '../../drawing/use-scale.ts'

const props = defineProps<{ panel: Panel; count: number; notchMm: number; lit: ReadonlySet<string> }>()
const place = ref<HTMLElement | null>(null)
const cut = computed(() => cutOutline(props.panel))
const sewn = computed(() => sewnOutline(props.panel))
const box = computed(() => boxOf(cut.value))
const isStrip = computed(() => box.value.maxX - box.value.minX > LONG * (box.value.maxY - box.value.minY))
/** A strip is drawn as wide as the page; wider than high by more than this. */
const LONG = 2.6
const scale = useScale(place, box, { left: 62, right: 26, top: 46, bottom: 48 })
const notches = computed(() =>
  props.panel.notches.map((n) => {
    const { sewn: on, below } = notchOnPiece(props.panel, n)
    const top = below(0)
    const away = Math.hypot(top.x - on.x, top.y - on.y) || 1
    const outward = { x: (top.x - on.x) / away, y: (top.y - on.y) / away }
    const [x, y] = [scale.value.x(top.x), scale.value.y(top.y)]
    const depth = Math.max(5, notchDepth(props.panel, n, props.notchMm) * scale.value.k)
    return {
      letter: n.letter,
      x,
      y,
      x2: x - outward.x * depth,
      y2: y + outward.y * depth,
      ...letterPlace(x, y, outward),
    }
  }),
)
/** Inside a plate; outside a strip, which is too low for letters from both edges. */
const letterPlace = (x: number, y: number, outward: { x: number; y: number }) => {
  const by = isStrip.value ? 9 : -15
  return { tx: x + outward.x * by, ty: y - outward.y * by + 4 }
}
const litEdges = computed(() =>
  props.panel.edges.flatMap((e, i) => {
    if (!props.lit.has(`${props.panel.id}/${e.name}`)) return []
    return [edgePath(sewn.value, i, scale.value)]
  }),
)
const marks = computed(() =>
  marksOnPiece(props.panel).map((m) => ({
    kind: m.kind,
    points: m.path.map((p) => ({ x: scale.value.x(p.x), y: scale.value.y(p.y) })),
  })),
)
const zipEdges = computed(() =>
  props.panel.edges.flatMap((e, i) => {
    if (e.treatment !== 'zip' && e.treatment !== 'lap') return []
    return [edgePath(sewn.value, i, scale.value)]
  }),
)
</script>

<template>
  <figure ref="place" :class="{ strip: isStrip }">
    <svg :width="scale.width" :height="scale.height" role="img" :aria-label="`${panel.name}, to scale`">
      <text x="8" y="18" class="title">
        {{ panel.name }}
        <tspan class="times">cut {{ count }}</tspan>
      </text>
      <path :d="svgPath(cut, scale)" class="cut" />
      <path :d="svgPath(sewn, scale)" class="sew" />
      <path v-for="(z, i) in zipEdges" :key="`z${i}`" :d="z" class="zip" />
      <path v-for="(e, i) in litEdges" :key="`l${i}`" :d="e" class="lit" />
      <template v-for="(m, i) in marks" :key="`m${i}`">
        <polyline
          v-if="m.points.length > 1"
          :points="m.points.map((q) => `${q.x},${q.y}`).join(' ')"
          :class="['mark', m.kind]"
        />
        <circle v-else :cx="m.points[0]!.x" :cy="m.points[0]!.y" r="4" class="mark place" />
      </template>
      <g v-for="(n, i) in notches" :key="i">
        <line :x1="n.x" :y1="n.y" :x2="n.x2" :y2="n.y2" class="notch" />
        <text :x="n.tx" :y="n.ty" text-anchor="middle" class="letter">{{ n.letter }}</text>
      </g>
      <DimensionLine
        :x1="scale.x(box.minX)"
        :x2="scale.x(box.maxX)"
        :y1="scale.y(box.minY) + 34"
        :y2="scale.y(box.minY) + 34"
        :figure="panel.figures.cutWidth"
      />
      <DimensionLine
        :x1="scale.x(box.minX) - 22"
        :x2="scale.x(box.minX) - 22"
        :y1="scale.y(box.minY)"
        :y2="scale.y(box.maxY)"
        :figure="panel.figures.cutHeight"
      />
    </svg>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  height: 250px;
  overflow: hidden;
}

figure.strip {
  grid-column: 1 / -1;
  height: 132px;
}

.title {
  font-family: var(--slab);
  font-weight: 600;
  font-size: 16px;
}

.times {
  font-family: var(--sans);
  font-weight: 400;
  fill: var(--ink-soft);
  font-size: 14px;
}

.cut {
  fill: var(--field);
  stroke: var(--ink);
  stroke-width: 1.6;
}

.sew {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 1.5;
  stroke-dasharray: 6 3.5;
}

.zip {
  fill: none;
  stroke: var(--ink);
  stroke-width: 4;
  stroke-dasharray: 3 2;
}

.mark {
  fill: none;
  stroke: var(--ink-soft);
  stroke-width: 1.2;
  stroke-dasharray: 2 3;
}

.mark.slot,
.mark.sew {
  stroke: var(--ink);
  stroke-width: 2.5;
  stroke-dasharray: none;
}

.mark.place {
  fill: var(--field);
  stroke: var(--rust);
  stroke-width: 1.8;
  stroke-dasharray: none;
}

.lit {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 6;
  opacity: 0.55;
}

.notch {
  stroke: var(--rust);
  stroke-width: 2.5;
}

.letter {
  font-size: 12px;
  fill: var(--rust);
}
</style>
