<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { AllowanceMm, type Footprint, limits } from '../../../contract/index.ts'
import { setSeat } from '../../../core/job/index.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import LengthField from '../../ui/LengthField.vue'

/** Is the outline an old panel? Then every edge is a sewing line or a cut line, which is asked and never assumed. */
type Points = Extract<Footprint, { kind: 'points' }>
type Template = NonNullable<Points['template']>
const jobs = useJob()
const shape = computed(() => jobs.job!.seat.footprint as Points)
const template = computed(() => shape.value.template)
const edges = computed(() => {
  const n = shape.value.points.length
  return n > MOST_ASKED ? [] : shape.value.points.map((_, i) => `${i + 1}-${((i + 1) % n) + 1}`)
})
/** Of more edges nobody answers one by one. */
const MOST_ASKED = 24
const put = (says: string, next: Template | null, key: string | null = null) =>
  jobs.edit(
    setSeat(says, (s) => (s.footprint.kind === 'points' ? { ...s, footprint: { ...s.footprint, template: next } } : s)),
    key,
  )
const set = (says: string, change: Partial<Template>, key: string | null = null) =>
  template.value && put(says, { ...template.value, ...change }, key)
const lineOf = (edge: string) => template.value!.edges[edge] ?? template.value!.lines
const setEdge = (edge: string, line: 'net' | 'cut') =>
  set(phrase`Edge ${edge} is a ${line} line`, { edges: { ...template.value!.edges, [edge]: line } })
const LINES = [
  { value: 'net', label: 'sewing line' },
  { value: 'cut', label: 'cut line' },
] as const
</script>

<template>
  <div class="field-row">
    <span class="label">The outline is</span>
    <ChoiceButtons
      :model-value="template ? template.lines : 'seat'"
      :choices="[
        { value: 'seat', label: 'of the seat' },
        { value: 'net', label: 'of an old panel, net' },
        { value: 'cut', label: 'of an old panel, cut' },
      ]"
      name="The outline is"
      @update:model-value="
        (is) =>
          is === 'seat'
            ? put('The outline of the seat', null)
            : put(`An old panel, ${is} lines`, {
                lines: is as 'net' | 'cut',
                edges: {},
                allowanceMm: template?.allowanceMm ?? 12,
                fold: template?.fold ?? null,
              })
      "
    />
  </div>
  <template v-if="template">
    <div class="field-row">
      <span class="label">Old allowance</span>
      <LengthField
        :model-value="template.allowanceMm"
        :unit="jobs.job!.units"
        v-bind="limits(AllowanceMm)"
        name="Old allowance"
        @update:model-value="set('Old allowance', { allowanceMm: $event }, 'template-allowance')"
      />
    </div>
    <div class="field-row">
      <span class="label">Half a panel, folded at</span>
      <ElSelect
        :model-value="template.fold ?? ''"
        aria-label="Fold of the half panel"
        @update:model-value="
          (edge: string) => set(edge === '' ? 'A whole panel' : `Folded at ${edge}`, { fold: edge || null })
        "
      >
        <ElOption value="" label="no: it is whole" />
        <ElOption v-for="e in edges" :key="e" :value="e" :label="`edge ${e}`" />
      </ElSelect>
    </div>
    <div v-for="e in edges.filter((x) => x !== template!.fold)" :key="e" class="field-row">
      <span class="label">Edge {{ e }}</span>
      <ChoiceButtons
        :model-value="lineOf(e)"
        :choices="LINES"
        :name="`Line of edge ${e}`"
        @update:model-value="setEdge(e, $event)"
      />
    </div>
    <p v-if="edges.length === 0" class="quiet">
      So many edges are taken all alike; mark single ones by moving their points.
    </p>
  </template>
</template>
