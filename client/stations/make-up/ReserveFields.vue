<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { EdgeReserve, limits } from '../../../contract/index.ts'
import { reserveFor } from '../../../core/learning/index.ts'
import { acrossTheWholeCloth } from '../../../core/cover/index.ts'
import { setMakeUp } from '../../../core/job/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import { useShop } from '../../stores/shop.ts'
import LengthField from '../../ui/LengthField.vue'
import { panelEdges } from './panel-edges.ts'

/** Edges that are cut longer, trimmed when the cover is tried on, and told of at the stop. */
const jobs = useJob()
const design = useDesign()
const shop = useShop()
const reserves = computed(() => jobs.job!.makeUp.reserves)
const set = (
  says: string,
  change: (all: readonly EdgeReserve[]) => readonly EdgeReserve[],
  key: string | null = null,
) =>
  jobs.edit(
    setMakeUp(says, (m) => ({ ...m, reserves: [...change(m.reserves)] })),
    key,
  )
const edges = computed(() => panelEdges(design.chosen?.cover ?? null))
const labelOf = (r: EdgeReserve) =>
  edges.value.find((e) => e.panel === r.panel && e.edge === r.edge)?.label ?? phrase`${r.panel}, ${r.edge}`
const free = computed(() =>
  edges.value.filter((e) => !reserves.value.some((r) => r.panel === e.panel && r.edge === e.edge)),
)
/** Plates that nothing goes beside: cut across the whole cloth, and trimmed when they are sewn. */
const wholeWidth = computed(() =>
  acrossTheWholeCloth(design.chosen?.cover.whole.panels ?? [], jobs.job!.cloth, reserves.value).filter(
    (w) => !reserves.value.some((r) => r.panel === w.panel && r.edge === w.edge && r.mm === w.mm),
  ),
)
const takeWholeWidth = () =>
  set('Plates across the whole cloth', (all) => [
    ...all.filter((r) => !wholeWidth.value.some((w) => w.panel === r.panel && w.edge === r.edge)),
    ...wholeWidth.value,
  ])
const add = (key: string) => {
  const found = edges.value.find((e) => e.key === key)
  if (found)
    set(phrase`${found.label} left to trim`, (all) => [
      ...all,
      { panel: found.panel, edge: found.edge, mm: reserveFor(jobs.job!, shop.workshop.learned) },
    ])
}
</script>

<template>
  <div v-for="(r, i) in reserves" :key="`${r.panel}/${r.edge}`" class="field-row">
    <span class="label">{{ labelOf(r) }}</span>
    <div class="line">
      <LengthField
        :model-value="r.mm"
        :unit="jobs.job!.units"
        v-bind="limits(EdgeReserve.shape.mm)"
        :name="`Left to trim, ${labelOf(r)}`"
        @update:model-value="
          (mm) => set('Left to trim', (all) => all.map((x, k) => (k === i ? { ...x, mm } : x)), `reserve.${i}`)
        "
      />
      <button
        type="button"
        class="plain-button"
        @click="set('Nothing left to trim there', (all) => all.filter((_, k) => k !== i))"
      >
        Take out
      </button>
    </div>
  </div>
  <div v-if="free.length > 0" class="field-row" data-field="make-up.reserves">
    <span class="label">Left to trim at</span>
    <ElSelect
      :model-value="''"
      placeholder="choose a panel and edge"
      aria-label="Left to trim at"
      filterable
      @update:model-value="add"
    >
      <ElOption v-for="e in free" :key="e.key" :value="e.key" :label="e.label" />
    </ElSelect>
  </div>
  <div v-if="wholeWidth.length > 0" class="field-row">
    <span class="label" />
    <button type="button" class="plain-button" @click="takeWholeWidth">
      Plates across the whole cloth, trimmed later
    </button>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
