<script setup lang="ts">
import { computed, ref } from 'vue'
import { Layer, limits } from '../../../../contract/index.ts'
import {
  adviseFoam,
  bodySizes,
  doubtWords,
  failureWords,
  FEEL_WORDS,
  layerWords,
  limitsOf,
  quotedForceWords,
  isCalm,
  relaxationWords,
  supportOf,
  verdictWords,
  type Aim,
  type Candidate,
} from '../../../../core/filling/index.ts'
import { setLayers } from '../../../../core/job/index.ts'
import { areaOf } from '../../../../core/outline/index.ts'
import { sayAmountWithUnit } from '../../../../core/working/index.ts'
import { useShop } from '../../../stores/shop.ts'
import AmountField from '../../../ui/AmountField.vue'
import LengthField from '../../../ui/LengthField.vue'
import { useFoam } from '../use-foam.ts'
import { money } from '../../../ui/manner.ts'

/** What the catalogue has for this job: what works, in order, and why the rest does not. */
const { jobs, foam, plan, testedGrade, change } = useFoam()
const shop = useShop()
const units = computed(() => jobs.job!.units)
const range = computed(() => limitsOf(foam.value, plan.value.sizing.cover.thickness.value))
/** What the maker is after. The old foam is known once it was pressed. */
const wanted = ref<Aim['kind']>('all-round')
const years = ref(8)
const oldStrain = computed(() => {
  if (!testedGrade.value) return null
  const [body] = jobs.job!.there.bodies
  const thicknessMm = body ? bodySizes(body).thicknessMm : foam.value.test!.thicknessMm
  return supportOf([{ grade: testedGrade.value, thicknessMm }], plan.value.loadCase).fresh.sinks[1].strain
})
const AIMS = computed((): readonly { value: Aim['kind']; label: string }[] => [
  { value: 'all-round', label: 'good all round' },
  { value: 'cheapest', label: 'cheapest that lasts' },
  { value: 'softest', label: 'softest that holds' },
  ...(oldStrain.value === null ? [] : [{ value: 'as-before', label: 'as the old one' } as const]),
  { value: 'lightest', label: 'lightest' },
])
const aim = computed((): Aim => {
  if (wanted.value === 'cheapest') return { kind: 'cheapest', years: years.value }
  if (wanted.value === 'as-before')
    return oldStrain.value === null ? { kind: 'all-round' } : { kind: 'as-before', strain: oldStrain.value }
  return { kind: wanted.value }
})
const advice = computed(() =>
  adviseFoam(shop.lists?.grades ?? [], {
    load: plan.value.loadCase,
    aim: aim.value,
    limits: range.value,
    areaMm2: areaOf(plan.value.sizing.block.outline),
  }),
)
const SHOWN = 8
const words = (c: Pick<Candidate, 'layers'>) => layerWords(c.layers, units.value)
const say = (amount: number) => money(amount, jobs.job!.currency)
const setLimits = (with_: Partial<{ leastMm: number; mostMm: number }>) =>
  change('Thickness limits', (f) => ({ ...f, limits: { ...range.value, ...with_ } }), 'limits')
</script>

<template>
  <h2>What would do</h2>
  <div class="limits">
    <span>Wanted</span>
    <ElSelect v-model="wanted" aria-label="What is wanted" class="aim"
      ><ElOption v-for="a in AIMS" :key="a.value" :value="a.value" :label="a.label"
    /></ElSelect>
    <template v-if="wanted === 'cheapest'">
      <AmountField
        :model-value="years"
        kind="plain"
        name="Years it shall last"
        :min="1"
        :max="15"
        @update:model-value="$event !== null && (years = $event)"
      />
      <span>years</span>
    </template>
  </div>
  <div class="limits">
    <span>Thickness</span>
    <LengthField
      :model-value="range.leastMm"
      :unit="units"
      v-bind="limits(Layer.shape.thicknessMm)"
      name="Least thickness"
      @update:model-value="setLimits({ leastMm: $event })"
    />
    <span>to</span>
    <LengthField
      :model-value="range.mostMm"
      :unit="units"
      v-bind="limits(Layer.shape.thicknessMm)"
      name="Largest thickness"
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
          {{ verdictWords(c, plan.loadCase, units) }}; {{ FEEL_WORDS[c.feel] }};
          {{ sayAmountWithUnit(c.massKg, 'mass', units) }}, {{ say(c.cost) }}, {{ say(c.costPerYear) }} a year
        </div>
        <div v-for="d in c.doubts.filter((d) => !isCalm(d))" :key="d.code" class="doubt">
          {{ doubtWords(d, units) }}
        </div>
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
        <b>{{ words(c) }}</b> <span class="quiet">{{ quotedForceWords(c.layers[0]!.grade, units) }}</span>
        {{ c.failures.map((f) => failureWords(f, units)).join('; ') }}
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

.aim {
  width: 190px;
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
  min-height: var(--small-target);
}
</style>
