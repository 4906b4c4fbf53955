<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { limits, StepRecord, textLimits } from '../../../contract/index.ts'
import {
  asMeasured,
  clockWasSetBack,
  isOtherThanPlanned,
  type Measured,
  MEASURED_WORDS,
  paused,
  plannedWith,
  settingsWords,
  started,
  ticked,
  unticked,
  workedSeconds,
} from '../../../core/making/index.ts'
import type { Warning } from '../../../core/warnings/index.ts'
import FigureValue from '../../ui/FigureValue.vue'
import LengthField from '../../ui/LengthField.vue'
import WarningList from '../../ui/WarningList.vue'
import { clockWords } from './clock-words.ts'
import { useWorkOrder, type StepRow } from './use-work-order.ts'
import { vTyped } from '../../ui/v-typed.ts'
import { moment } from '../../ui/manner.ts'

/** The step in hand: what to do, what to look at, its time, its tick. */
const props = defineProps<{ row: StepRow; place: number; of: number; isBig: boolean }>()
const emit = defineEmits<{ next: [] }>()
const { jobs, shop, maker, now, change, plan } = useWorkOrder()
const settings = computed(() => {
  const { sewing } = props.row.step
  return sewing ? settingsWords(sewing, shop.workshop.machineCards, jobs.job!.units).join(' · ') : ''
})
const overruling = ref(false)
const why = ref('')
watch(
  () => props.row.step.id,
  () => {
    overruling.value = false
    why.value = ''
  },
)
const isDone = computed(() => props.row.record.doneAt !== null)
const isRunning = computed(() => props.row.record.runningSince !== null)
const setBack = computed(() => clockWasSetBack(props.row.record, now.value.getTime()))
const clock = computed(() => clockWords(workedSeconds(props.row.record, now.value.getTime())))
const safety = computed(
  (): Warning[] => plan.value?.warnings.filter((w) => props.row.step.safety.includes(w.code)) ?? [],
)

function done(overruled: string | null = null): void {
  const { step } = props.row
  if (
    change(step, overruled === null ? 'done' : 'overruled', (r) => ticked(r, maker.value.trim(), Date.now(), overruled))
  )
    emit('next')
}
const timer = () =>
  change(props.row.step, isRunning.value ? 'timer paused' : 'timer started', (r) =>
    isRunning.value ? paused(r, Date.now()) : started(r, Date.now()),
  )
const measure = (measuredMm: number) =>
  change(props.row.step, 'measured', (r) => asMeasured(r, props.row.step, measuredMm))
/** The plan follows what was measured only when the maker says so. */
const planWith = (measured: Measured, mm: number) =>
  jobs.edit({
    says: phrase`Planned with ${MEASURED_WORDS[measured.what].toLowerCase()} as measured`,
    applyToJob: (job) => plannedWith(job, measured, mm),
  })
const note = (event: Event) =>
  change(props.row.step, 'note', (r) => ({ ...r, note: (event.target as HTMLTextAreaElement).value.slice(0, 1000) }))
</script>

