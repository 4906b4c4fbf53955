<script setup lang="ts">
import { computed } from 'vue'
import type { Inside, PartWork } from '../../../contract/index.ts'
import { setWork, type Edit } from '../../../core/job/index.ts'
import { bodySizes } from '../../../core/filling/index.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import SizeFields from '../../ui/SizeFields.vue'
import { vTyped } from '../../ui/v-typed.ts'

/** What is ordered: both, a cover for the filling that is there, or a filling for the cover that is there. */
const jobs = useJob()
const work = computed(() => jobs.job!.work)
const CHOICES: readonly { value: PartWork['kind']; label: string }[] = [
  { value: 'cover-and-filling', label: 'Both' },
  { value: 'cover-only', label: 'Cover' },
  { value: 'filling-only', label: 'Filling' },
]
const SAYS: Readonly<Record<PartWork['kind'], string>> = {
  'cover-and-filling': 'A new cover and a new filling, sized from the seat.',
  'cover-only': 'The filling stays: measure it as the seat below, bare and rested. The cover is made to it.',
  'filling-only': 'The cover stays: the block is made to the inside of it. The seat below is a check.',
}
const now = computed(() => {
  const solid = jobs.part?.cushions?.designs[0]?.solid
  const round = (mm: number | undefined, usual: number) => Math.round((mm ?? usual) * 10) / 10
  return {
    widthMm: round(solid?.width.value, 600),
    depthMm: round(solid?.depth.value, 500),
    thicknessMm: round(solid?.thickness.value, 80),
  }
})
const body = computed(() => jobs.job!.there.bodies[0] ?? null)
const change = (says: string, next: PartWork, key: string | null = null) => {
  const edit: Edit = { says, apply: (job) => ({ ...job, work: next }) }
  jobs.edit(edit, key)
}
function setInside(says: string, inside: Inside | null, key: string | null = null): void {
  if (work.value.kind === 'filling-only') change(says, { ...work.value, inside }, key)
}
function measured(size: 'widthMm' | 'depthMm' | 'thicknessMm', mm: number): void {
  if (work.value.kind === 'filling-only' && work.value.inside)
    setInside('Inside of the cover', { ...work.value.inside, [size]: mm }, `inside-${size}`)
}
function setUnpicking(unpicking: string): void {
  if (work.value.kind === 'filling-only') change('To open it', { ...work.value, unpicking }, 'unpicking')
}
function fromBody(): void {
  const sizes = bodySizes(body.value!)
  setInside('Inside by the old body', {
    from: 'old-body',
    widthMm: sizes.widthMm ?? now.value.widthMm,
    depthMm: sizes.depthMm ?? now.value.depthMm,
    thicknessMm: sizes.thicknessMm,
  })
}
</script>

<template>
  <div class="field-row">
    <span class="label">Ordered</span>
    <div>
      <ChoiceButtons
        :model-value="work.kind"
        :choices="CHOICES"
        name="Ordered"
        @update:model-value="jobs.edit(setWork($event))"
      />
      <p class="quiet says">{{ SAYS[work.kind] }}</p>
    </div>
  </div>
  <template v-if="work.kind === 'filling-only'">
    <div class="field-row" data-field="filling.there">
      <span class="label">Inside of the cover</span>
      <div v-if="work.inside">
        <SizeFields
          :sizes="work.inside"
          :usual="now"
          :unit="jobs.job!.units"
          name="Inside of the cover"
          @change="measured"
        />
        <p class="quiet says">
          {{
            work.inside.from === 'laid-flat'
              ? 'Laid flat: plates seam to seam, boxing as thickness; of a cushion without boxing less its thickness both ways.'
              : 'By the old body, recovered.'
          }}
        </p>
        <button type="button" class="plain-button" @click="setInside('Inside as the seat', null)">
          As the seat after all
        </button>
      </div>
      <div v-else class="buttons">
        <button
          type="button"
          class="plain-button"
          @click="setInside('Inside of the cover', { from: 'laid-flat', ...now })"
        >
          Measured, laid flat
        </button>
        <button v-if="body" type="button" class="plain-button" @click="fromBody">By the old body</button>
      </div>
    </div>
    <div class="field-row">
      <label for="unpicking">To open it</label>
      <input
        id="unpicking"
        class="text"
        maxlength="300"
        v-typed="work.unpicking"
        placeholder="which seam, how long, what to note before"
        @change="setUnpicking(($event.target as HTMLInputElement).value)"
      />
    </div>
  </template>
</template>

<style scoped>
.says {
  margin: 4px 0 0;
  font-size: 15px;
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
