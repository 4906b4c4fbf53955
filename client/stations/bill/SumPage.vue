<script setup lang="ts">
import { computed } from 'vue'
import { partName } from '../../../core/job/index.ts'
import { quoteTable } from '../../../core/formats/index.ts'
import { quoteDoubtWords, sharesByPart, type QuotePart } from '../../../core/money/index.ts'
import FigureValue from '../../ui/FigureValue.vue'
import LeftOut from '../../ui/LeftOut.vue'
import { storeToRefs } from 'pinia'
import { phrase } from '../../../core/language/index.ts'
import { money } from '../../ui/manner.ts'
import { useJob } from '../../stores/job.ts'
import { useQuote } from '../../stores/quote.ts'
import { useAttempt } from '../../ui/use-attempt.ts'
import { saveLines, saveWorkbook } from './bookkeeping.ts'

/** Every line behind the quote; for the shop alone. */
const { plan, quote } = storeToRefs(useQuote())
const jobs = useJob()
const shares = computed(() =>
  plan.value && quote.value && plan.value.worked.length > 1
    ? sharesByPart(plan.value, quote.value).map((s, i) => ({ ...s, name: partName(plan.value!.worked[i]!.part) }))
    : [],
)
const NAMES: Record<QuotePart, string> = { foam: 'Foam', cloth: 'Cloth', trims: 'Trims', work: 'Work', extra: 'Extras' }
const groups = computed(() =>
  (Object.keys(NAMES) as QuotePart[])
    .map((part) => ({ part, lines: quote.value!.lines.filter((l) => l.part === part) }))
    .filter((g) => g.lines.length > 0),
)
const lines = computed(() => quoteTable(jobs.whole!, quote.value!))
const fileName = computed(() => phrase`${jobs.whole!.ticket} quote lines`)
const { failed, attempt } = useAttempt()
const doubts = computed(() => quote.value!.doubts.map(quoteDoubtWords))
</script>

<template>
  <LeftOut />
  <ul v-if="doubts.length > 0" class="doubts">
    <li v-for="d in doubts" :key="d.says">
      {{ d.says }} <em>{{ d.cure }}</em>
    </li>
  </ul>
  <table v-if="quote" class="ruled-table close-table">
    <tbody v-for="g in groups" :key="g.part">
      <tr>
        <th scope="rowgroup" colspan="2">
          <b>{{ NAMES[g.part] }}</b>
        </th>
      </tr>
      <tr v-for="l in g.lines" :key="l.what">
        <th scope="row">{{ l.what }}</th>
        <td class="n"><FigureValue :figure="l.cost" /></td>
      </tr>
    </tbody>
    <tbody>
      <tr
        v-for="f in [quote.materials, quote.markUp, quote.work, quote.net, quote.tax, quote.total, quote.deposit]"
        :key="f.id"
        :class="{ strong: f.id === 'quote.total' }"
      >
        <th scope="row">{{ f.label }}</th>
        <td class="n"><FigureValue :figure="f" /></td>
      </tr>
      <tr>
        <th scope="row">Hours</th>
        <td class="n"><FigureValue :figure="quote.hours" /></td>
      </tr>
      <tr>
        <th scope="row">Margin after materials</th>
        <td class="n"><FigureValue :figure="quote.margin" /></td>
      </tr>
      <tr v-if="quote.earns">
        <th scope="row">An hour earns</th>
        <td class="n"><FigureValue :figure="quote.earns" /></td>
      </tr>
    </tbody>
    <tbody v-if="shares.length > 0">
      <tr>
        <th scope="rowgroup" colspan="2">
          <b>Of the net</b> <span class="quiet">cloth by area, foam by volume, the rest by what is sewn</span>
        </th>
      </tr>
      <tr v-for="s in shares" :key="s.letter">
        <th scope="row">{{ s.name }}</th>
        <td class="n">{{ money(s.net, jobs.job!.currency) }}</td>
      </tr>
    </tbody>
  </table>
  <div v-if="quote" class="fields-in-line no-print">
    <button type="button" class="plain-button" @click="saveLines(fileName, lines)">Lines, CSV</button>
    <button type="button" class="plain-button" @click="attempt(() => saveWorkbook(fileName, lines))">
      Lines, workbook
    </button>
    <span v-if="failed" class="failed" role="alert">{{ failed }}</span>
  </div>
</template>

<style scoped>
.doubts {
  list-style: none;
  margin: 0;
  padding: 0;
}

.doubts li {
  padding: 7px 10px;
  border-left: 4px solid var(--rust);
  background: var(--rust-wash);
  margin-bottom: 6px;
}

em {
  font-style: normal;
  color: var(--ink-soft);
}

.strong th {
  font-weight: 600;
}
</style>
