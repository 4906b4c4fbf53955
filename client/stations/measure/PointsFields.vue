<script setup lang="ts">
import { computed, ref } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { LONGEST_MM, type Footprint } from '../../../contract/index.ts'
import { setSeat } from '../../../core/job/index.ts'
import { insertPoint, removePoint } from '../../../core/seat/index.ts'
import { useJob } from '../../stores/job.ts'
import LengthField from '../../ui/LengthField.vue'
import { readDrawing } from './read-drawing.ts'
import TemplateFields from './TemplateFields.vue'

/** An outline as a table of points, typed or read from a drawing. */
type Points = Extract<Footprint, { kind: 'points' }>
const jobs = useJob()
const shape = computed(() => jobs.job!.seat.footprint as Points)
const picker = ref<HTMLInputElement>()
const failed = ref('')
const SHOWN = 40
const set = (change: Partial<Points>, says: string, undo: string | null = null) =>
  jobs.edit(
    setSeat(says, (s) => ({ ...s, footprint: { ...shape.value, ...change } })),
    undo,
  )
const setPoint = (i: number, change: Partial<Points['points'][number]>) =>
  set(
    { points: shape.value.points.map((p, j) => (j === i ? { ...p, ...change } : p)) },
    phrase`Point ${i + 1}`,
    `point-${i}-${Object.keys(change)[0]!}`,
  )
const addPoint = (i: number) => jobs.edit(setSeat('One more point', (seat) => insertPoint(seat, i)))
const dropPoint = (i: number) => jobs.edit(setSeat(phrase`Point ${i + 1} taken out`, (seat) => removePoint(seat, i)))

async function open(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  failed.value = ''
  try {
    const { points, report } = await readDrawing(file)
    jobs.edit(
      setSeat(phrase`Outline from ${file.name}`, (s) => ({
        ...s,
        front: '1-2',
        edges: {},
        corners: {},
        footprint: {
          kind: 'points',
          points: [...points],
          source: { kind: 'file', name: file.name.slice(0, 200), report: [...report] },
          template: shape.value.template,
        },
      })),
    )
  } catch (cause) {
    failed.value = (cause as Error).message
  } finally {
    picker.value!.value = ''
  }
}
</script>

<template>
  <div class="field-row">
    <span class="label">From a drawing</span>
    <div>
      <button type="button" class="plain-button" @click="picker?.click()">Open DXF or SVG</button>
      <input ref="picker" type="file" accept=".dxf,.svg" hidden aria-label="Drawing of the outline" @change="open" />
      <p v-if="failed" class="failed" role="alert">{{ failed }}</p>
      <ul v-if="shape.source.kind === 'file'" class="report">
        <li>{{ shape.source.name }}</li>
        <li v-for="line in shape.source.report" :key="line">{{ line }}</li>
      </ul>
    </div>
  </div>
  <TemplateFields />
  <div class="field-row">
    <span class="label">Points</span>
    <div>
      <table>
        <thead>
          <tr>
            <th>Point</th>
            <th>Across</th>
            <th>Up</th>
            <th>Bow after it</th>
            <td />
          </tr>
        </thead>
        <tbody>
          <tr v-for="(p, i) in shape.points.slice(0, SHOWN)" :key="i">
            <th scope="row">{{ i + 1 }}</th>
            <td>
              <LengthField
                :model-value="p.x"
                :unit="jobs.job!.units"
                :name="`Point ${i + 1}, across`"
                :min="-LONGEST_MM"
                :max="LONGEST_MM"
                @update:model-value="setPoint(i, { x: $event })"
              />
            </td>
            <td>
              <LengthField
                :model-value="p.y"
                :unit="jobs.job!.units"
                :name="`Point ${i + 1}, up`"
                :min="-LONGEST_MM"
                :max="LONGEST_MM"
                @update:model-value="setPoint(i, { y: $event })"
              />
            </td>
            <td>
              <LengthField
                :model-value="p.riseMm"
                :unit="jobs.job!.units"
                :name="`Bow after point ${i + 1}`"
                :min="-LONGEST_MM"
                :max="LONGEST_MM"
                @update:model-value="setPoint(i, { riseMm: $event })"
              />
            </td>
            <td class="tools">
              <button
                type="button"
                class="plain-button small"
                :aria-label="`Add a point after ${i + 1}`"
                @click="addPoint(i)"
              >
                +</button
              ><button
                v-if="shape.points.length > 3"
                type="button"
                class="plain-button small"
                :aria-label="`Take out point ${i + 1}`"
                @click="dropPoint(i)"
              >
                −
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="shape.points.length > SHOWN" class="quiet">
        and {{ shape.points.length - SHOWN }} more, as read from the drawing
      </p>
    </div>
  </div>
</template>

<style scoped>
.field-row {
  display: block;
}

:deep(input) {
  width: 64px;
}

th {
  font-weight: 400;
  text-align: left;
}

.tools {
  white-space: nowrap;
}

.small {
  padding: 2px 8px;
}

.failed {
  color: var(--rust);
}

.report {
  margin: 4px 0;
  padding-left: 18px;
}
</style>
