<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import type { CornerSetting } from '../../../contract/index.ts'
import { setSeat } from '../../../core/job/index.ts'
import { footingOf } from '../../../core/seat/index.ts'
import { withCorner } from '../../../core/typing/index.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import LengthField from '../../ui/LengthField.vue'

/** Square, rounded or cut off. */
const props = defineProps<{ corner: string }>()
const jobs = useJob()
const setting = computed((): CornerSetting => jobs.job!.seat.corners[props.corner] ?? { kind: 'square' })
const names = computed(() => {
  const footing = footingOf(jobs.job!.seat.footprint)
  if (!footing.ok) return { arriving: 'the edge before', leaving: 'the edge after', all: [] }
  const { edges, corners } = footing.value
  const i = corners.indexOf(props.corner)
  return { arriving: edges[(i + edges.length - 1) % edges.length]!, leaving: edges[i]!, all: corners }
})
const KINDS = [
  { value: 'square', label: 'square' },
  { value: 'round', label: 'rounded' },
  { value: 'cut', label: 'cut off' },
] as const
const set = (next: CornerSetting, says: string, undo: string | null = null) =>
  jobs.edit(
    setSeat(says, (s) => withCorner(s, props.corner, next)),
    undo && `${undo}-${props.corner}`,
  )
function setKind(kind: CornerSetting['kind']): void {
  set(
    kind === 'square'
      ? { kind }
      : kind === 'round'
        ? { kind, radiusMm: 40 }
        : { kind, arrivingMm: 100, leavingMm: 100 },
    phrase`Corner ${props.corner}: ${kind}`,
  )
}
const toAll = () =>
  jobs.edit(
    setSeat('All corners alike', (s) => names.value.all.reduce((seat, c) => withCorner(seat, c, setting.value), s)),
  )
</script>

<template>
  <h3>Corner {{ corner }}</h3>
  <div class="line">
    <ChoiceButtons
      :model-value="setting.kind"
      :choices="KINDS"
      :name="`Corner ${corner}`"
      @update:model-value="setKind"
    />
  </div>
  <div v-if="setting.kind === 'round'" class="line">
    <span>Radius</span
    ><LengthField
      :model-value="setting.radiusMm"
      :unit="jobs.job!.units"
      :name="`Radius of corner ${corner}`"
      @update:model-value="(radiusMm) => set({ kind: 'round', radiusMm }, 'Radius', 'radius')"
    />
  </div>
  <template v-if="setting.kind === 'cut'">
    <div class="line">
      <span>Along {{ names.arriving }}</span
      ><LengthField
        :model-value="setting.arrivingMm"
        :unit="jobs.job!.units"
        :name="`Leg along ${names.arriving}`"
        @update:model-value="
          (arrivingMm) =>
            set(
              { ...(setting as Extract<CornerSetting, { kind: 'cut' }>), arrivingMm },
              'Leg of the cut corner',
              'leg-a',
            )
        "
      />
    </div>
    <div class="line">
      <span>Along {{ names.leaving }}</span
      ><LengthField
        :model-value="setting.leavingMm"
        :unit="jobs.job!.units"
        :name="`Leg along ${names.leaving}`"
        @update:model-value="
          (leavingMm) =>
            set(
              { ...(setting as Extract<CornerSetting, { kind: 'cut' }>), leavingMm },
              'Leg of the cut corner',
              'leg-b',
            )
        "
      />
    </div>
  </template>
  <div v-if="setting.kind !== 'square'" class="line">
    <button type="button" class="plain-button" @click="toAll">All corners like this</button>
  </div>
</template>
