<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { firstPart } from '../../../core/job/index.ts'
import { formatLength, formatLengthWithUnit, isInch, METRES_PER_YARD, unitName } from '../../../core/units/index.ts'
import { sayAmount } from '../../../core/working/index.ts'
import { clothCost, layChoices, SOLD_WIDTHS_MM, type LayChoice } from '../../../core/what-if/index.ts'
import { useJob } from '../../stores/job.ts'
import { Bar } from '../../ui/chart.ts'
import WhatSaves from './WhatSaves.vue'
import { useWhatIf } from './what-if.ts'

/**
 * The same job from other widths, the other way round, matched and not, piped and not: before anything is bought.
 */
const SECONDS = 1.5
const jobs = useJob()
const unit = computed(() => jobs.job!.units)
const inInches = computed(() => isInch(unit.value))
/** The part whose face is the main cloth. */
const first = computed(() => firstPart(jobs.whole!))
const varied = ref({ widths: true, direction: true, match: false, piping: false, joins: false, fold: false })
const choices = shallowRef<readonly LayChoice[]>([])
const lengths = ref(new Map<number, number | null>())

const { open, ask, stop } = useWhatIf((answer) => {
  if (answer.kind === 'lay') lengths.value = new Map(lengths.value).set(answer.key, answer.lengthMm)
})

watch(() => jobs.job?.cloth.cloth.id, stop)

function compare(): void {
  const v = varied.value
  choices.value = layChoices(jobs.whole!, {
    widthsMm: v.widths ? [...SOLD_WIDTHS_MM] : [],
    direction: v.direction,
    match: v.match,
    piping: v.piping,
    joins: v.joins,
    fold: v.fold,
  })
  lengths.value = new Map()
  ask(
    choices.value.flatMap(({ problem }, key) =>
      problem ? [{ kind: 'lay' as const, key, problem, seconds: SECONDS }] : [],
    ),
  )
}

const rows = computed(() => {
  const { cloth } = first.value.cloth
  const all = choices.value.map((choice, key) => {
    const lengthMm = lengths.value.get(key)
    const bought = lengthMm ? clothCost(cloth, lengthMm) : null
    return {
      choice,
      key,
      lengthMm,
      bought,
      areaMm2: lengthMm ? lengthMm * choice.widthMm : null,
      isOwn:
        choice.widthMm === cloth.widthMm &&
        choice.direction === first.value.cloth.direction &&
        choice.isMatched === (first.value.cloth.match.kind === 'matched') &&
        choice.isPiped === (first.value.makeUp.piping.kind !== 'none') &&
        JSON.stringify(choice.strips) === JSON.stringify(first.value.cloth.strips) &&
        choice.isFolded === jobs.whole!.folded.includes(cloth.id),
    }
  })
  const least = Math.min(...all.flatMap((r) => (r.areaMm2 ? [r.areaMm2] : [])))
  return all.map((r) => ({ ...r, isLeast: r.areaMm2 === least }))
})
const stripWords = (strips: LayChoice['strips']) =>
  strips.kind === 'to-the-lay' ? 'strips to the lay' : phrase`${strips.moreJoins} more joins`
const words = (c: LayChoice) =>
  [
    formatLength(c.widthMm, unit.value),
    c.direction === 'railroaded' ? 'railroaded' : 'up',
    ...(varied.value.match ? [c.isMatched ? 'matched' : 'unmatched'] : []),
    ...(varied.value.piping ? [c.isPiped ? 'piped' : 'plain'] : []),
    ...(varied.value.fold ? [c.isFolded ? 'folded' : 'flat'] : []),
    ...(varied.value.joins && c.isPiped ? [stripWords(c.strips)] : []),
  ].join(' ')
