<script setup lang="ts">
import { Terms, textLimits, type Stage } from '../../../contract/index.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import DayField from '../../ui/DayField.vue'
import { dayOf } from '../../ui/today.ts'
import { storeToRefs } from 'pinia'
import { useJob } from '../../stores/job.ts'
import { useQuote } from '../../stores/quote.ts'
import { money, wholeDay } from '../../ui/manner.ts'
import { vTyped } from '../../ui/v-typed.ts'

/** Where the job stands, its days, and the quote that was given. */
const jobs = useJob()
const { quote } = storeToRefs(useQuote())
const STAGES: readonly { readonly value: Stage; readonly label: string }[] = [
  { value: 'asked', label: 'asked' },
  { value: 'ordered', label: 'ordered' },
  { value: 'making', label: 'making' },
  { value: 'fitted', label: 'fitted' },
  { value: 'billed', label: 'billed' },
]
const set = (says: string, change: Partial<Terms>) =>
  jobs.edit({ says, apply: (j) => ({ ...j, terms: { ...j.terms, ...change } }) })
const DAYS = [
  ['dueOn', 'Due'],
  ['orderedOn', 'Material ordered'],
  ['notBefore', 'Not begun before'],
] as const
const give = () =>
  quote.value &&
  set('Quote given', {
    given: {
      day: dayOf(new Date()),
      total: quote.value.total.value,
      deposit: quote.value.deposit.value,
      says: `${jobs.job!.cloth.cloth.name}`,
    },
  })
</script>

<template>
  <div class="field-row">
    <span class="label">Stands at</span
    ><ChoiceButtons
      :model-value="jobs.job!.terms.stage"
      :choices="STAGES"
      name="Stands at"
      @update:model-value="(stage) => set(`Now ${stage}`, { stage })"
    />
  </div>
  <div v-for="[key, label] in DAYS" :key="key" class="field-row">
    <span class="label">{{ label }}</span><DayField
      :model-value="jobs.job!.terms[key]"
      :name="label"
      @update:model-value="(day) => set(label, { [key]: day })"
    />
  </div>
  <label class="field-row"
    ><span class="label">Lies on</span
    ><input
      class="text"
      v-typed="jobs.job!.terms.furniture"
      v-bind="textLimits(Terms.shape.furniture)"
      placeholder="the piece of furniture, to find it again"
      @change="set('Furniture', { furniture: ($event.target as HTMLInputElement).value })"
  /></label>
  <div class="field-row">
    <span class="label">Quote given</span>
    <div v-if="jobs.job!.terms.given" class="fields-in-line">
      <span
        >{{ money(jobs.job!.terms.given.total, jobs.job!.currency) }} on {{ wholeDay(jobs.job!.terms.given.day) }},
        deposit {{ money(jobs.job!.terms.given.deposit, jobs.job!.currency) }}. It stands, whatever prices do.</span
      ><button type="button" class="plain-button" @click="set('Quote taken back', { given: null })">
        Take it back
      </button>
    </div>
    <button v-else type="button" class="plain-button" :disabled="!quote" @click="give">
      This quote was given today
    </button>
  </div>
</template>
