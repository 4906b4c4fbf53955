<script setup lang="ts">
import { computed } from 'vue'
import type { OldSizes } from '../../../contract/index.ts'
import { setSeat } from '../../../core/job/index.ts'
import { valueOf } from '../../../core/seat/index.ts'
import { useJob } from '../../stores/job.ts'
import LengthField from '../../ui/LengthField.vue'

/** What the old cushion measures without its cover, and what its label claims: kept, and held against the seat. */
const jobs = useJob()
const old = computed(() => jobs.job!.seat.old)
const SOURCES = [
  { key: 'measured', label: 'Old cushion, stripped' },
  { key: 'label', label: 'Its label' },
] as const
const SIZES = [
  { key: 'widthMm', label: 'width' },
  { key: 'depthMm', label: 'depth' },
  { key: 'thicknessMm', label: 'thickness' },
] as const
const NOTHING: OldSizes = { widthMm: null, depthMm: null, thicknessMm: null }
const now = computed(() => {
  const solid = jobs.part?.cushions?.designs[0]?.solid
  return {
    widthMm: solid?.width.value ?? 600,
    depthMm: solid?.depth.value ?? 500,
    thicknessMm: valueOf(jobs.job!.seat.thickness),
  }
})
type Source = (typeof SOURCES)[number]['key']
const set = (source: Source, change: Partial<OldSizes> | null, says: string, undo: string | null = null) =>
  jobs.edit(
    setSeat(says, (s) => ({
      ...s,
      old: { ...s.old, [source]: change === null ? null : { ...(s.old[source] ?? NOTHING), ...change } },
    })),
    undo,
  )
const note = (source: Source) =>
  set(
    source,
    {
      widthMm: Math.round(now.value.widthMm),
      depthMm: Math.round(now.value.depthMm),
      thicknessMm: Math.round(now.value.thicknessMm),
    },
    'Old cushion noted',
  )
</script>

<template>
  <div v-for="s in SOURCES" :key="s.key" class="field-row">
    <span class="label">{{ s.label }}</span>
    <div class="sizes">
      <template v-if="old[s.key]">
        <LengthField
          v-for="z in SIZES"
          :key="z.key"
          :model-value="old[s.key]![z.key] ?? now[z.key]"
          :unit="jobs.job!.units"
          :name="`${s.label}, ${z.label}`"
          @update:model-value="(mm) => set(s.key, { [z.key]: mm }, `${s.label} noted`, `old-${s.key}-${z.key}`)"
        />
        <button type="button" class="plain-button" @click="set(s.key, null, `${s.label} forgotten`)">Forget</button>
      </template>
      <button v-else type="button" class="plain-button" @click="note(s.key)">Note its sizes</button>
    </div>
  </div>
</template>

<style scoped>
.sizes {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
}

:deep(input) {
  width: 62px;
}
</style>
