<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { type EdgeRole, EdgeSetting, Lean, limits, limitsOfKind, MOST_LEAN_DEG } from '../../../contract/index.ts'
import { setSeat } from '../../../core/job/index.ts'
import { edgeLength } from '../../../core/outline/index.ts'
import { footingOf, PLAIN_EDGE, settingName, shapeSeat } from '../../../core/seat/index.ts'
import { withEdge } from '../../../core/typing/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import LengthField from '../../ui/LengthField.vue'
import { vTyped } from '../../ui/v-typed.ts'

/** What an edge meets, how its side leans, how it bows, and whether the sitter faces it. */
const props = defineProps<{ edge: string }>()
const jobs = useJob()
const seat = computed(() => jobs.job!.seat)
const key = computed(() => settingName(props.edge))
const setting = computed(() => seat.value.edges[key.value] ?? PLAIN_EDGE)
const shaped = computed(() => {
  const found = shapeSeat(seat.value)
  return found.ok ? found.value.bare : null
})
const length = computed(() => {
  const i = shaped.value?.edges.findIndex((e) => e.name === props.edge) ?? -1
  return i < 0 ? null : edgeLength(shaped.value!.outline, i)
})
/** A bow of its own belongs to edges that are straight by their shape. */
const takesRise = computed(() => {
  const footing = footingOf(seat.value.footprint)
  return footing.ok && footing.value.edges.includes(props.edge) && !footing.value.curved.includes(props.edge)
})
const isRounding = computed(
  () => props.edge.endsWith(' corner') && seat.value.corners[props.edge.replace(/ corner$/, '')]?.kind === 'round',
)
const change = (c: Partial<EdgeSetting>, says: string, undo: string | null = null) =>
  jobs.edit(
    setSeat(says, (s) => withEdge(s, key.value, c)),
    undo && `${undo}-${key.value}`,
  )

const MEETS: readonly { readonly value: EdgeRole; readonly label: string }[] = [
  { value: 'open', label: 'open' },
  { value: 'wall', label: 'wall' },
  { value: 'hinge', label: 'hinge' },
  { value: 'hull', label: 'hull' },
]
const LEANS = [
  { value: 'upright', label: 'upright' },
  { value: 'angle', label: 'by angle' },
  { value: 'overhang', label: 'by overhang' },
] as const
const lean = computed(() => setting.value.lean)
function setLean(by: (typeof LEANS)[number]['value']): void {
  change(
    { lean: by === 'upright' ? null : by === 'angle' ? { by, degrees: 10 } : { by, mm: 20 } },
    phrase`Edge ${key.value}: side ${by === 'upright' ? 'upright' : phrase`leans, ${by}`}`,
  )
}
function setDegrees(event: Event): void {
  const degrees = Number((event.target as HTMLInputElement).value)
  if (Number.isFinite(degrees) && Math.abs(degrees) <= MOST_LEAN_DEG)
    change({ lean: { by: 'angle', degrees } }, phrase`Edge ${key.value} leans ${degrees}°`, 'lean')
}
</script>

<template>
  <h3>
    Edge {{ edge }}
    <span v-if="length !== null" class="quiet">{{ formatLengthWithUnit(length, jobs.job!.units) }}</span>
  </h3>
  <div class="line">
    <span>Meets</span
    ><ChoiceButtons
      :model-value="setting.meets"
      :choices="MEETS"
      :name="`What edge ${edge} meets`"
      @update:model-value="(meets: EdgeRole) => change({ meets }, `Edge ${key}: ${meets}`)"
    />
  </div>
  <template v-if="!isRounding">
    <div class="line">
      <span>Side</span
      ><ChoiceButtons
        :model-value="lean?.by ?? 'upright'"
        :choices="LEANS"
        :name="`How the side at ${edge} leans`"
        @update:model-value="setLean"
      />
    </div>
    <div v-if="lean?.by === 'angle'" class="line">
      <label for="edge-lean">Degrees</label>
      <input
        id="edge-lean"
        type="number"
        :min="-MOST_LEAN_DEG"
        :max="MOST_LEAN_DEG"
        step="1"
        v-typed="lean.degrees"
        @change="setDegrees"
      />
      <span class="quiet">outwards going up; minus: inwards</span>
    </div>
    <div v-else-if="lean?.by === 'overhang'" class="line">
      <span>Top stands out</span
      ><LengthField
        :model-value="lean.mm"
        :unit="jobs.job!.units"
        v-bind="limitsOfKind(Lean, 'overhang', 'mm')"
        :name="`Overhang of edge ${edge}`"
        @update:model-value="(mm) => change({ lean: { by: 'overhang', mm } }, 'Overhang', 'overhang')"
      />
    </div>
    <div v-if="takesRise" class="line">
      <span>Bow, rise</span
      ><LengthField
        :model-value="setting.riseMm"
        :unit="jobs.job!.units"
        v-bind="limits(EdgeSetting.shape.riseMm)"
        :name="`Rise of edge ${edge}`"
        @update:model-value="(riseMm) => change({ riseMm }, `Edge ${key} bowed`, 'rise')"
      /><span class="quiet">minus: inwards</span>
    </div>
  </template>
  <div class="line">
    <button
      type="button"
      class="plain-button"
      :disabled="seat.front === edge"
      @click="jobs.edit(setSeat(`Front: edge ${edge}`, (s) => ({ ...s, front: edge })))"
    >
      {{ seat.front === edge ? 'This is the front' : 'Make this the front' }}
    </button>
  </div>
</template>
