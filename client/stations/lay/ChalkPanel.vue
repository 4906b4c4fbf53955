<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Lay } from '../../../contract/index.ts'
import type { ClothLay } from '../../../core/cloth/index.ts'
import { chalkList } from '../../../core/lists/index.ts'
import { formatLength, toCut } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import { useLay } from '../../stores/lay/index.ts'
import ChalkSteps from './ChalkSteps.vue'
import RowPreview from './RowPreview.vue'

/** The row of cushions as this lay cuts it, and the corners to chalk. */
const props = defineProps<{ plan: ClothLay; lay: Lay; marked: string | null }>()
const emit = defineEmits<{
  mark: [piece: string | null]
  point: [corner: { readonly fromSelvedge: number; readonly fromStart: number } | null]
}>()
const isStepping = ref(false)
const jobs = useJob()
const lays = useLay()
const unit = computed(() => jobs.job!.units)
/** Marked no finer than chalk and tape can. */
const say = (mm: number) => formatLength(toCut(mm, unit.value), unit.value)
const chalk = computed(() => chalkList(props.plan, props.lay))
</script>

<template>
  <template v-if="lays.index === 0 && lays.current">
    <h2>The row as this lay cuts it</h2>
    <RowPreview :lay="lays.current" />
  </template>
  <h2>
    Chalk list
    <button type="button" class="plain-button no-print" :aria-pressed="isStepping" @click="isStepping = !isStepping">
      {{ isStepping ? 'All of it' : 'Corner by corner' }}
    </button>
  </h2>
  <ChalkSteps
    v-if="isStepping"
    :lines="chalk"
    :unit="unit"
    :is-folded="plan.isFolded"
    @mark="emit('mark', $event)"
    @point="emit('point', $event)"
  />
  <p v-if="!isStepping" class="quiet">
    Corners of each cut edge in order of marking: from the left selvedge edge, then from the starting end.
  </p>
  <table v-if="!isStepping" class="chalk">
    <thead>
      <tr>
        <th>No.</th>
        <th>Piece</th>
        <th>Corners</th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="line in chalk"
        :key="line.order"
        :class="{ marked: marked === line.piece }"
        @mouseenter="emit('mark', line.piece)"
        @mouseleave="emit('mark', null)"
      >
        <td>{{ line.order }}</td>
        <td>{{ line.name }}</td>
        <td>
          <span v-for="(c, i) in line.corners" :key="i" class="corner"
            >{{ say(c.fromSelvedge) }} / {{ say(c.fromStart) }}<i v-if="c.bowMm !== 0"> bow {{ say(c.bowMm) }}</i></span
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
h2 {
  display: flex;
  justify-content: space-between;
  align-items: center;
}

p {
  margin: 0;
  font-size: 15px;
}

.chalk {
  width: 100%;
  font-size: 14px;
}

.chalk th,
.chalk td {
  text-align: left;
  vertical-align: top;
  padding: 3px 10px 3px 0;
  border-top: 1px solid var(--paper-edge);
}

.chalk thead th {
  border: 0;
  color: var(--ink-soft);
  font-weight: 400;
}

.chalk tr.marked {
  background: var(--chalk-wash);
}

.corner {
  display: inline-block;
  white-space: nowrap;
  margin-right: 14px;
}
</style>
