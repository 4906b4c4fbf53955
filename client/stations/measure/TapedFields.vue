<script setup lang="ts">
import { computed, ref } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import type { Footprint } from '../../../contract/index.ts'
import { reading, setSeat } from '../../../core/job/index.ts'
import { tapedSurvey, tapeName } from '../../../core/seat/index.ts'
import { formatLength, unitName } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'

/** Tapes between corners: which there are, how well they agree. Their lengths are the dimensions above. */
type Taped = Extract<Footprint, { kind: 'taped' }>
const jobs = useJob()
const shape = computed(() => jobs.job!.seat.footprint as Taped)
const survey = computed(() => {
  const found = tapedSurvey(shape.value)
  return found.ok ? found.value : null
})
const letters = computed(() => Array.from({ length: shape.value.corners }, (_, i) => String.fromCharCode(65 + i)))
const sides = computed(() => letters.value.map((l, i) => `${l}${letters.value[(i + 1) % letters.value.length]!}`))
const set = (change: Partial<Taped>, says: string) =>
  jobs.edit(setSeat(says, (s) => ({ ...s, footprint: { ...shape.value, ...change } })))
const from = ref('A')
const to = ref('C')
const ends = computed(() => [
  ...letters.value.map((l) => ({ value: l, label: l })),
  ...sides.value.map((s) => ({ value: s, label: phrase`middle of ${s}` })),
])
const isPossible = computed(() => !to.value.includes(from.value) && letters.value.includes(from.value))
const add = () =>
  set(
    { tapes: [...shape.value.tapes, { from: from.value, to: to.value, length: reading(1000) }] },
    phrase`Tape ${tapeName({ from: from.value, to: to.value })}`,
  )
const drop = (i: number) =>
  set({ tapes: shape.value.tapes.filter((_, j) => j !== i) }, phrase`Without tape ${tapeName(shape.value.tapes[i]!)}`)

/** A new corner comes between the last and A, with tapes to both. */
function addCorner(): void {
  const next = String.fromCharCode(65 + shape.value.corners)
  const last = letters.value.at(-1)!
  const kept = shape.value.tapes.filter((t) => !(t.from === last && t.to === 'A') && !(t.from === 'A' && t.to === last))
  const closing = shape.value.tapes.find((t) => (t.from === last && t.to === 'A') || (t.from === 'A' && t.to === last))
  const half = Math.round((closing?.length.readings[0]!.mm ?? 600) * 0.6)
  set(
    {
      corners: shape.value.corners + 1,
      tapes: [
        ...kept,
        ...(closing ? [{ from: 'A', to: last, length: closing.length }] : []),
        { from: last, to: next, length: reading(half) },
        { from: next, to: 'A', length: reading(half) },
      ],
    },
    'One more corner',
  )
}
const hollow = (letter: string) =>
  set(
    {
      hollow: shape.value.hollow.includes(letter)
        ? shape.value.hollow.filter((l) => l !== letter)
        : [...shape.value.hollow, letter],
    },
    phrase`Corner ${letter} ${shape.value.hollow.includes(letter) ? 'points out' : 'points inwards'}`,
  )
</script>

<template>
  <div class="field-row">
    <span class="label">One more tape</span>
    <div class="add">
      <select v-model="from" aria-label="Tape from corner">
        <option v-for="l in letters" :key="l" :value="l">{{ l }}</option>
      </select>
      <span>to</span>
      <select v-model="to" aria-label="Tape to">
        <option v-for="e in ends" :key="e.value" :value="e.value">{{ e.label }}</option>
      </select>
      <button type="button" class="plain-button" :disabled="!isPossible || shape.tapes.length >= 80" @click="add">
        Add
      </button>
    </div>
  </div>
  <div class="field-row">
    <span class="label">How they agree</span>
    <table>
      <tbody>
        <tr v-for="(t, i) in shape.tapes" :key="i">
          <th scope="row">{{ tapeName(t) }}</th>
          <td>
            {{
              survey
                ? `${survey.residualsMm[i]! > 0 ? '+' : ''}${formatLength(survey.residualsMm[i]!, jobs.job!.units)} ${unitName(jobs.job!.units)}`
                : ''
            }}
          </td>
          <td>
            <button
              type="button"
              class="plain-button small"
              :aria-label="`Leave out tape ${tapeName(t)}`"
              @click="drop(i)"
            >
              leave out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
  <div class="field-row">
    <span class="label">Corners</span>
    <div class="add">
      <button
        v-for="l in letters"
        :key="l"
        type="button"
        class="plain-button small"
        :aria-pressed="shape.hollow.includes(l)"
        :title="`Corner ${l} points ${shape.hollow.includes(l) ? 'inwards' : 'out'}`"
        @click="hollow(l)"
      >
        {{ l }}{{ shape.hollow.includes(l) ? ' in' : '' }}
      </button>
      <button type="button" class="plain-button small" :disabled="shape.corners >= 16" @click="addCorner">
        + corner
      </button>
    </div>
  </div>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}

select {
  height: var(--target);
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  background: var(--field);
  font: inherit;
}

.small {
  font-size: 14px;
  padding: 3px 8px;
}

th {
  text-align: left;
  padding-right: 10px;
}

td {
  padding-right: 12px;
}
</style>
