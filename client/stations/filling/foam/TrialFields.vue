<script setup lang="ts">
import { computed } from 'vue'
import { limits, Trial, textLimits } from '../../../../contract/index.ts'
import { useJob } from '../../../stores/job.ts'
import AmountField from '../../../ui/AmountField.vue'
import { vTyped } from '../../../ui/v-typed.ts'

/** Who sat on it, how heavy, for how long, and what they found. */
const jobs = useJob()
const trials = computed(() => (jobs.job!.filling.kind === 'insert' ? [] : jobs.job!.filling.trials))
const VERDICTS: Readonly<Record<Trial['verdict'], string>> = {
  right: 'right',
  'too-soft': 'too soft',
  'too-firm': 'too firm',
  'felt-the-board': 'felt the board',
}
const set = (says: string, next: Trial[], key: string | null = null) =>
  jobs.edit(
    {
      says,
      apply: (job) => (job.filling.kind === 'insert' ? job : { ...job, filling: { ...job.filling, trials: next } }),
    },
    key,
  )
const change = (i: number, with_: Partial<Trial>) =>
  set(
    'Trial',
    trials.value.map((t, j) => (j === i ? { ...t, ...with_ } : t)),
    `trial ${i}`,
  )
</script>

<template>
  <h2>Sat on</h2>
  <div v-for="(t, i) in trials" :key="i" class="trial">
    <input
      class="text"
      v-bind="textLimits(Trial.shape.who)"
      v-typed="t.who"
      :aria-label="`Trial ${i + 1}, who`"
      placeholder="who"
      @change="change(i, { who: ($event.target as HTMLInputElement).value })"
    />
    <AmountField
      :model-value="t.massKg"
      kind="mass"
      :lengths="jobs.job!.units"
      v-bind="limits(Trial.shape.massKg)"
      :name="`Trial ${i + 1}, mass`"
      @update:model-value="$event !== null && change(i, { massKg: $event })"
    />
    <label class="minutes"
      ><AmountField
        :model-value="t.minutes"
        kind="plain"
        v-bind="limits(Trial.shape.minutes)"
        :name="`Trial ${i + 1}, minutes`"
        @update:model-value="$event !== null && change(i, { minutes: $event })"
      />
      minutes</label
    >
    <ElSelect
      :model-value="t.verdict"
      :aria-label="`Trial ${i + 1}, what they found`"
      class="found"
      @update:model-value="(verdict: Trial['verdict']) => change(i, { verdict })"
    >
      <ElOption v-for="(label, key) in VERDICTS" :key="key" :value="key" :label="label" />
    </ElSelect>
    <button
      type="button"
      class="plain-button"
      :aria-label="`Strike trial ${i + 1}`"
      @click="
        set(
          'A trial less',
          trials.filter((_, j) => j !== i),
        )
      "
    >
      Strike
    </button>
  </div>
  <button
    v-if="trials.length < 20"
    type="button"
    class="plain-button no-print"
    @click="set('A trial', [...trials, { who: '', massKg: 75, minutes: 20, verdict: 'right' }])"
  >
    Somebody sat on it
  </button>
</template>

<style scoped>
.trial {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  align-items: center;
}

.trial .text {
  width: 110px;
}

.minutes {
  display: inline-flex;
  gap: 5px;
  align-items: center;
}

.minutes :deep(input) {
  width: 56px;
}

.found {
  width: 150px;
}
</style>
