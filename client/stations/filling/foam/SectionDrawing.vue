<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { percent, personWords } from '../../../../core/filling/index.ts'
import { formatLengthWithUnit } from '../../../../core/units/index.ts'
import { foamColour } from '../foam-colour.ts'
import { useFoam } from '../use-foam.ts'
import ForceChart from './ForceChart.vue'
import { restOf, sectionWidthMm } from './section-shape.ts'
import VerdictLine from './VerdictLine.vue'

/** Cut through under each sitter, true to scale: the body's round, the layers, the board; new and aged. Of known foam. */
const { jobs, foam, plan } = useFoam()
const place = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(place, { width: 700, height: 360 })
const load = computed(() => plan.value.loadCase)
const slams = computed(() => load.value.demands.slam > 1)
const support = computed(() => plan.value.verdict!.support)
const totalMm = computed(() => support.value.totalMm)
/** Words stand beside the section, or over it where there is no room. */
const isNarrow = computed(() => width.value < 520)
const left = computed(() => (isNarrow.value ? 4 : 124))
const right = computed(() => (isNarrow.value ? 4 : 190))
const overhead = computed(() => (isNarrow.value ? 40 : 16))
const HEAD = 34
const BOARD = 12
const rowHeight = computed(() => (height.value - HEAD) / 3)
const k = computed(() =>
  Math.max(
    0.05,
    Math.min(
      (width.value - left.value - right.value) / sectionWidthMm(load.value),
      (rowHeight.value - BOARD - overhead.value) / totalMm.value,
    ),
  ),
)
const rows = computed(() =>
  ([0, 1, 2] as const).map((which) => {
    const rest = restOf(plan.value.pressed, load.value, which)
    const floor = HEAD + (which + 1) * rowHeight.value - BOARD - 4
    const middle = left.value + (width.value - left.value - right.value) / 2
    const at = ([x, y]: readonly [number, number]) =>
      `${(middle + x * k.value).toFixed(1)},${(floor - y * k.value).toFixed(1)}`
    const half = (sectionWidthMm(load.value) / 2) * k.value
    const bands = rest.boundaries.map((line, i) => {
      const below =
        i === 0
          ? [`${middle + half},${floor}`, `${middle - half},${floor}`]
          : rest.boundaries[i - 1]!.map(at).toReversed()
      const layer = plan.value.pressed[i]!
      return { points: [...line.map(at), ...below].join(' '), fill: foamColour(layer.grade), name: layer.grade.name }
    })
    const fresh = support.value.fresh.sinks[which]
    return {
      which,
      wordsY: (floor - totalMm.value * k.value + floor) / 2 - (which === 2 ? 18 : 4),
      floor,
      middle,
      half,
      bands,
      aged: rest.aged.map(at).join(' '),
      body: rest.body.map(at).join(' '),
      rest: floor - totalMm.value * k.value,
      fresh,
      old: support.value.aged.sinks[which],
    }
  }),
)
const mm = (length: number) => formatLengthWithUnit(length, jobs.job!.units)
const kg = (mass: number) => personWords(mass, jobs.job!.units)
const NAMES = ['light', 'middle', 'heavy'] as const
</script>

<template>
  <VerdictLine :verdict="plan.verdict!" :load="load" class="verdict" />
  <div ref="place" class="section">
    <svg :width="width" :height="height" role="img" aria-label="Block cut through under each sitter, to scale">
      <text x="16" y="24" class="caption">
        Cut through under each sitter: solid new, dashed aged {{ support.years }} years
      </text>
      <g v-for="r in rows" :key="r.which">
        <line :x1="r.middle - r.half" :x2="r.middle + r.half" :y1="r.rest" :y2="r.rest" class="rest" />
        <polygon v-for="(b, i) in r.bands" :key="i" :points="b.points" :style="{ fill: b.fill }" class="foam" />
        <polyline :points="r.aged" class="aged" />
        <polyline :points="r.body" class="body" />
        <rect
          :x="r.middle - r.half"
          :y="r.floor"
          :width="2 * r.half"
          :height="foam.load.base === 'board' ? 8 : 6"
          :class="['base', foam.load.base]"
        />
        <template v-if="isNarrow">
          <text :x="left" :y="r.rest - 22" class="who">
            {{ kg(r.fresh.sitter.massKg) }}: {{ mm(r.fresh.leftMm) }} left, sinks {{ percent(r.fresh.strain) }}
          </text>
        </template>
        <template v-else>
          <text :x="16" :y="(r.rest + r.floor) / 2" class="who">{{ NAMES[r.which] }}</text>
          <text :x="16" :y="(r.rest + r.floor) / 2 + 19">{{ kg(r.fresh.sitter.massKg) }}</text>
          <text :x="r.middle + r.half + 14" :y="r.wordsY" class="who">{{ mm(r.fresh.leftMm) }} left</text>
          <text v-if="r.which === 2 && slams" :x="r.middle + r.half + 14" :y="r.wordsY + 38">
            in a slam {{ percent(support.fresh.worst.strain) }}, aged {{ percent(support.aged.worst.strain) }}
          </text>
          <text :x="r.middle + r.half + 14" :y="r.wordsY + 19">
            sinks {{ percent(r.fresh.strain) }}, aged {{ percent(r.old.strain) }}
          </text>
        </template>
      </g>
    </svg>
  </div>
  <ForceChart class="chart" />
</template>

<style scoped>
.section {
  flex: 3;
  min-height: 300px;
  overflow: hidden;
}

.chart {
  flex: 2;
  min-height: 170px;
  border-top: 1px solid var(--paper-edge);
}

.foam {
  stroke: #8d7333;
}

.rest {
  stroke: var(--field-edge);
  stroke-dasharray: 2 4;
}

.aged {
  fill: none;
  stroke: var(--ink);
  stroke-dasharray: 6 4;
}

.body {
  fill: #e9ddcd;
  fill-opacity: 0.55;
  stroke: var(--ink);
  stroke-width: 1.5;
}

.verdict {
  padding: 10px 16px 0;
}

.base {
  fill: #7d6f57;
}

.base.slats,
.base.webbing,
.base.mesh {
  fill: #c6b695;
}

text {
  font-size: 14px;
}

.who {
  font-weight: 600;
  font-size: 15px;
}
</style>
