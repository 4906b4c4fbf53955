<script setup lang="ts">
import { computed } from 'vue'
import type { Closure, Construction } from '../../../contract/index.ts'
import { CLOSURES, CONSTRUCTIONS, MAKE_UPS, noteWords, openingVerdict, type Cover } from '../../../core/cover/index.ts'
import { USUAL_LINER } from '../../../core/filling/index.ts'
import { setClosure, setConstruction, setMakeUp } from '../../../core/job/index.ts'
import { formatLengthWithUnit } from '../../../core/units/index.ts'
import { useDesign } from '../../stores/design.ts'
import { useJob } from '../../stores/job.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import FigureValue from '../../ui/FigureValue.vue'
import LengthField from '../../ui/LengthField.vue'
import { closureOptions } from './closure-options.ts'
import { constructionOptions } from './construction-options.ts'
import type { Option } from './option.ts'

/** How the cover is built, how it closes, and whether it has a liner. */
const jobs = useJob()
const design = useDesign()
const makeUp = computed(() => jobs.job!.makeUp)
const unit = computed(() => jobs.job!.units)
const entry = computed(() => MAKE_UPS[makeUp.value.construction.kind])
const options = computed(() => constructionOptions(makeUp.value))
const ofClosure = computed(() => closureOptions(makeUp.value))
const closures = computed(() => entry.value.closures.map((kind) => ({ kind, label: CLOSURES[kind].label })))
const isFibre = computed(() => jobs.job!.filling.kind === 'loose-fibre')
const isMatched = computed(() => jobs.job!.cloth.match.kind === 'matched')
const setConstructionOption = (key: string, value: unknown, label: string) =>
  jobs.edit(
    setMakeUp(label, (m) => ({ ...m, construction: { ...m.construction, [key]: value } as Construction })),
    `construction.${key}`,
  )
const setClosureOption = (key: string, value: unknown, label: string) =>
  jobs.edit(
    setMakeUp(label, (m) => ({ ...m, closure: { ...m.closure, [key]: value } as Closure })),
    `closure.${key}`,
  )
const setLiner = (wanted: string) =>
  jobs.edit(
    setMakeUp(wanted === 'yes' ? 'With a liner' : 'No liner', (m) => ({
      ...m,
      liner: wanted === 'yes' ? USUAL_LINER : null,
    })),
  )
const LINER = [
  { value: 'no', label: 'None' },
  { value: 'yes', label: 'Inside it' },
] as const
const figures = computed(() => design.chosen?.cover.figures ?? [])
/** What the block would need to pass, by rule of thumb; loose fibre is poured. */
const need = computed(() => {
  const { filling, cover } = design.chosen ?? {}
  const opening = cover?.closures.find((c) => c.choice.kind !== 'fixed')
  return filling?.kind === 'foam' && opening && makeUp.value.construction.kind !== 'cube'
    ? openingVerdict({ choice: opening.choice, lengthMm: opening.lengthMm.value }, filling, false)
    : null
})
const mm = (length: number) => formatLengthWithUnit(length, unit.value)
const notes = computed(() => design.chosen?.cover.notes ?? [])
const isHeld = (o: Option) => o.key === 'boxing' && isMatched.value
/** Of several openings each is told by its seam. */
function openingName({ seam, lengthMm }: Cover['closures'][number]): string {
  const { closures: all, seams } = design.chosen!.cover
  const name = seams.find((s) => s.letter === seam)?.name
  return all.length > 1 && name ? name.charAt(0).toUpperCase() + name.slice(1) : lengthMm.label
}
</script>

