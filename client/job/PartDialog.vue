<script setup lang="ts">
import { computed } from 'vue'
import { phrase } from '../../core/language/index.ts'
import { MOST_BACK_LEAN_DEG, type Follows, type Pose, Part, textLimits } from '../../contract/index.ts'
import { movePart, partName, removePart, USUAL_POSES, type Edit } from '../../core/job/index.ts'
import { useJob } from '../stores/job.ts'
import CountField from '../ui/CountField.vue'
import ChoiceButtons from '../ui/ChoiceButtons.vue'
import { vTyped } from '../ui/v-typed.ts'

/** The part in view: its name, how it stands in use, what its stripes follow, its place in the row. */
defineProps<{ modelValue: boolean }>()
const emit = defineEmits<{ 'update:modelValue': [open: boolean] }>()
const jobs = useJob()
const part = computed(() => jobs.job!)
const others = computed(() => jobs.whole!.parts.filter((p) => p.letter !== part.value.letter))
const set = (says: string, change: Partial<Pick<Part, 'name' | 'pose' | 'follows'>>, key: string | null = null) =>
  jobs.edit({ says, apply: (job) => ({ ...job, ...change }) } satisfies Edit, key)

const POSES = [
  { value: 'lies', label: 'lies' },
  { value: 'stands-at-back', label: 'stands at the back' },
  { value: 'stands-at-end', label: 'at an end' },
  { value: 'lies-on', label: 'lies on another' },
] as const
const ENDS = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
  { value: 'both', label: 'both' },
] as const
function stand(kind: Pose['kind']): void {
  const [first] = others.value
  if (kind !== 'lies-on') set('How it stands', { pose: USUAL_POSES[kind] })
  else if (first) set('How it stands', { pose: { kind, part: first.letter } })
}

const HOWS = [
  { value: 'same-centre', label: 'on the same centres' },
  { value: 'goes-on', label: 'goes on from it' },
  { value: 'alike', label: 'by the same rule' },
] as const
const leaders = computed(() => [
  { value: '', label: 'its own rule' },
  ...others.value.map((p) => ({ value: p.letter, label: partName(p) })),
])
const follow = (letter: string) =>
  set('What its stripes follow', {
    follows: letter === '' ? null : { part: letter, how: part.value.follows?.how ?? 'same-centre' },
  })
const how = (value: Follows['how']) =>
  part.value.follows && set('How its stripes follow', { follows: { ...part.value.follows, how: value } })

const move = (by: -1 | 1) =>
  jobs.edit({ says: 'Another order', applyToJob: (job) => movePart(job, part.value.letter, by) })
function remove(): void {
  const { letter } = part.value
  emit('update:modelValue', false)
  jobs.edit({ says: phrase`Without ${partName(part.value)}`, applyToJob: (job) => removePart(job, letter) })
}
</script>

<template>
  <ElDialog
    :model-value="modelValue"
    :title="partName(part)"
    width="620px"
    @update:model-value="emit('update:modelValue', $event)"
  >
    <div class="field-row">
      <label for="part-name">Name</label>
      <input
        id="part-name"
        v-typed="part.name"
        class="text"
        v-bind="textLimits(Part.shape.name)"
        autocomplete="off"
        @change="set('Name', { name: ($event.target as HTMLInputElement).value }, 'part-name')"
      />
    </div>
    <div class="field-row">
      <span class="label">In use it</span>
      <ChoiceButtons :model-value="part.pose.kind" :choices="POSES" name="How it stands" @update:model-value="stand" />
    </div>
    <div v-if="part.pose.kind === 'stands-at-back'" class="field-row">
      <span class="label">Leans back</span>
      <CountField
        :model-value="part.pose.leanDeg"
        name="Lean from upright, degrees"
        :min="0"
        :max="MOST_BACK_LEAN_DEG"
        @update:model-value="(leanDeg) => set('Lean', { pose: { kind: 'stands-at-back', leanDeg } }, 'lean')"
      />
    </div>
    <div v-if="part.pose.kind === 'stands-at-end'" class="field-row">
      <span class="label">End</span>
      <ChoiceButtons
        :model-value="part.pose.end"
        :choices="ENDS"
        name="Which end"
        @update:model-value="(end) => set('Which end', { pose: { kind: 'stands-at-end', end } })"
      />
    </div>
    <div v-if="part.pose.kind === 'lies-on'" class="field-row">
      <span class="label">On</span>
      <ChoiceButtons
        :model-value="part.pose.part"
        :choices="others.map((p) => ({ value: p.letter, label: partName(p) }))"
        name="On which"
        @update:model-value="(on) => set('What it lies on', { pose: { kind: 'lies-on', part: on } })"
      />
    </div>
    <template v-if="others.length > 0">
      <div class="field-row">
        <span class="label">Its stripes</span>
        <ChoiceButtons
          :model-value="part.follows?.part ?? ''"
          :choices="leaders"
          name="What its stripes follow"
          @update:model-value="follow"
        />
      </div>
      <div v-if="part.follows" class="field-row">
        <span class="label">They fall</span>
        <ChoiceButtons
          :model-value="part.follows.how"
          :choices="HOWS"
          name="How they follow"
          @update:model-value="how"
        />
      </div>
    </template>
    <p v-if="jobs.refused" role="alert" class="fault">Not taken: {{ jobs.refused }}.</p>
    <template #footer>
      <template v-if="others.length > 0">
        <button type="button" class="plain-button" @click="move(-1)">Move left</button>
        <button type="button" class="plain-button" @click="move(1)">Move right</button>
        <button type="button" class="plain-button" @click="remove">Take it out</button>
      </template>
      <button type="button" class="plain-button main" @click="emit('update:modelValue', false)">Done</button>
    </template>
  </ElDialog>
</template>

<style scoped>
.field-row {
  margin-bottom: 8px;
}

.fault {
  color: var(--rust);
}
</style>
