<script setup lang="ts">
import { sayFigure } from '../../../core/working/index.ts'
import type { StepRow } from './use-work-order.ts'

/** The whole work order on paper, with boxes to tick. */
defineProps<{ rows: readonly StepRow[]; heading: string }>()
</script>

<template>
  <div class="print-only">
    <h1>{{ heading }}</h1>
    <ol>
      <li v-for="r in rows" :key="r.step.id">
        <span class="box">{{ r.record.doneAt ? '✓' : '' }}</span>
        <div>
          <b>{{ r.step.title }}</b> <span class="quiet">{{ sayFigure(r.minutes, 'mm') }}</span><br
            v-if="r.step.gate"
          />{{ r.step.gate }} {{ r.step.says.join(' ') }} <i>{{ r.step.checks.join(' ') }}</i>
        </div>
      </li>
    </ol>
  </div>
</template>

<style scoped>
ol {
  list-style: none;
  padding: 0;
}

li {
  display: grid;
  grid-template-columns: 24px 1fr;
  gap: 8px;
  padding: 5px 0;
  border-top: 1px solid #bbb;
  break-inside: avoid;
}

.box {
  width: 18px;
  height: 18px;
  border: 1.5px solid #000;
}
</style>
