<script setup lang="ts">
import { computed } from 'vue'
import { sayAmount } from '../../../core/working/index.ts'
import { GROUP_NAMES, groupsOf } from './step-groups.ts'
import type { StepRow } from './use-work-order.ts'

/** Every step in its order, with its tick; the one in hand is marked. */
const props = defineProps<{ rows: readonly StepRow[]; chosen: string }>()
const emit = defineEmits<{ choose: [id: string] }>()
const groups = computed(() => groupsOf(props.rows))
</script>

<template>
  <section v-for="g in groups" :key="g.part">
    <h3>{{ GROUP_NAMES[g.part] }}</h3>
    <ol>
      <li v-for="r in g.rows" :key="r.step.id">
        <button
          type="button"
          :class="{ here: r.step.id === chosen, done: r.record.doneAt, gate: r.step.gate }"
          :aria-current="r.step.id === chosen"
          @click="emit('choose', r.step.id)"
        >
          <span
            class="box"
            :class="{ yes: r.record.doneAt, over: r.record.overruled !== null }"
            :aria-label="r.record.doneAt ? 'done' : 'open'"
            >{{ r.record.doneAt ? '✓' : '' }}</span
          >
          <span class="title">{{ r.step.title }}</span>
          <span class="quiet">{{
            r.record.runningSince ? 'running' : r.step.gate ? 'stop' : sayAmount(r.minutes.value, 'time', 'mm')
          }}</span>
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 2px 0 8px;
  padding: 0;
}

button {
  width: 100%;
  display: grid;
  grid-template-columns: 20px 1fr auto;
  gap: 9px;
  align-items: center;
  min-height: var(--small-target);
  padding: 3px 8px;
  border: 0;
  border-top: 1px solid var(--paper-edge);
  background: none;
  color: inherit;
  text-align: left;
  cursor: pointer;
  font-size: 15px;
}

button:hover {
  background: var(--note);
}

button.here {
  background: var(--chalk-wash);
  font-weight: 600;
}

button.done .title {
  color: var(--ink-soft);
}

.gate .title {
  font-style: normal;
}

.box {
  width: 18px;
  height: 18px;
  line-height: 16px;
  text-align: center;
  border: 1.5px solid var(--ink);
  font-size: 14px;
}

button.gate .box {
  border-radius: 50%;
  border-color: var(--brass);
}

.box.yes {
  background: var(--moss);
  border-color: var(--moss);
  color: var(--on-colour);
}

button.gate .box.yes {
  border-color: var(--moss);
}

button .box.over,
button.gate .box.over {
  background: var(--rust);
  border-color: var(--rust);
}
</style>
