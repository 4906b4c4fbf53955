<script setup lang="ts">
import { computed } from 'vue'
import { limits, limitsOfKind, SizingSchool, Wadding } from '../../../../contract/index.ts'
import { FIT_CAUSES, SCHOOL_KINDS, usualSchool, usualWadding, wrapStrip } from '../../../../core/filling/index.ts'
import { formatLength, formatLengthWithUnit, trimmed, unitName } from '../../../../core/units/index.ts'
import AmountField from '../../../ui/AmountField.vue'
import ChoiceButtons from '../../../ui/ChoiceButtons.vue'
import CountField from '../../../ui/CountField.vue'
import FigureValue from '../../../ui/FigureValue.vue'
import LengthField from '../../../ui/LengthField.vue'
import { useFoam } from '../use-foam.ts'
import { SCHOOL_NAMES } from './school-names.ts'

/** From the finished cushion to the block: the school, and the wadding round it. */
const { jobs, foam, plan, change } = useFoam()
const units = computed(() => jobs.job!.units)
const school = computed(() => foam.value.school)
const wadding = computed(() => foam.value.wadding)
const sizing = computed(() => plan.value.sizing)
const strip = computed(() => (wadding.value ? wrapStrip(sizing.value.block, wadding.value) : null))
const WAYS = { width: 'Width', depth: 'Depth', thickness: 'Thickness' } as const
const plusSign = (value: number) => (value > 0 ? '+' : '−')
const signed = (mm: number) => `${plusSign(mm)}${formatLengthWithUnit(Math.abs(mm), units.value)}`
const signedShare = (share: number) => `${plusSign(share)}${trimmed(Math.abs(share) * 100, 1)} %`
const SQUEEZES = [
  { field: 'widthShare', label: 'Squeezed along' },
  { field: 'depthShare', label: 'Squeezed across' },
  { field: 'thicknessShare', label: 'Squeezed in thickness' },
] as const
const intoCover = computed(() => school.value as Extract<SizingSchool, { kind: 'into-cover' }>)
const FACES = ['top', 'bottom', 'front', 'back'] as const

const setSchool = (next: SizingSchool, says: string, key: string | null = null) =>
  change(says, (f) => ({ ...f, school: next }), key)
function chooseKind(kind: SizingSchool['kind']): void {
  const usual = usualSchool(kind, sizing.value.cover.thickness.value)
  change(SCHOOL_NAMES[kind], (f) => ({ ...f, school: usual.school, wadding: usual.wadding ?? f.wadding }))
}
const setWadding = (with_: Partial<Wadding>, says: string, key: string | null = null) =>
  change(says, (f) => (f.wadding ? { ...f, wadding: { ...f.wadding, ...with_ } } : f), key)
function measure(): void {
  const { width, depth, thickness } = sizing.value.wrapped
  setWadding(
    { measured: { widthMm: width.value, depthMm: depth.value, thicknessMm: thickness.value } },
    'Wrapped size measured',
  )
}
</script>

