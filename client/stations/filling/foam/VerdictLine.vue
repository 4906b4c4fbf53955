<script setup lang="ts">
import { computed } from 'vue'
import {
  FEEL_WORDS,
  goodYears,
  standingOf,
  STANDING_WORDS,
  verdictWords,
  type LoadCase,
  type Verdict,
} from '../../../../core/filling/index.ts'
import { useJob } from '../../../stores/job.ts'

/** What a customer wants to know, in one line, with a picture: how near the board each comes, how it feels, how long. */
const props = defineProps<{ verdict: Verdict; load: LoadCase }>()
const jobs = useJob()
const support = computed(() => props.verdict.support)
const says = computed(() => verdictWords(props.verdict, props.load, jobs.job!.units))
/** Share of the foam that is left under each; the heaviest as in a slam, where there is one. */
const left = computed(() =>
  support.value.fresh.sinks.map((s, i) => {
    const strain = i === 2 ? support.value.fresh.worst.strain : s.strain
    return { share: 1 - strain, standing: standingOf(strain) }
  }),
)
const MOST_YEARS = 15
const years = computed(() => goodYears(support.value))
const TALL = 30
const WIDE = 40
/** A body's round, its lowest point so far down the foam. */
const dip = (strain: number) => `M3 3 Q ${WIDE / 2 - 1} ${13 + 2 * strain * (TALL - 6)} ${WIDE - 5} 3 Z`
</script>

<template>
  <p class="verdict" role="status" :class="support.fresh.standing">
    <svg
      :width="3 * WIDE + 66"
      :height="TALL + 8"
      role="img"
      :aria-label="`${STANDING_WORDS[support.fresh.standing]}; ${FEEL_WORDS[verdict.feel]}`"
    >
      <g v-for="(l, i) in left" :key="i" :transform="`translate(${i * WIDE} 0)`">
        <rect x="2" y="8" :width="WIDE - 6" :height="TALL - 6" :class="['foam', l.standing]" />
        <path :d="dip(1 - l.share)" class="body" />
        <rect x="0" :y="TALL + 2" :width="WIDE - 2" height="4" class="board" />
      </g>
      <g :transform="`translate(${3 * WIDE + 6} 0)`">
        <rect
          v-for="n in MOST_YEARS"
          :key="n"
          :x="(n - 1) * 4"
          :y="TALL - 8"
          width="3"
          height="14"
          :class="n <= years ? 'year' : 'year gone'"
        />
      </g>
    </svg>
    <span
      ><b>{{ says }}</b
      ><br />{{ STANDING_WORDS[support.fresh.standing] }}; {{ FEEL_WORDS[verdict.feel] }}</span
    >
  </p>
</template>

<style scoped>
.verdict {
  display: flex;
  align-items: center;
  gap: 14px;
  margin: 0;
  font-size: 15px;
}

.verdict svg {
  flex: none;
}

.foam {
  fill: #d9c48e;
  stroke: #8d7333;
}

.foam.on-board {
  fill: var(--rust-wash);
  stroke: var(--rust);
}

.body {
  fill: #e9ddcd;
  stroke: var(--ink);
}

.board {
  fill: #7d6f57;
}

.year {
  fill: #56705a;
}

.year.gone {
  fill: #ddd3bd;
}

.verdict.on-board b {
  color: var(--rust);
}

@media (max-width: 860px) {
  .verdict {
    flex-direction: column;
    align-items: flex-start;
  }
}
</style>