<template>
  <div class="field-row" data-field="make-up.construction">
    <span class="label">Make-up</span>
    <ElSelect
      :model-value="makeUp.construction.kind"
      aria-label="Make-up"
      @update:model-value="(kind: Construction['kind']) => jobs.edit(setConstruction(kind))"
    >
      <ElOption v-for="kind in CONSTRUCTIONS" :key="kind" :value="kind" :label="MAKE_UPS[kind].label"
        ><b>{{ MAKE_UPS[kind].label }}</b> <span class="quiet">{{ MAKE_UPS[kind].says }}</span></ElOption
      >
    </ElSelect>
  </div>
  <p class="quiet says">{{ entry.says }}</p>
  <div v-for="o in options" :key="o.label" class="field-row">
    <span class="label">{{ o.label }}</span>
    <div>
      <LengthField
        v-if="o.kind === 'length'"
        :model-value="o.value"
        :unit="unit"
        :name="o.label"
        v-bind="o.limits"
        @update:model-value="(mm) => setConstructionOption(o.key, o.write(mm), o.label)"
      />
      <ChoiceButtons
        v-else
        :model-value="isHeld(o) ? 'one-per-side' : o.value"
        :choices="o.choices"
        :disabled="isHeld(o)"
        :name="o.label"
        @update:model-value="(v) => setConstructionOption(o.key, o.read(v), o.label)"
      />
      <div v-if="isHeld(o)" class="quiet">stripes match, so it is cut one per side</div>
    </div>
  </div>
  <div class="field-row" data-field="make-up.closure">
    <span class="label">Closes by</span>
    <ElSelect
      :model-value="makeUp.closure.kind"
      aria-label="Closes by"
      :disabled="closures.length === 1"
      @update:model-value="(kind: Closure['kind']) => jobs.edit(setClosure(kind))"
    >
      <ElOption v-for="c in closures" :key="c.kind" :value="c.kind" :label="c.label" />
    </ElSelect>
  </div>
  <div v-for="o in ofClosure" :key="o.label" class="field-row">
    <span class="label">{{ o.label }}</span>
    <div>
      <LengthField
        v-if="o.kind === 'length'"
        :model-value="o.value"
        :unit="unit"
        :name="o.label"
        v-bind="o.limits"
        @update:model-value="(mm) => setClosureOption(o.key, o.write(mm), o.label)"
      />
      <ChoiceButtons
        v-else
        :model-value="o.value"
        :choices="o.choices"
        :name="o.label"
        @update:model-value="(v) => setClosureOption(o.key, o.read(v), o.label)"
      />
    </div>
  </div>
  <div v-if="makeUp.construction.kind !== 'liner'" class="field-row" data-field="make-up.liner">
    <span class="label">Liner</span>
    <div>
      <ChoiceButtons
        :model-value="isFibre || makeUp.liner ? 'yes' : 'no'"
        :choices="LINER"
        :disabled="isFibre"
        name="Liner"
        @update:model-value="setLiner"
      />
      <div v-if="isFibre" class="quiet">loose fibre always has one</div>
    </div>
  </div>
  <table v-if="design.chosen" class="results">
    <tbody>
      <tr>
        <th scope="row">Perimeter</th>
        <td><FigureValue :figure="design.chosen.cover.perimeter" /></td>
      </tr>
      <tr v-for="c in design.chosen.cover.closures" :key="c.seam ?? 'slot'">
        <th scope="row">{{ openingName(c) }}</th>
        <td><FigureValue :figure="c.lengthMm" /></td>
      </tr>
      <tr v-for="f in figures" :key="f.id">
        <th scope="row">{{ f.label }}</th>
        <td><FigureValue :figure="f" /></td>
      </tr>
      <template v-for="c in design.chosen.cover.closures" :key="c.seam ?? 'slot'">
        <tr v-if="c.lap">
          <th scope="row">Lap</th>
          <td><FigureValue :figure="c.lap" /></td>
        </tr>
        <tr v-for="f in c.fittings" :key="f.what">
          <th scope="row">{{ f.what }}</th>
          <td>
            <FigureValue :figure="f.amount" /> <span class="quiet">{{ f.note }}</span>
          </td>
        </tr>
      </template>
    </tbody>
  </table>
  <p v-if="need" class="quiet says">
    To fill it:
    <template v-if="need.way === 'whole-end'"
      >this opening is a whole end, through which the block goes straight; a shorter one must be
      {{ mm(need.neededMm) }} long,</template
    ><template v-else
      >an opening of {{ mm(need.neededMm) }} passes this block{{
        need.way === 'folded' ? ', folded in half' : ''
      }},</template
    >
    {{ mm(need.packedMm) }} when it is packed in film; by its girth {{ mm(need.girthMm) }}.
  </p>
  <p v-for="n in notes" :key="n.code" class="quiet says">{{ noteWords(n, unit) }}</p>
</template>

<style scoped>
.says {
  margin: -4px 0 0;
}

.results th {
  text-align: left;
  font-weight: 400;
  padding-right: 16px;
}
</style>
