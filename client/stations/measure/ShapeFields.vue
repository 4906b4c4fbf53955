<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { LONGEST_MM, MOST_SWEEP_DEG, type Ear, type Footprint } from '../../../contract/index.ts'
import { reading, setSeat } from '../../../core/job/index.ts'
import { valueOf } from '../../../core/seat/index.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import LengthField from '../../ui/LengthField.vue'
import PointsFields from './PointsFields.vue'
import TapedFields from './TapedFields.vue'
import { vTyped } from '../../ui/v-typed.ts'

/** What a shape asks for besides its dimensions. */
const jobs = useJob()
const shape = computed(() => jobs.job!.seat.footprint)
const set = (footprint: Footprint, says: string, undo: string | null = null) =>
  jobs.edit(
    setSeat(says, (s) => ({ ...s, footprint })),
    undo,
  )
type Of<K extends Footprint['kind']> = Extract<Footprint, { kind: K }>

const OFFSETS = [
  { value: 'centred', label: 'centred' },
  { value: 'left', label: 'left offset' },
] as const
const PARTS_OF_ROUND = [
  { value: 'whole', label: 'all of it' },
  { value: 'half', label: 'half, straight in front' },
] as const
const ON_ARC = [
  { value: 'inner', label: 'front arc' },
  { value: 'outer', label: 'wall' },
] as const
const CURVES = [
  { value: 'radius', label: 'radius' },
  { value: 'chord', label: 'chord and rise' },
] as const
const EXTENTS = [
  { value: 'length', label: 'length' },
  { value: 'angle', label: 'angle' },
] as const
const HULLS = [
  { value: 'straight', label: 'straight lines' },
  { value: 'smooth', label: 'a smooth arc' },
] as const

const withDiagonals = (s: Of<'rectangle'> | Of<'taper'>) => {
  const diagonal = Math.round(Math.hypot(valueOf(s.kind === 'rectangle' ? s.width : s.near), valueOf(s.depth)))
  set({ ...s, rising: reading(diagonal), falling: reading(diagonal) }, 'Diagonals to be measured')
}
const setCurve = (s: Of<'ring'>, by: 'radius' | 'chord') =>
  by === 'radius'
    ? set(
        {
          ...s,
          curve: { by, radius: reading(1500) },
          extent: s.extent.by === 'chord' ? { by: 'angle', degrees: 90 } : s.extent,
        },
        'Curve by its radius',
      )
    : set(
        { ...s, curve: { by, chord: reading(2000), rise: reading(400) }, extent: { by: 'chord' } },
        'Curve by chord and rise',
      )
const setExtent = (s: Of<'ring'>, by: 'length' | 'angle' | 'chord') =>
  set(
    { ...s, extent: by === 'length' ? { by, length: reading(2000) } : by === 'angle' ? { by, degrees: 90 } : { by } },
    phrase`Bench by its ${by}`,
  )
function setAngle(s: Of<'ring'>, event: Event): void {
  const degrees = Number((event.target as HTMLInputElement).value)
  if (degrees > 0 && degrees <= MOST_SWEEP_DEG)
    set({ ...s, extent: { by: 'angle', degrees } }, phrase`Angle ${degrees}°`, 'ring-angle')
}
const ear = (s: Of<'eared'>, side: 'left' | 'right') => {
  const now = s[side]
  const fresh: Ear = s.left ?? s.right ?? { out: reading(60), deep: reading(150) }
  set({ ...s, [side]: now ? null : fresh }, phrase`${side === 'left' ? 'Left' : 'Right'} ear ${now ? 'off' : 'on'}`)
}
const addStation = (s: Of<'berth'>) =>
  set(
    {
      ...s,
      stations: [
        ...s.stations,
        {
          at: reading(Math.round(valueOf(s.length) * (0.5 + 0.4 * (1 - 0.7 ** s.stations.length)))),
          width: reading(Math.round((valueOf(s.head) + valueOf(s.foot)) / 2)),
        },
      ],
    },
    'One more station',
  )
const dropStation = (s: Of<'berth'>) => set({ ...s, stations: s.stations.slice(0, -1) }, 'A station less')
</script>

