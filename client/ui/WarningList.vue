<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Level } from '../../core/warning/index.ts'
import { partName } from '../../core/job/index.ts'
import { canBeMeant, warningKey, warningWords, type Warning } from '../../core/warnings/index.ts'
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
/** Said once, and never again while its figures are what they are; undo takes it back. */
const overrule = (w: Warning) =>
  jobs.edit({
    says: 'A doubt overruled',
    applyToJob: (job) => ({ ...job, meant: [...job.meant, warningKey(w)].slice(-500) }),
  })
/** More notes than these fold into one line, so that the fields below stay in sight. */
const FEW_NOTES = 2
const areNotesShown = ref(false)
const notes = computed(() => rows.value.filter(({ w }) => w.level === 'note'))
const isFolded = computed(() => notes.value.length > FEW_NOTES && !areNotesShown.value)
const shown = computed(() => (isFolded.value ? rows.value.filter(({ w }) => w.level !== 'note') : rows.value))
</script>

<template>
  <ul v-if="rows.length > 0" class="warnings">
    <li v-for="({ w, words, part }, i) in shown" :key="i" :class="w.level">
      <strong>{{ NAMES[w.level] }}</strong>
      <span
        >{{ part }}{{ words.says }} <em v-if="words.cure">{{ words.cure }}</em></span
      >
      <button
        v-if="canBeMeant(w) && w.level === 'warning'"
        type="button"
        class="plain-button no-print"
        @click="overrule(w)"
      >
        It is meant so
      </button>
    </li>
    <li v-if="notes.length > FEW_NOTES" class="note fold">
      <button type="button" class="plain-button" :aria-expanded="!isFolded" @click="areNotesShown = !areNotesShown">
        {{ isFolded ? `${notes.length} notes` : 'Fold the notes' }}
      </button>
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
  grid-template-columns: 74px 1fr auto;
  align-items: center;
  gap: 8px;
  padding: 7px 10px;
  border-left: 4px solid var(--paper-edge);
  background: var(--note);
  font-size: 15px;
}

.fold {
  display: block;
}

em {
  font-style: normal;
  color: var(--ink-soft);
}

button {
  min-height: var(--small-target);
  padding: 2px 8px;
  font-size: 14px;
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