<template>
  <article class="step" :class="{ big: isBig, gate: row.step.gate, done: isDone }" :aria-label="row.step.title">
    <p class="quiet place">{{ place }} of {{ of }} · <FigureValue :figure="row.minutes" bare /> planned</p>
    <h2>{{ row.step.title }}</h2>
    <p v-if="row.step.gate" class="asks">{{ row.step.gate }}</p>
    <ul v-if="row.step.says.length > 0" class="says">
      <li v-for="s in row.step.says" :key="s">{{ s }}</li>
    </ul>
    <div v-if="row.step.measures" class="fields-in-line">
      <span>{{ MEASURED_WORDS[row.step.measures.what] }}, measured</span>
      <LengthField
        :model-value="row.record.measuredMm ?? row.step.measures.plannedMm"
        :unit="jobs.job!.units"
        :name="`${MEASURED_WORDS[row.step.measures.what]}, measured`"
        :min="row.step.measures.what === 'trimmed-off' ? 0 : 0.5"
        :max="limits(StepRecord.shape.measuredMm).max"
        @update:model-value="measure($event)"
      />
      <button
        v-if="row.record.measuredMm !== null && isOtherThanPlanned(row.step.measures, row.record.measuredMm)"
        type="button"
        class="plain-button no-print"
        @click="planWith(row.step.measures, row.record.measuredMm)"
      >
        Plan with it
      </button>
    </div>
    <p v-if="settings" class="quiet settings">{{ settings }}</p>
    <ul v-if="row.step.checks.length > 0" class="checks">
      <li v-for="c in row.step.checks" :key="c">{{ c }}</li>
    </ul>
    <WarningList :warnings="safety" />
    <p v-if="isDone" class="ticked" role="status">
      {{ row.record.overruled === null ? 'Done' : `Overruled: ${row.record.overruled}`
      }}{{ row.record.doneBy ? `, ${row.record.doneBy}` : '' }}, {{ moment(row.record.doneAt!) }}
    </p>
    <p v-else-if="row.isHeld" class="held" role="status">First answer the stop before it: {{ row.heldBy!.title }}.</p>
    <p v-if="setBack" class="held" role="alert">
      The clock of this device was set back: the stretch that runs counts nothing. Pause and start it again.
    </p>
    <div class="buttons no-print">
      <template v-if="!isDone">
        <button type="button" class="plain-button main large" :disabled="row.isHeld" @click="done()">
          {{ row.step.gate ? 'Yes' : 'Done' }}
        </button>
        <button
          v-if="row.step.gate && !overruling"
          type="button"
          class="plain-button"
          :disabled="row.isHeld"
          @click="overruling = true"
        >
          Go on without
        </button>
      </template>
      <button v-else type="button" class="plain-button" @click="change(row.step, 'not done after all', unticked)">
        Not done after all
      </button>
      <button type="button" class="plain-button" :disabled="isDone" :aria-pressed="isRunning" @click="timer">
        {{ isRunning ? 'Pause' : row.record.workedS > 0 ? 'Go on' : 'Start the clock' }}
      </button>
      <span class="clock" :class="{ running: isRunning }" role="timer" aria-label="Worked on this step">{{
        clock
      }}</span>
    </div>
    <div v-if="overruling && !isDone" class="fields-in-line no-print">
      <input
        v-model="why"
        class="text why"
        v-bind="textLimits(StepRecord.shape.overruled)"
        aria-label="Why it is passed without a yes"
        placeholder="Why, so that it can be read later"
      />
      <button type="button" class="plain-button" :disabled="why.trim() === ''" @click="done(why.trim())">
        Overrule it
      </button>
    </div>
    <label v-if="!isBig" class="note no-print"
      >Note <textarea v-typed="row.record.note" rows="1" v-bind="textLimits(StepRecord.shape.note)" @change="note" />
    </label>
    <p v-if="isBig && row.record.note" class="quiet">{{ row.record.note }}</p>
    <p v-if="jobs.refused" class="held" role="alert">{{ jobs.refused }}</p>
  </article>
</template>

<style scoped>
.step {
  padding: 14px 18px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  border-left: 6px solid var(--chalk);
}

.step.gate {
  border-left-color: var(--brass);
}

.step.done {
  border-left-color: var(--moss);
}

.step p {
  margin: 0;
}

h2 {
  font-size: 24px;
}

.asks {
  font-size: 19px;
  font-weight: 600;
}

.says,
.checks {
  margin: 0;
  padding-left: 20px;
  font-size: 17px;
}

.checks {
  list-style: none;
  padding-left: 0;
}

.checks li::before {
  content: '';
  display: inline-block;
  width: 12px;
  height: 12px;
  margin-right: 8px;
  border: 1.5px solid var(--ink);
}

.buttons {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}

.large {
  min-width: 110px;
  min-height: 44px;
  font-weight: 600;
}

.clock {
  font-size: 20px;
  font-weight: 600;
}

.clock.running {
  color: var(--chalk);
}

.ticked {
  color: var(--moss);
  font-weight: 600;
}

.held {
  color: var(--rust);
}

.why {
  width: 300px;
}

.note {
  display: flex;
  gap: 10px;
  align-items: start;
}

textarea {
  flex: 1;
  min-height: var(--target);
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  background: var(--field);
  padding: 5px 9px;
  font: inherit;
}

.big h2 {
  font-size: 40px;
}

.big .says,
.big .checks,
.big .asks {
  font-size: 28px;
}

.big .says {
  padding-left: 34px;
}

.big .clock {
  font-size: 34px;
}

.big .large {
  min-width: 200px;
  min-height: 72px;
  font-size: 26px;
}
</style>