<template>
  <template v-if="shape.kind === 'taper'">
    <div class="field-row">
      <span class="label">Far edge</span>
      <div>
        <ChoiceButtons
          :model-value="shape.offset.kind"
          :choices="OFFSETS"
          name="Where the far edge stands"
          @update:model-value="
            (kind) =>
              set(
                { ...(shape as Of<'taper'>), offset: kind === 'centred' ? { kind } : { kind, mm: 0 } },
                `Far edge ${kind}`,
              )
          "
        />
      </div>
    </div>
    <div v-if="shape.offset.kind === 'left'" class="field-row">
      <span class="label">Left offset</span
      ><LengthField
        :model-value="shape.offset.mm"
        :unit="jobs.job!.units"
        name="Left offset of the far edge"
        :min="-LONGEST_MM"
        :max="LONGEST_MM"
        @update:model-value="
          (mm) => set({ ...(shape as Of<'taper'>), offset: { kind: 'left', mm } }, 'Left offset', 'taper-offset')
        "
      />
    </div>
  </template>
  <div v-if="shape.kind === 'rectangle' || shape.kind === 'taper'" class="field-row">
    <span class="label">Is it square?</span>
    <div>
      <button v-if="!shape.rising" type="button" class="plain-button" @click="withDiagonals(shape)">
        Measure both diagonals
      </button>
      <button
        v-else
        type="button"
        class="plain-button"
        @click="set({ ...shape, rising: null, falling: null }, 'Without diagonals')"
      >
        Leave the diagonals out
      </button>
    </div>
  </div>
  <div v-else-if="shape.kind === 'eared'" class="field-row">
    <span class="label">Ears</span>
    <div>
      <button type="button" class="plain-button" :aria-pressed="shape.left !== null" @click="ear(shape, 'left')">
        {{ shape.left ? 'No left ear' : 'Left ear' }}
      </button>
      <button type="button" class="plain-button" :aria-pressed="shape.right !== null" @click="ear(shape, 'right')">
        {{ shape.right ? 'No right ear' : 'Right ear' }}
      </button>
    </div>
  </div>
  <div v-else-if="shape.kind === 'disc'" class="field-row">
    <span class="label">Of the round</span>
    <div>
      <ChoiceButtons
        :model-value="shape.part"
        :choices="PARTS_OF_ROUND"
        name="All of the round, or half"
        @update:model-value="
          (part) => set({ ...(shape as Of<'disc'>), part }, part === 'whole' ? 'All of the round' : 'Half of the round')
        "
      />
    </div>
  </div>
  <template v-else-if="shape.kind === 'ring'">
    <div class="field-row">
      <span class="label">Taped on the</span>
      <div>
        <ChoiceButtons
          :model-value="shape.at"
          :choices="ON_ARC"
          name="Which arc was measured"
          @update:model-value="(at) => set({ ...(shape as Of<'ring'>), at }, `Measured on the ${at} arc`)"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Curve by</span>
      <div>
        <ChoiceButtons
          :model-value="shape.curve.by"
          :choices="CURVES"
          name="How the curve was measured"
          @update:model-value="(by) => setCurve(shape as Of<'ring'>, by)"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Bench by</span>
      <div>
        <ChoiceButtons
          :model-value="shape.extent.by"
          :choices="
            shape.curve.by === 'chord' ? [...EXTENTS, { value: 'chord', label: 'the chord' } as const] : EXTENTS
          "
          name="How far the bench goes"
          @update:model-value="(by) => setExtent(shape as Of<'ring'>, by)"
        />
      </div>
    </div>
    <div v-if="shape.extent.by === 'angle'" class="field-row">
      <label class="label" for="ring-angle">Angle, degrees</label>
      <div>
        <input
          id="ring-angle"
          type="number"
          min="1"
          :max="MOST_SWEEP_DEG"
          v-typed="shape.extent.degrees"
          @change="setAngle(shape as Of<'ring'>, $event)"
        />
      </div>
    </div>
  </template>
  <template v-else-if="shape.kind === 'berth'">
    <div class="field-row">
      <span class="label">Hull</span>
      <div>
        <ChoiceButtons
          :model-value="shape.hull"
          :choices="HULLS"
          name="How the hull runs"
          @update:model-value="
            (hull) =>
              set(
                { ...(shape as Of<'berth'>), hull },
                `Hull by ${hull === 'smooth' ? 'a smooth arc' : 'straight lines'}`,
              )
          "
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Stations</span>
      <div>
        <button type="button" class="plain-button" :disabled="shape.stations.length >= 12" @click="addStation(shape)">
          One more
        </button>
        <button v-if="shape.stations.length > 0" type="button" class="plain-button" @click="dropStation(shape)">
          One less
        </button>
      </div>
    </div>
  </template>
  <TapedFields v-else-if="shape.kind === 'taped'" />
  <PointsFields v-else-if="shape.kind === 'points'" />
</template>
