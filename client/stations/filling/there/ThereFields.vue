<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../../../core/language/index.ts'
import {
  limits,
  type KeepOrNot,
  type OldBody,
  type There,
  type ThingThere,
  OldTuck,
  textLimits,
} from '../../../../contract/index.ts'
import { setThere } from '../../../../core/job/index.ts'
import { THING_WORDS, USE_WORDS } from '../../../../core/lists/index.ts'
import { useJob } from '../../../stores/job.ts'
import DayField from '../../../ui/DayField.vue'
import LengthField from '../../../ui/LengthField.vue'
import { vTyped } from '../../../ui/v-typed.ts'
import BodyFields from './BodyFields.vue'
import { freshBody } from './fresh-body.ts'

/** What is there already, piece by piece, and what becomes of it. */
const jobs = useJob()
const there = computed(() => jobs.job!.there)
const sizes = computed(() => {
  const solid = jobs.part?.cushions?.designs[0]?.solid
  return {
    widthMm: solid?.width.value ?? 600,
    depthMm: solid?.depth.value ?? 500,
    thicknessMm: solid?.thickness.value ?? 80,
  }
})
const THINGS: readonly ThingThere[] = ['cover', 'board', 'zip', 'wadding', 'backing']
const USES: Readonly<Record<ThingThere, readonly KeepOrNot[]>> = {
  cover: ['replace', 'template', 'keep', 'mend'],
  board: ['replace', 'keep', 'mend', 'template'],
  zip: ['replace', 'keep'],
  wadding: ['replace', 'keep', 'add'],
  backing: ['replace', 'keep', 'mend'],
}
const setThing = (thing: ThingThere, use: KeepOrNot | '', note?: string) =>
  jobs.edit(
    setThere(use === '' ? `No ${thing}` : phrase`${THING_WORDS[thing]}: ${USE_WORDS[use]}`, (t) => {
      const { [thing]: before, ...others } = t.things
      return { ...t, things: use === '' ? others : { ...others, [thing]: { use, note: note ?? before?.note ?? '' } } }
    }),
    note === undefined ? null : `there-${thing}`,
  )
type Tuck = There['tucks'][number]
const setTucks = (tucks: Tuck[]) =>
  jobs.edit(
    setThere('Tucks', (t) => ({ ...t, tucks })),
    'tucks',
  )
const setTuck = (i: number, with_: Partial<Tuck>) =>
  setTucks(there.value.tucks.map((t, j) => (j === i ? { ...t, ...with_ } : t)))
const addBody = () =>
  jobs.edit(
    setThere('An old body', (t) => ({ ...t, bodies: [...t.bodies, freshBody(t.bodies, sizes.value.thicknessMm)] })),
  )
const change = (body: OldBody, with_: Partial<OldBody>, says: string, key: string | null) =>
  jobs.edit(
    setThere(says, (t) => ({ ...t, bodies: t.bodies.map((b) => (b.id === body.id ? { ...b, ...with_ } : b)) })),
    key,
  )
const remove = (body: OldBody) =>
  jobs.edit(
    setThere(phrase`${body.name || 'Old body'} struck`, (t) => ({
      ...t,
      bodies: t.bodies.filter((b) => b.id !== body.id),
    })),
  )
</script>

<template>
  <h2>Old filling</h2>
  <p v-if="there.bodies.length === 0" class="quiet">
    Nothing noted. Measure each piece bare, as found; once it is steamed or has rested a day, again.
  </p>
  <BodyFields
    v-for="body in there.bodies"
    :key="body.id"
    :body="body"
    :usual="sizes"
    @change="(with_, says, key) => change(body, with_, says, key)"
    @remove="remove(body)"
  />
  <button v-if="there.bodies.length < 20" type="button" class="plain-button no-print" @click="addBody">
    Add an old body
  </button>
  <h2>Cover, board, zip</h2>
  <div v-for="thing in THINGS" :key="thing" class="field-row">
    <span class="label">{{ THING_WORDS[thing] }}</span>
    <div class="thing">
      <ElSelect
        :model-value="there.things[thing]?.use ?? ''"
        :aria-label="THING_WORDS[thing]"
        @update:model-value="(use: KeepOrNot | '') => setThing(thing, use)"
      >
        <ElOption value="" label="none, or not looked at" />
        <ElOption v-for="use in USES[thing]" :key="use" :value="use" :label="USE_WORDS[use]" />
      </ElSelect>
      <input
        v-if="there.things[thing]"
        class="text"
        maxlength="300"
        v-typed="there.things[thing]!.note"
        :aria-label="`Note on the ${thing}`"
        placeholder="what to do with it"
        @change="setThing(thing, there.things[thing]!.use, ($event.target as HTMLInputElement).value)"
      />
    </div>
  </div>
  <h2>Tucks, clips and darts to carry over</h2>
  <div v-for="(t, i) in there.tucks" :key="i" class="tuck">
    <ElSelect
      :model-value="t.kind"
      :aria-label="`Kind of tuck ${i + 1}`"
      class="kind"
      @update:model-value="(kind: Tuck['kind']) => setTuck(i, { kind })"
    >
      <ElOption v-for="kind in ['tuck', 'clip', 'dart']" :key="kind" :value="kind" :label="kind" />
    </ElSelect>
    <input
      class="text"
      v-bind="textLimits(OldTuck.shape.where)"
      v-typed="t.where"
      :aria-label="`Place of tuck ${i + 1}`"
      @change="setTuck(i, { where: ($event.target as HTMLInputElement).value || t.where })"
    />
    <LengthField
      :model-value="t.intakeMm"
      :unit="jobs.job!.units"
      v-bind="limits(OldTuck.shape.intakeMm)"
      :name="`Intake of tuck ${i + 1}`"
      @update:model-value="setTuck(i, { intakeMm: $event })"
    />
    <button
      type="button"
      class="plain-button"
      :aria-label="`Strike tuck ${i + 1}`"
      @click="setTucks(there.tucks.filter((_, j) => j !== i))"
    >
      Strike
    </button>
  </div>
  <button
    v-if="there.tucks.length < 60"
    type="button"
    class="plain-button no-print"
    @click="setTucks([...there.tucks, { kind: 'tuck', where: 'front, from the left', intakeMm: 10 }])"
  >
    Add one
  </button>
  <div class="field-row">
    <label for="fire-label-off">Fire label taken off on</label>
    <DayField
      id="fire-label-off"
      :model-value="there.fireLabelOffOn"
      name="Fire label taken off on"
      @update:model-value="(day) => jobs.edit(setThere('Fire label', (t) => ({ ...t, fireLabelOffOn: day })))"
    />
  </div>
</template>

<style scoped>
.tuck {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
  align-items: center;
}

.tuck .text {
  flex: 1;
  min-width: 130px;
}

.kind {
  width: 80px;
}

.thing {
  display: grid;
  gap: 4px;
}

.field-row {
  grid-template-columns: 170px 1fr;
}
</style>
