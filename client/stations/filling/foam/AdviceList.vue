<script setup lang="ts">
import { computed } from 'vue'
import {
  adviseFoam,
  doubtWords,
  failureWords,
  hardnessOf,
  layerWords,
  limitsOf,
  loadCaseOf,
  relaxationWords,
  type Candidate,
} from '../../../../core/filling/index.ts'
import { setLayers } from '../../../../core/job/index.ts'
import { areaOf } from '../../../../core/outline/index.ts'
import { formatLength, formatLengthWithUnit } from '../../../../core/units/index.ts'
import { sayAmountWithUnit } from '../../../../core/working/index.ts'
import { useShop } from '../../../stores/shop.ts'
import LengthField from '../../../ui/LengthField.vue'
import { useFoam } from '../use-foam.ts'

/** What the catalogue has for this job: what works, in order, and why the rest does not. */
const { jobs, foam, plan, change } = useFoam()
const shop = useShop()
const units = computed(() => jobs.job!.units)
const limits = computed(() => limitsOf(foam.value, plan.value.sizing.cover.thickness.value))
const advice = computed(() =>
  adviseFoam(shop.lists?.grades ?? [], {
    load: loadCaseOf(foam.value.load),
    limits: limits.value,
    areaMm2: areaOf(plan.value.sizing.block.outline),
  }),
)
const SHOWN = 8
const words = (c: Pick<Candidate, 'layers'>) => layerWords(c.layers, units.value)
const sinks = (c: Candidate) => c.support.fresh.sinks.map((s) => formatLength(s.leftMm, units.value)).join(' / ')
const money = (amount: number) => `${amount.toFixed(2)} ${jobs.job!.currency}`
const setLimits = (with_: Partial<{ leastMm: number; mostMm: number }>) =>
  change('Thickness limits', (f) => ({ ...f, limits: { ...limits.value, ...with_ } }), 'limits')
</script>

<template>
  <h2>What would do</h2>
  <div class="limits">
    <span>Thickness</span>
    <LengthField
      :model-value="limits.leastMm"
      :unit="units"
      name="Least thickness"
      :min="5"
      :max="1000"
      @update:model-value="setLimits({ leastMm: $event })"
    />
    <span>to</span>
    <LengthField
      :model-value="limits.mostMm"
      :unit="units"
      name="Largest thickness"
      :min="5"
      :max="1000"
      @update:model-value="setLimits({ mostMm: $event })"
    />
    <button
      v-if="foam.limits"
      type="button"
      class="plain-button"
      @click="change('Usual limits', (f) => ({ ...f, limits: null }))"
    >
      As usual
    </button>
  </div>
  <ol v-if="advice.works.length > 0" class="works">
    <li v-for="c in advice.works.slice(0, SHOWN)" :key="words(c)">
      <button
        type="button"
        class="plain-button"
        :aria-label="`Take ${words(c)}`"
        @click="jobs.edit(setLayers(words(c), c.layers))"
      >
        Take
      </button>
      <div>
        <b>{{ words(c) }}</b>
        <div class="quiet">
          left under light / middle / heavy {{ sinks(c) }}; margin
          {{ formatLength(c.support.fresh.marginMm, units) }} new,
          {{ formatLengthWithUnit(c.support.aged.marginMm, units) }} aged;
          {{ sayAmountWithUnit(c.massKg, 'mass', units) }}, {{ money(c.cost) }}, {{ money(c.costPerYear) }} a year
        </div>
        <div v-for="d in c.doubts" :key="d.code" class="doubt">{{ doubtWords(d) }}</div>
      </div>
    </li>
  </ol>
  <p v-if="advice.softest" class="softest">
    Softest single grade that works: <b>{{ words(advice.softest) }}</b>
  </p>
  <div v-else-if="advice.works.length === 0" class="none">
    <b>No grade does all of this. Give up one demand:</b>
    <ul>
      <li v-for="r in advice.relax" :key="r.demand">
        {{ relaxationWords(r, units) }}
        <button type="button" class="plain-button" @click="jobs.edit(setLayers(words(r.lets), r.lets.layers))">
          Take
        </button>
      </li>
      <li v-if="advice.relax.length === 0">No grade is sold within these thicknesses: widen them.</li>
    </ul>
  </div>
  <details>
    <summary>{{ advice.fails.length + advice.notInThickness.length }} grades do not do alone, and why</summary>
    <ul class="fails">
      <li v-for="c in advice.fails" :key="c.layers[0]!.grade.id">
        <b>{{ words(c) }}</b> <span class="quiet">{{ Math.round(hardnessOf(c.layers[0]!.grade)) }} N</span>
        {{ c.failures.map(failureWords).join('; ') }}
      </li>
      <li v-for="g in advice.notInThickness" :key="g.id">
        <b>{{ g.name }}</b> comes in no thickness within the limits
      </li>
    </ul>
  </details>
</template>

<style scoped>
.limits {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}

.works {
  list-style: none;
  margin: 0;
  padding: 0;
}

.works li {
  display: flex;
  gap: 10px;
  align-items: start;
  padding: 7px 0;
  border-top: 1px solid var(--paper-edge);
}

.works .quiet {
  font-size: 15px;
}

.softest {
  margin: 0;
}

.doubt {
  color: var(--rust);
  font-size: 15px;
}

.none li {
  margin-bottom: 6px;
}

.none ul,
.fails {
  padding-left: 18px;
  margin: 6px 0;
}

.fails li {
  margin-bottom: 4px;
  font-size: 15px;
}

details summary {
  cursor: pointer;
  min-height: 32px;
}
</style>