<template>
  <div class="field-row" data-field="filling.school">
    <span class="label">Sizing school</span>
    <div>
      <ElSelect :model-value="school.kind" aria-label="Sizing school" @update:model-value="chooseKind">
        <ElOption v-for="kind in SCHOOL_KINDS" :key="kind" :value="kind" :label="SCHOOL_NAMES[kind]" />
      </ElSelect>
      <p class="quiet reason">{{ sizing.reason }}</p>
    </div>
  </div>
  <div v-if="school.kind === 'full-block'" class="field-row" data-field="filling.thicknessExtra">
    <span class="label">Extra thickness</span>
    <LengthField
      :model-value="school.thicknessExtraMm"
      :unit="units"
      v-bind="limitsOfKind(SizingSchool, 'full-block', 'thicknessExtraMm')"
      name="Extra thickness"
      @update:model-value="setSchool({ kind: 'full-block', thicknessExtraMm: $event }, 'Extra thickness', 'extra')"
    />
  </div>
  <div v-if="school.kind === 'thinner-block'" class="field-row">
    <span class="label">Thinner by</span>
    <AmountField
      :model-value="school.thinnerShare"
      kind="share"
      v-bind="limitsOfKind(SizingSchool, 'thinner-block', 'thinnerShare')"
      name="Thinner by"
      @update:model-value="
        $event !== null && setSchool({ kind: 'thinner-block', thinnerShare: $event }, 'Thinner by', 'thinner')
      "
    />
  </div>
  <template v-if="school.kind === 'into-cover'">
    <div v-for="way in SQUEEZES" :key="way.field" class="field-row">
      <span class="label">{{ way.label }}</span>
      <AmountField
        :model-value="school[way.field]"
        kind="share"
        v-bind="limitsOfKind(SizingSchool, 'into-cover', way.field)"
        :name="way.label"
        @update:model-value="$event !== null && setSchool({ ...intoCover, [way.field]: $event }, way.label, way.field)"
      />
    </div>
  </template>
  <div class="field-row" data-field="filling.wadding">
    <span class="label">Wadding</span>
    <ElSwitch
      :model-value="wadding !== null"
      aria-label="Wrapped in wadding"
      @update:model-value="
        change($event ? 'Wadding' : 'No wadding', (f) => ({ ...f, wadding: $event ? usualWadding(20) : null }))
      "
    />
  </div>
  <template v-if="wadding">
    <div class="field-row">
      <span class="label">Loft, layers</span>
      <div class="fields-in-line">
        <LengthField
          :model-value="wadding.loftMm"
          :unit="units"
          v-bind="limits(Wadding.shape.loftMm)"
          name="Wadding loft"
          @update:model-value="setWadding({ loftMm: $event }, 'Wadding loft', 'loft')"
        />
        <CountField
          :model-value="wadding.layers"
          v-bind="limits(Wadding.shape.layers)"
          name="Layers of wadding"
          @update:model-value="setWadding({ layers: $event }, 'Layers of wadding', 'layers')"
        />
      </div>
    </div>
    <div class="field-row">
      <span class="label">Faces</span>
      <div class="fields-in-line">
        <label v-for="face in FACES" :key="face" class="face"
          ><input
            type="checkbox"
            :checked="wadding[face]"
            @change="setWadding({ [face]: ($event.target as HTMLInputElement).checked }, `Wadding on the ${face}`)"
          />
          {{ face }}</label
        >
      </div>
    </div>
    <div class="field-row">
      <span class="label">Ends</span>
      <ChoiceButtons
        :model-value="wadding.ends"
        :choices="[
          { value: 'bare', label: 'bare' },
          { value: 'covered', label: 'covered' },
          { value: 'folded', label: 'folded, double' },
        ]"
        name="Ends"
        @update:model-value="setWadding({ ends: $event }, 'Ends')"
      />
    </div>
    <div class="field-row" data-field="filling.measured">
      <span class="label">Measured wrapped</span>
      <div v-if="wadding.measured">
        <LengthField
          v-for="key in ['widthMm', 'depthMm', 'thicknessMm'] as const"
          :key="key"
          :model-value="wadding.measured[key]"
          :unit="units"
          :name="`Wrapped ${key.replace('Mm', '')}`"
          line="net"
          @update:model-value="setWadding({ measured: { ...wadding.measured!, [key]: $event } }, 'Wrapped size', key)"
        />
        <button type="button" class="plain-button" @click="setWadding({ measured: null }, 'Wrapped size calculated')">
          Not measured after all
        </button>
      </div>
      <button v-else type="button" class="plain-button" @click="measure">Enter the measured size</button>
    </div>
  </template>
  <table class="results">
    <tbody>
      <tr>
        <th scope="row">Block</th>
        <td>
          <FigureValue :figure="sizing.block.width" bare unitless /> x
          <FigureValue :figure="sizing.block.depth" bare unitless /> x <FigureValue :figure="sizing.block.thickness" />
        </td>
      </tr>
      <tr v-if="wadding">
        <th scope="row">Wrapped</th>
        <td>
          <FigureValue :figure="sizing.wrapped.width" bare unitless /> x
          <FigureValue :figure="sizing.wrapped.depth" bare unitless /> x
          <FigureValue :figure="sizing.wrapped.thickness" />
        </td>
      </tr>
      <tr>
        <th scope="row">Cover</th>
        <td>
          <FigureValue :figure="sizing.cover.width" bare unitless /> x
          <FigureValue :figure="sizing.cover.depth" bare unitless /> x <FigureValue :figure="sizing.cover.thickness" />
        </td>
      </tr>
      <tr>
        <th scope="row">Fit</th>
        <td>
          <FigureValue :figure="plan.fit.across" /> across, {{ plan.fit.verdict.across }};
          <FigureValue :figure="plan.fit.frontToBack" /> front to back, {{ plan.fit.verdict.frontToBack }}
        </td>
      </tr>
      <tr v-for="d in plan.directions" :key="d.way">
        <th scope="row">{{ WAYS[d.way] }}</th>
        <td>
          <FigureValue :figure="d.finished" />
          <template v-if="Math.abs(d.overFilling.by.value) < 0.05">as the filling</template
          ><template v-else
            >{{ signed(d.overFilling.by.value) }} ({{ signedShare(d.overFilling.share.value) }}) against the
            filling</template
          >, <template v-if="Math.abs(d.overSeat.by.value) < 0.05">as the seat</template
          ><template v-else
            >{{ signed(d.overSeat.by.value) }} ({{ signedShare(d.overSeat.share.value) }}) against the seat</template
          >
          <div v-if="d.causes.length > 0" class="quiet">{{ d.causes.map((c) => FIT_CAUSES[c]).join(', ') }}</div>
        </td>
      </tr>
      <tr v-if="strip">
        <th scope="row">Wadding, each layer</th>
        <td>
          {{ formatLength(strip.widthMm, units) }} x {{ formatLength(strip.lengthMm, units) }} {{ unitName(units) }},
          round front to back
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.face {
  display: inline-flex;
  align-items: center;
  gap: 5px;
  min-height: var(--small-target);
}

.reason {
  margin: 4px 0 0;
  font-size: 15px;
}
</style>
