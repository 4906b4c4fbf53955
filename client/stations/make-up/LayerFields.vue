<script setup lang="ts">
import { computed } from 'vue'
import { limits, PanelLayer } from '../../../contract/index.ts'
import { setMakeUp } from '../../../core/job/index.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import LengthField from '../../ui/LengthField.vue'

/** What lies behind the cloth of the cover and is sewn as one with it. */
const jobs = useJob()
const layers = computed(() => jobs.job!.makeUp.layers)
const unit = computed(() => jobs.job!.units)
const set = (says: string, change: (all: readonly PanelLayer[]) => readonly PanelLayer[], key: string | null = null) =>
  jobs.edit(
    setMakeUp(says, (m) => ({ ...m, layers: [...change(m.layers)] })),
    key,
  )
const change = (i: number, with_: Partial<PanelLayer>, key: string | null = null) =>
  set('Layers', (all) => all.map((l, k) => (k === i ? { ...l, ...with_ } : l)), key)
const KINDS = [
  { value: 'lining', label: 'Lining' },
  { value: 'wadding', label: 'Wadding' },
  { value: 'protector', label: 'Protector' },
] as const
const FACES = ['top', 'bottom', 'sides'] as const
const USUAL_QUILT = { spacingMm: 120, mostMm: 150 }
const QUILT = [
  { value: 'no', label: 'Not quilted' },
  { value: 'yes', label: 'Quilted' },
] as const
function turn(i: number, layer: PanelLayer, face: (typeof FACES)[number]): void {
  const behind = FACES.filter((f) => layer.behind.includes(f) !== (f === face))
  if (behind.length > 0) change(i, { behind })
}
const setQuilt = (i: number, layer: PanelLayer, with_: Partial<NonNullable<PanelLayer['quilt']>>, key: string) =>
  layer.quilt && change(i, { quilt: { ...layer.quilt, ...with_ } }, `layer.${i}.${key}`)
const add = () => set('A layer behind', (all) => [...all, { kind: 'lining', behind: ['top'], quilt: null }])
const capital = (s: string) => s.charAt(0).toUpperCase() + s.slice(1)
</script>

<template>
  <h3>Behind the cloth</h3>
  <section v-for="(layer, i) in layers" :key="i" class="layer" :aria-label="`Layer ${i + 1}`">
    <div class="field-row">
      <span class="label">Layer</span>
      <div class="fields-in-line">
        <ChoiceButtons
          :model-value="layer.kind"
          :choices="KINDS"
          :name="`Kind of layer ${i + 1}`"
          @update:model-value="(kind) => change(i, { kind })"
        />
        <button type="button" class="plain-button" @click="set('A layer less', (all) => all.filter((_, k) => k !== i))">
          Take out
        </button>
      </div>
    </div>
    <div class="field-row">
      <span class="label">Behind</span>
      <div class="fields-in-line">
        <label v-for="face in FACES" :key="face" class="tick">
          <input type="checkbox" :checked="layer.behind.includes(face)" @change="turn(i, layer, face)" />
          {{ capital(face) }}
        </label>
      </div>
    </div>
    <div class="field-row">
      <span class="label">Held</span>
      <ChoiceButtons
        :model-value="layer.quilt ? 'yes' : 'no'"
        :choices="QUILT"
        :name="`Quilting of layer ${i + 1}`"
        @update:model-value="(v) => change(i, { quilt: v === 'yes' ? USUAL_QUILT : null })"
      />
    </div>
    <div v-if="layer.quilt" class="field-row">
      <span class="label">Lines, and at most</span>
      <div class="fields-in-line">
        <LengthField
          :model-value="layer.quilt.spacingMm"
          :unit="unit"
          v-bind="limits(PanelLayer.shape.quilt.unwrap().shape.spacingMm)"
          :name="`Lines of layer ${i + 1} apart`"
          @update:model-value="(spacingMm) => setQuilt(i, layer, { spacingMm }, 'spacing')"
        />
        <LengthField
          :model-value="layer.quilt.mostMm"
          :unit="unit"
          v-bind="limits(PanelLayer.shape.quilt.unwrap().shape.mostMm)"
          :name="`Layer ${i + 1} holds up to`"
          @update:model-value="(mostMm) => setQuilt(i, layer, { mostMm }, 'most')"
        />
      </div>
    </div>
  </section>
  <button v-if="layers.length < 6" type="button" class="plain-button" @click="add">A layer behind the cloth</button>
</template>

<style scoped>
.layer {
  display: grid;
  gap: 6px;
  padding-bottom: 10px;
}

.tick {
  display: flex;
  gap: 6px;
  align-items: center;
}
</style>
