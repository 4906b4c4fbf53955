<script setup lang="ts">
import { computed } from 'vue'
import type { Level } from '../../core/warning/index.ts'
import { partName } from '../../core/job/index.ts'
import { warningWords, type Warning } from '../../core/warnings/index.ts'
import { useJob } from '../stores/job.ts'

const props = defineProps<{ warnings: readonly Warning[] }>()
const jobs = useJob()
const ORDER: Record<Level, number> = { stop: 0, warning: 1, note: 2, safety: 3 }
const NAMES: Record<Level, string> = { stop: 'Stop', warning: 'Look', note: 'Note', safety: 'Take care' }
const rows = computed(() =>
  props.warnings
    .toSorted((a, b) => ORDER[a.level] - ORDER[b.level])
    .map((w) => {
      const part = jobs.whole?.parts.find((p) => p.letter === w.part)
      return { w, words: warningWords(w, jobs.job?.units ?? 'mm'), part: part ? `${partName(part)}: ` : '' }
    }),
)
</script>

<template>
  <ul v-if="rows.length > 0" class="warnings">
    <li v-for="({ w, words, part }, i) in rows" :key="i" :class="w.level">
      <strong>{{ NAMES[w.level] }}</strong>
      <span
        >{{ part }}{{ words.says }} <em v-if="words.cure">{{ words.cure }}</em></span
      >
    </li>
  </ul>
</template>

<style scoped>
.warnings {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: 6px;
}

li {
  display: grid;
  grid-template-columns: 74px 1fr;
  gap: 8px;
  padding: 7px 10px;
  border-left: 4px solid var(--paper-edge);
  background: #f4eee1;
  font-size: 15px;
}

em {
  font-style: normal;
  color: var(--ink-soft);
}

.stop,
.warning {
  border-color: var(--rust);
  background: var(--rust-wash);
}

.stop strong,
.warning strong {
  color: var(--rust);
}

.safety {
  border-color: var(--brass);
}
</style>
