<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../../core/language/index.ts'
import { compareSchools } from '../../../../core/filling/index.ts'
import { formatLength, trimmed, unitName } from '../../../../core/units/index.ts'
import type { WorkedPart } from '../../../../core/planned/index.ts'
import { useDesign } from '../../../stores/design.ts'
import { useFoam } from '../use-foam.ts'
import { SCHOOL_NAMES } from './school-names.ts'

/** What every sizing school would make of this cushion, side by side. */
const { jobs, foam, plan } = useFoam()
const design = useDesign()
const effects = computed(() =>
  compareSchools(
    design.chosen!.design.solid,
    {
      school: foam.value.school,
      wadding: foam.value.wadding,
      firmness: plan.value.firmness,
      seam: (jobs.part as WorkedPart).allowances.seamMm,
    },
    plan.value.stays,
  ),
)
const mm = (length: number) => formatLength(length, jobs.job!.units)
const percent = (share: number) => `${trimmed(share * 100, 1)} %`
function fills({ width, depth }: { readonly width: number; readonly depth: number }): string {
  const short = Math.max(width, depth)
  if (short > 0.5) return phrase`${mm(width)} and ${mm(depth)} short`
  const over = Math.max(-width, -depth)
  return over > 0.5 ? phrase`over by ${mm(Math.max(0, -width))} and ${mm(Math.max(0, -depth))}` : 'yes'
}
</script>

<template>
  <div class="schools" tabindex="0" role="region" aria-label="The schools side by side">
    <span class="caption">The schools side by side ({{ unitName(jobs.job!.units) }})</span>
    <table class="ruled-table">
      <thead>
        <tr>
          <th>School</th>
          <th>Block, cut</th>
          <th>Cover, net</th>
          <th>Fit across, deep</th>
          <th>Fills the seat</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="e in effects" :key="e.kind" :class="{ chosen: e.isChosen }">
          <th scope="row">{{ SCHOOL_NAMES[e.kind] }}</th>
          <td>
            {{ mm(e.sizing.block.width.value) }} x {{ mm(e.sizing.block.depth.value) }} x
            {{ mm(e.sizing.block.thickness.value) }}
          </td>
          <td>
            {{ mm(e.sizing.cover.width.value) }} x {{ mm(e.sizing.cover.depth.value) }} x
            {{ mm(e.sizing.cover.thickness.value) }}
          </td>
          <td>
            {{ percent(e.fit.across.value) }}, {{ percent(e.fit.frontToBack.value) }}
            <div class="quiet">{{ e.fit.verdict.across }}, {{ e.fit.verdict.frontToBack }}</div>
          </td>
          <td>{{ fills(e.shortMm) }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.schools {
  overflow: auto;
  padding: 12px 16px;
}

.caption {
  color: var(--ink-soft);
  font-size: 15px;
}

table {
  margin-top: 6px;
  font-size: 15px;
  white-space: nowrap;
}

tbody th {
  font-weight: 600;
}

.chosen {
  background: var(--chalk-wash);
}
</style>
