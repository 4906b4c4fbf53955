<script setup lang="ts">
import { computed } from 'vue'
import type { CutLine } from '../../../core/planned/index.ts'
import { unitName, type LengthUnit } from '../../../core/units/index.ts'
import FigureValue from '../../ui/FigureValue.vue'
import CutPicture from './CutPicture.vue'

/** What is cut, under the material that it is cut from. */
const props = defineProps<{ lines: readonly CutLine[]; units: LengthUnit }>()
const groups = computed(() =>
  [...new Set(props.lines.map((l) => l.from))].map((from) => ({
    from,
    lines: props.lines.filter((l) => l.from === from),
  })),
)
</script>

<template>
  <table class="ruled-table">
    <thead>
      <tr>
        <th>Piece</th>
        <th><span class="only-heard">Shape</span></th>
        <th class="n">Count</th>
        <th>Cut, {{ unitName(units) }}</th>
        <th>Marks</th>
        <th class="done">Cut</th>
      </tr>
    </thead>
    <tbody v-for="g in groups" :key="g.from">
      <tr class="material">
        <th scope="rowgroup" colspan="6">{{ g.from }}</th>
      </tr>
      <tr v-for="(l, i) in g.lines" :key="i">
        <th scope="row">{{ l.what }}</th>
        <td><CutPicture :line="l" /></td>
        <td class="n">{{ l.count }}</td>
        <td class="size">
          <FigureValue :figure="l.width" bare unitless cuttable /> x
          <FigureValue :figure="l.height" bare unitless cuttable />
        </td>
        <td>{{ l.note }}</td>
        <td class="done"><span class="box" /></td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.material th {
  padding-top: 12px;
  border: 0;
  font-weight: 600;
}

.material th::first-letter {
  text-transform: uppercase;
}

tbody th,
td {
  vertical-align: middle;
}

.size {
  white-space: nowrap;
}

.done {
  width: 46px;
  text-align: center;
}

.box {
  display: inline-block;
  width: 18px;
  height: 18px;
  border: 1.5px solid var(--ink);
  vertical-align: middle;
}

tbody {
  break-inside: avoid;
}
</style>
