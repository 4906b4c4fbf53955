<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { sayAmount, sayFigure, sayWorking, workingLines, type Figure } from '../../core/working/index.ts'
import { toCut } from '../../core/units/index.ts'
import { useHighlight } from '../stores/highlight.ts'
import { useJob } from '../stores/job.ts'
import { focusField } from './focus-field.ts'
import { money } from './manner.ts'

/** `cuttable`: shown as it can be cut; opened, it is exact. */
const props = defineProps<{ figure: Figure; bare?: boolean; unitless?: boolean; cuttable?: boolean }>()
const jobs = useJob()
const highlight = useHighlight()
const router = useRouter()
/** A page shows a hundred figures: what opens of one is made when it is first asked for. */
const wasOpened = ref(false)
const isOpen = ref(false)
const button = ref<HTMLButtonElement>()
const sum = ref<object | null>(null)
/** Once it is there the sum listens to its figure by itself: the press that called for it is its first. */
watch(sum, () => void nextTick(() => button.value?.click()), { once: true })
const unit = computed(() => jobs.job?.units ?? 'mm')
const shown = computed(() => {
  const { figure, cuttable, unitless } = props
  if (figure.quantity === 'money' && jobs.job) return money(figure.value, jobs.job.currency)
  const value = cuttable && figure.quantity === 'length' ? toCut(figure.value, unit.value) : figure.value
  return unitless ? sayAmount(value, figure.quantity, unit.value) : sayFigure({ ...figure, value }, unit.value)
})
/** Sums are worked in plain numbers, with the code of the currency behind them. */
const code = computed(() => (props.figure.quantity === 'money' ? ` ${jobs.job?.currency ?? ''}` : ''))
const named = computed(() => (props.cuttable || code.value ? shown.value : sayFigure(props.figure, unit.value)))
const lines = computed(() => (wasOpened.value ? workingLines(props.figure, unit.value) : []))
const SET_BY = {
  measured: 'measured',
  shop: 'set by the shop',
  job: 'set on this job',
  rule: 'a rule of the trade',
  catalogue: 'from the catalogue',
} as const
const change = computed(() => {
  const [station, field] = (props.figure.change ?? '').split('.')
  return station ? { station, field } : null
})
</script>

<template>
  <button
    ref="button"
    type="button"
    class="figure"
    :class="{ lit: highlight.figure === figure.id }"
    :aria-label="`${figure.label}: ${named}, show its sum`"
    aria-haspopup="dialog"
    :aria-expanded="isOpen"
    @click="wasOpened = true"
    @mouseenter="highlight.figure = figure.id"
    @mouseleave="highlight.figure = null"
    @focus="highlight.figure = figure.id"
    @blur="highlight.figure = null"
  >
    {{ shown }}<span v-if="figure.line && !bare" class="line" :class="figure.line">{{ figure.line }}</span>
  </button>
  <ElPopover
    v-if="wasOpened"
    ref="sum"
    trigger="click"
    virtual-triggering
    :virtual-ref="button"
    :width="380"
    :teleported="true"
    popper-class="working-popper"
    @before-enter="isOpen = true"
    @before-leave="isOpen = false"
  >
    <div class="working">
      <h3>{{ figure.label }}</h3>
      <p class="sum">{{ sayWorking(figure, unit) }}{{ code }}</p>
      <ul v-if="lines.length > 0">
        <li v-for="line in lines" :key="line.label">
          <span>{{ line.label }}</span>
          <FigureValue v-if="line.figure" :figure="line.figure" />
          <span v-else>{{ line.amount }}</span>
        </li>
      </ul>
      <p class="quiet">{{ figure.rule }} · {{ SET_BY[figure.setBy] }}</p>
      <p v-if="change">
        <button type="button" class="plain-button" @click="focusField(router, jobs.id, figure.change!)">
          Change it at {{ change.station }}
        </button>
      </p>
    </div>
  </ElPopover>
</template>

<style scoped>
.figure {
  white-space: nowrap;
  min-height: 32px;
  padding: 2px 4px;
  border: 0;
  border-bottom: 1px dotted var(--ink-soft);
  background: none;
  color: inherit;
  cursor: pointer;
  font-weight: 600;
}

.figure:hover,
.figure.lit {
  background: var(--chalk-wash);
}

.line {
  margin-left: 5px;
  font-size: 12px;
  font-weight: 400;
  color: var(--ink-soft);
}

.line.net {
  color: var(--chalk);
}

.working h3 {
  color: var(--ink);
}

.working .sum {
  font-size: 17px;
  margin: 6px 0;
}

.working ul {
  list-style: none;
  padding: 0;
  margin: 0 0 6px;
}

.working li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  border-top: 1px solid var(--paper-edge);
  min-height: var(--small-target);
}

.working p {
  margin: 4px 0;
}
</style>
