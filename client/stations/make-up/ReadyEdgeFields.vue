<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import type { ReadyEdge } from '../../../contract/index.ts'
import { setMakeUp } from '../../../core/job/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import { panelEdges } from './panel-edges.ts'

/** Edges that the cloth brings ready: they take no hem, and lie on a side of the cloth. */
const jobs = useJob()
const design = useDesign()
const ready = computed(() => jobs.job!.makeUp.readyEdges)
const set = (says: string, change: (all: readonly ReadyEdge[]) => readonly ReadyEdge[]) =>
  jobs.edit(setMakeUp(says, (m) => ({ ...m, readyEdges: [...change(m.readyEdges)] })))
const edges = computed(() => panelEdges(design.chosen?.cover ?? null))
const labelOf = (r: ReadyEdge) =>
  edges.value.find((e) => e.key === `${r.panel}/${r.edge}`)?.label ?? phrase`${r.panel}, ${r.edge}`
const free = computed(() =>
  edges.value.filter((e) => !ready.value.some((r) => r.panel === e.panel && r.edge === e.edge)),
)
const add = (key: string) => {
  const found = edges.value.find((e) => e.key === key)
  if (found)
    set(phrase`${found.label} on the selvedge`, (all) => [
      ...all,
      { panel: found.panel, edge: found.edge, is: 'selvedge' },
    ])
}
const IS = [
  { value: 'selvedge', label: 'Selvedge' },
  { value: 'factory-hem', label: 'Factory hem' },
] as const
</script>

<template>
  <div v-for="(r, i) in ready" :key="`${r.panel}/${r.edge}`" class="field-row">
    <span class="label">{{ labelOf(r) }}</span>
    <div class="fields-in-line">
      <ChoiceButtons
        :model-value="r.is"
        :choices="IS"
        :name="`Ready edge, ${labelOf(r)}`"
        @update:model-value="(is) => set('Ready edge', (all) => all.map((x, k) => (k === i ? { ...x, is } : x)))"
      />
      <button
        type="button"
        class="plain-button"
        @click="set('No ready edge there', (all) => all.filter((_, k) => k !== i))"
      >
        Take out
      </button>
    </div>
  </div>
  <div v-if="free.length > 0" class="field-row" data-field="make-up.readyEdges">
    <span class="label">Cloth’s own edge at</span>
    <ElSelect
      :model-value="''"
      placeholder="choose a panel and edge"
      aria-label="Cloth’s own edge at"
      filterable
      @update:model-value="add"
    >
      <ElOption v-for="e in free" :key="e.key" :value="e.key" :label="e.label" />
    </ElSelect>
  </div>
</template>
