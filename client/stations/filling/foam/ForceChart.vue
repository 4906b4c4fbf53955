<script setup lang="ts">
import type { ChartOptions } from 'chart.js'
import { computed } from 'vue'
import { phrase } from '../../../../core/language/index.ts'
import {
  forceAt,
  hardnessOf,
  isJudgeable,
  mainGrade,
  PACKED_STRAIN,
  pressed,
  stackOf,
  type SettledLayer,
  type Sunk,
} from '../../../../core/filling/index.ts'
import { amountFactor, amountUnit, mmPerUnit, unitName } from '../../../../core/units/index.ts'
import { useShop } from '../../../stores/shop.ts'
import { Scatter } from '../../../ui/chart.ts'
import { comparedGrade } from './compared.ts'
import { useFoam } from '../use-foam.ts'

/**
 * The force that holds a body so deep: this block new and aged, another grade beside it, and where the sitters come to
 * rest.
 */
const { jobs, foam, plan } = useFoam()
const shop = useShop()
const load = computed(() => plan.value.loadCase)
const toUnit = computed(() => mmPerUnit(jobs.job!.units))
const toForce = computed(() => amountFactor('force', jobs.job!.units))
const others = computed(() =>
  (shop.lists?.grades ?? [])
    .filter((g) => g.id !== mainGrade(foam.value.layers).id && isJudgeable([{ grade: g, thicknessMm: 1 }]))
    .toSorted((a, b) => hardnessOf(a)! - hardnessOf(b)!),
)
const other = computed(() => others.value.find((g) => g.id === comparedGrade.value) ?? null)
const mostN = computed(() => load.value.sitters[2].slamN * 1.15)
const POINTS = 60

/** Up to a little more than the heaviest presses. */
function points(layers: readonly SettledLayer[], lifeShare: number) {
  const stack = stackOf(pressed(layers, lifeShare))
  const all = Array.from({ length: POINTS }, (_, i) => {
    const depthMm = (PACKED_STRAIN * stack.totalMm * i) / POINTS
    return { x: depthMm / toUnit.value, y: forceAt(depthMm, load.value.body, stack) / toForce.value }
  })
  return all.filter((p, i) => i === 0 || all[i - 1]!.y <= mostN.value / toForce.value)
}
const line = (label: string, layers: readonly SettledLayer[], lifeShare: number, colour: string, dash: number[]) => ({
  label,
  data: points(layers, lifeShare),
  showLine: true,
  pointRadius: 0,
  borderColor: colour,
  backgroundColor: colour,
  borderWidth: 2,
  borderDash: dash,
})
const data = computed(() => {
  const block = plan.value.pressed
  const { fresh } = plan.value.verdict!.support
  const { totalMm } = plan.value.verdict!.support
  const at = (s: Sunk, forceN: number) => ({ x: s.depthMm / toUnit.value, y: forceN / toForce.value })
  const atRest = fresh.sinks.map((s) => at(s, s.sitter.restN))
  const { slamN, restN } = load.value.sitters[2]
  return {
    datasets: [
      line('this block, new', block, 0, '#2a638e', []),
      line('aged', block, 1, '#2a638e', [6, 4]),
      ...(other.value
        ? [line(other.value.name, [{ grade: other.value, thicknessMm: totalMm }], 0, '#8a6a22', [])]
        : []),
      {
        label: 'light, middle, heavy',
        data: atRest,
        pointRadius: 5,
        borderColor: '#22282c',
        backgroundColor: '#22282c',
      },
      ...(slamN > restN
        ? [
            {
              label: 'the heaviest in a slam',
              data: [at(fresh.worst, slamN)],
              pointRadius: 6,
              pointStyle: 'triangle' as const,
              borderColor: '#9c3d1b',
              backgroundColor: '#9c3d1b',
            },
          ]
        : []),
    ],
  }
})
const options = computed((): ChartOptions<'scatter'> => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  scales: {
    x: {
      title: { display: true, text: phrase`sunk in, ${unitName(jobs.job!.units)}` },
      min: 0,
      max: plan.value.verdict!.support.totalMm / toUnit.value,
    },
    y: {
      title: { display: true, text: phrase`force, ${amountUnit('force', jobs.job!.units)}` },
      min: 0,
      max: Math.ceil(mostN.value / toForce.value / 100) * 100,
      ticks: { maxTicksLimit: 6 },
    },
  },
  plugins: { legend: { position: 'right', labels: { boxWidth: 18, boxHeight: 2, font: { size: 13 } } } },
}))
</script>

<template>
  <div class="force-chart">
    <div class="head">
      <span class="caption">The force that holds a body so deep</span>
      <label class="no-print"
        >beside
        <ElSelect
          :model-value="other?.id ?? ''"
          aria-label="Compare with another grade"
          size="small"
          placeholder="another grade"
          clearable
          class="pick"
          @update:model-value="comparedGrade = $event || null"
          ><ElOption v-for="g in others" :key="g.id" :value="g.id" :label="g.name" /></ElSelect
      ></label>
    </div>
    <div class="canvas"><Scatter :data="data" :options="options" aria-label="Force against depth" /></div>
  </div>
</template>

<style scoped>
.force-chart {
  display: flex;
  flex-direction: column;
  min-height: 0;
}

.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 4px 16px 0;
}

.caption {
  color: var(--ink-soft);
  font-size: 15px;
}

.pick {
  width: 170px;
}

.canvas {
  flex: 1;
  min-height: 0;
  position: relative;
  margin: 2px 12px 8px;
}
</style>
