<script setup lang="ts">
import type { ChartOptions } from 'chart.js'
import { computed } from 'vue'
import { phrase } from '../../../../core/language/index.ts'
import type { Grade } from '../../../../contract/index.ts'
import { curveOf, estimateFoam, forceTravel, gradeFromTest } from '../../../../core/filling/index.ts'
import { amountFactor, amountUnit, formatLengthWithUnit, mmPerUnit, unitName } from '../../../../core/units/index.ts'
import { useShop } from '../../../stores/shop.ts'
import { Scatter } from '../../../ui/chart.ts'
import { useFoam } from '../use-foam.ts'

/** The readings of the disc test, the curve fitted to them, and the nearest grades under the same disc. */
const { jobs, foam } = useFoam()
const shop = useShop()
/** Of the old rule of thumb for firmness. */
const DISC_MM = 200
const toUnit = computed(() => mmPerUnit(jobs.job!.units))
const toForce = computed(() => amountFactor('force', jobs.job!.units))
const test = computed(() => foam.value.test)
const estimate = computed(() => {
  const found = test.value && estimateFoam(test.value, shop.lists?.grades ?? [])
  return found && typeof found !== 'string' ? found : null
})
const mostN = computed(() => 1.25 * Math.max(50, ...(test.value?.presses ?? []).map((p) => p.forceN)))
const NEAREST = ['#8a6a22', '#b08a45', '#cdb27c']
const data = computed(() => {
  const { thicknessMm, discMm, presses } = test.value!
  const line = (label: string, grade: Grade, colour: string, dash: number[]) => ({
    label,
    data: forceTravel([{ curve: curveOf(grade), thicknessMm }], Math.PI * (discMm / 2) ** 2, mostN.value).map((p) => ({
      x: p.travelMm / toUnit.value,
      y: p.forceN / toForce.value,
    })),
    showLine: true,
    pointRadius: 0,
    borderColor: colour,
    backgroundColor: colour,
    borderWidth: 2,
    borderDash: dash,
  })
  const readings = (label: string, colour: string, isIn: (i: number) => boolean) => ({
    label,
    data: presses.flatMap((p, i) => (isIn(i) ? [{ x: p.sinkMm / toUnit.value, y: p.forceN / toForce.value }] : [])),
    pointRadius: 5,
    borderColor: colour,
    backgroundColor: colour,
  })
  const aside = new Set(estimate.value?.setAside ?? [])
  return {
    datasets: [
      readings(test.value!.isSimulated ? 'readings, simulated' : 'readings', '#22282c', (i) => !aside.has(i)),
      ...(aside.size > 0 ? [readings('set aside', '#b9ab8f', (i) => aside.has(i))] : []),
      ...(estimate.value
        ? [
            line('fitted', gradeFromTest(test.value!, estimate.value, '', ''), '#2a638e', []),
            ...estimate.value.nearest.slice(0, 3).map((n, i) => line(n.grade.name, n.grade, NEAREST[i]!, [5, 4])),
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
      title: { display: true, text: phrase`sink, ${unitName(jobs.job!.units)}` },
      min: 0,
      max: test.value!.thicknessMm / toUnit.value,
    },
    y: {
      title: { display: true, text: phrase`force on the disc, ${amountUnit('force', jobs.job!.units)}` },
      min: 0,
      suggestedMax: mostN.value / toForce.value,
      ticks: { maxTicksLimit: 6 },
    },
  },
  plugins: { legend: { position: 'bottom', labels: { boxWidth: 22, boxHeight: 2, font: { size: 14 } } } },
}))
</script>

<template>
  <div class="test">
    <p class="caption">{{ test ? 'The disc test: force against sink' : 'Nothing tested yet' }}</p>
    <div v-if="test" class="canvas"><Scatter :data="data" :options="options" aria-label="Disc test" /></div>
    <div v-else class="teach">
      <p>
        A foam without a label tells on itself. Cut or choose a piece with square edges, weigh it and measure it: that
        is its density.
      </p>
      <p>
        Lay it on the floor, put a flat disc about {{ formatLengthWithUnit(DISC_MM, jobs.job!.units) }} across on it,
        and a weight on the disc. Wait a minute, read how far it sank. Two or three weights, the last past half the
        thickness, tell how firm it is and how it firms up.
      </p>
    </div>
  </div>
</template>

<style scoped>
.test {
  flex: 1;
  min-height: 300px;
  display: flex;
  flex-direction: column;
}

.caption {
  margin: 0;
  padding: 8px 16px 0;
  color: var(--ink-soft);
  font-size: 15px;
}

.canvas {
  flex: 1;
  min-height: 0;
  position: relative;
  margin: 8px 16px 14px;
}

.teach {
  padding: 8px 16px;
  max-width: 560px;
}
</style>