/** Takes a way of cutting over into the job; another width is another cloth, and is bought first. */
const takeOver = (c: LayChoice) => jobs.edit({ says: phrase`Cut ${words(c)}`, applyToJob: c.take })
const chart = computed(() => {
  const found = rows.value.filter((r) => r.lengthMm)
  return {
    labels: found.map((r) => words(r.choice)),
    datasets: [
      {
        label: inInches.value ? 'yards of cloth' : 'metres of cloth',
        data: found.map((r) => r.lengthMm! / 1000 / (inInches.value ? METRES_PER_YARD : 1)),
        backgroundColor: found.map((r) => (r.isOwn ? '#2a628f' : '#b9a77c')),
      },
    ],
  }
})
const options = computed(() => ({
  indexAxis: 'y' as const,
  animation: false as const,
  maintainAspectRatio: false,
  plugins: { legend: { display: false } },
  scales: { x: { beginAtZero: true, title: { display: true, text: inInches.value ? 'yards' : 'metres' } } },
}))
const TICKS = [
  ['widths', 'other widths'],
  ['direction', 'both directions'],
  ['match', 'matched or not'],
  ['piping', 'piping or none'],
  ['joins', 'piping in shorter strips'],
  ['fold', 'flat or folded'],
] as const
</script>

<template>
  <div class="compare">
    <WhatSaves />
    <h3>Widths and ways beside each other</h3>
    <div class="fields-in-line no-print">
      <label v-for="[key, label] in TICKS" :key="key" class="tick"
        ><input v-model="varied[key]" type="checkbox" /> {{ label }}</label
      >
      <button v-if="open > 0" type="button" class="plain-button" @click="stop">Stop, {{ open }} to go</button>
      <button v-else type="button" class="plain-button main" @click="compare">Compare</button>
    </div>
    <div v-if="rows.length > 0" class="side">
      <table class="ruled-table close-table">
        <thead>
          <tr>
            <th>Width, {{ unitName(unit) }}</th>
            <th>Direction</th>
            <th>Pattern</th>
            <th>Piping</th>
            <th class="n">Length</th>
            <th class="n">Buy</th>
            <th class="n">{{ jobs.job!.currency }}</th>
            <th class="n">Area</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in rows" :key="r.key" :class="{ own: r.isOwn }">
            <td>{{ formatLength(r.choice.widthMm, unit) }}</td>
            <td>{{ r.choice.direction === 'railroaded' ? 'railroaded' : 'up the roll' }}</td>
            <td>{{ r.choice.isMatched ? 'matched' : 'free' }}</td>
            <td>
              {{
                !r.choice.isPiped
                  ? 'none'
                  : r.choice.strips.kind === 'even' && r.choice.strips.moreJoins === 0
                    ? 'piped'
                    : phrase`piped, ${stripWords(r.choice.strips)}`
              }}
            </td>
            <template v-if="r.lengthMm && r.bought">
              <td class="n">{{ formatLengthWithUnit(r.lengthMm, unit) }}</td>
              <td class="n">{{ formatLengthWithUnit(r.bought.boughtMm, unit) }}</td>
              <td class="n">{{ r.bought.cost.toFixed(2) }}</td>
              <td class="n" :class="{ least: r.isLeast }">{{ sayAmount(r.areaMm2!, 'area', unit) }}</td>
              <td>
                <button
                  v-if="r.choice.widthMm === first.cloth.cloth.widthMm && !r.isOwn"
                  type="button"
                  class="plain-button"
                  :aria-label="`Take ${words(r.choice)}`"
                  @click="takeOver(r.choice)"
                >
                  Take
                </button>
              </td>
            </template>
            <td v-else colspan="5" class="quiet">
              {{
                r.choice.problem === null
                  ? 'cannot be worked'
                  : r.lengthMm === null
                    ? 'a piece is too wide or too long'
                    : 'waits …'
              }}
            </td>
          </tr>
        </tbody>
      </table>
      <div class="chart" :style="{ height: `${40 + chart.labels.length * 24}px` }">
        <Bar v-if="chart.labels.length > 0" :data="chart" :options="options" aria-label="Lengths side by side" />
      </div>
    </div>
    <p v-if="rows.length > 0" class="quiet">
      Each searched for {{ SECONDS }} s, at this cloth's price; the job as it stands is shaded, the least cloth in bold.
    </p>
  </div>
</template>

<style scoped>
.compare {
  display: grid;
  gap: 8px;
}

.side {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: 20px;
  align-items: start;
}

.chart {
  position: relative;
}

.own {
  background: var(--chalk-wash);
}

.least {
  font-weight: 700;
}

h3,
p {
  margin: 0;
}

.failed {
  color: var(--rust);
}
</style>
