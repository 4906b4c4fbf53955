<script setup lang="ts">
import { computed, ref } from 'vue'
import { phrase } from '../../core/language/index.ts'
import { JOB_LIMITS, type Job, type PartJob } from '../../contract/index.ts'
import type { Edit, JobEdit } from '../../core/job/index.ts'
import { boxOf } from '../../core/outline/index.ts'
import { cushionsOf } from '../../core/seat/index.ts'
import { completionsOf, type Asked, type Typed, type TypedSeat, type TypingContext } from '../../core/typing/index.ts'
import type { LengthUnit } from '../../core/units/index.ts'
import { useShop } from '../stores/shop.ts'
import { scaleWithin, svgPath } from '../drawing/use-scale.ts'
import { readLine } from './read-line.ts'
import { dayOf } from './today.ts'
import { commandIn, type Command } from './typed-command.ts'

const props = defineProps<{ job: PartJob | null; whole?: Job | null; units: LengthUnit; placeholder: string }>()
const emit = defineEmits<{
  seat: [typed: TypedSeat, line: string]
  edit: [edit: Edit]
  parts: [edit: JobEdit, look: string]
  command: [command: Exclude<Command, 'help'>]
  help: []
}>()

const shop = useShop()
const text = ref('')
const said = ref('')
const failed = ref(false)
const field = ref<HTMLInputElement>()
const context = computed((): TypingContext => ({
  job: props.job,
  whole: props.whole ?? null,
  units: props.units,
  grades: shop.lists?.grades ?? [],
  cloths: shop.lists?.cloths ?? [],
  limits: JOB_LIMITS,
  today: dayOf(new Date()),
}))
const typed = computed(() => readLine(text.value, context.value))
/** While typing, a line that is understood so far is said back; faults wait for Enter. */
const echo = computed(() => {
  if (text.value.trim() === '') return said.value
  if (!typed.value.ok) return ''
  const { value } = typed.value
  if (value.kind === 'ask') return value.why === 'slip' || question.value ? value.says : ''
  return value.kind === 'seat' ? value.says : value.edit.says
})
/** Readings to choose from, once Enter was pressed on a line that may be a slip. */
const question = ref<Asked | null>(null)

function enter(): void {
  const command = commandIn(text.value, props.job !== null)
  if (command) {
    text.value = ''
    said.value = ''
    failed.value = false
    return command === 'help' ? emit('help') : emit('command', command)
  }
  failed.value = !typed.value.ok
  if (!typed.value.ok) {
    said.value = typed.value.says
    return
  }
  const { value } = typed.value
  if (value.kind === 'ask') question.value = value
  else take(value)
}

function take(value: Typed): void {
  const line = text.value
  question.value = null
  said.value = phrase`Understood: ${value.kind === 'seat' ? value.says : value.edit.says}`
  text.value = ''
  if (value.kind === 'seat') emit('seat', value, line)
  else if (value.kind === 'parts') emit('parts', value.edit, value.look)
  else emit('edit', value.edit)
}

/** Puts a line in, ready to be changed or entered. */
function put(line: string): void {
  text.value = line
  failed.value = false
  question.value = null
  field.value?.focus()
}
const isPlain = computed(
  () => typed.value.ok && !(typed.value.value.kind === 'ask' && typed.value.value.why === 'left-over'),
)
/** What the line may go on to, while it is not understood as it stands. */
const offered = computed(() =>
  isPlain.value || question.value || text.value.trim() === '' ? [] : completionsOf(text.value, context.value),
)
/** At its end the right arrow takes the first of them. */
function complete(event: KeyboardEvent): void {
  const [first] = offered.value
  if (!first || field.value?.selectionStart !== text.value.length) return
  event.preventDefault()
  put(first.line)
}
/** What a line that begins a seat would make, from above. */
const sketch = computed(() => {
  if (!typed.value.ok || typed.value.value.kind !== 'seat') return null
  const cushions = cushionsOf(typed.value.value.seat)
  if (!cushions.ok) return null
  const { outline } = cushions.value.seat.bare
  return svgPath(outline, scaleWithin(SKETCH, boxOf(outline), { left: 2, right: 2, top: 2, bottom: 2 }))
})
const SKETCH = { width: 64, height: 34 }
defineExpose({ focus: () => field.value?.focus(), put })
</script>

<template>
  <form class="typing-line no-print" @submit.prevent="enter">
    <input
      ref="field"
      v-model="text"
      :placeholder="placeholder"
      aria-label="Type what you want"
      autocomplete="off"
      spellcheck="false"
      @input="((failed = false), (question = null))"
      @keydown.right="complete"
    />
    <div class="answer">
      <svg v-if="sketch" :width="SKETCH.width" :height="SKETCH.height" aria-hidden="true"><path :d="sketch" /></svg>
      <output :class="{ failed }" aria-live="polite">{{ failed ? said : echo }}</output>
      <div v-if="offered.length > 0 && !failed" class="offered" role="group" aria-label="It may go on">
        <button
          v-for="o in offered"
          :key="o.line"
          type="button"
          class="plain-button"
          :title="o.does"
          @click="put(o.line)"
        >
          {{ o.line }}
        </button>
      </div>
    </div>
    <button type="button" class="plain-button" aria-label="What can I type?" @click="emit('help')">
      <span class="in-full">What can I type?</span><span class="in-short">?</span>
    </button>
    <div v-if="question" class="asked" role="group" :aria-label="question.says">
      <button v-for="r in question.readings" :key="r.says" type="button" class="plain-button" @click="take(r.typed)">
        {{ r.says }}
      </button>
      <button type="button" class="plain-button" @click="((question = null), field?.focus())">
        {{ question.why === 'left-over' ? 'No' : question.readings.length > 2 ? 'None of these' : 'Neither' }}
      </button>
    </div>
  </form>
</template>

<style scoped>
.typing-line {
  display: grid;
  grid-template-columns: minmax(280px, 2fr) 3fr auto;
  align-items: center;
  gap: 14px;
  padding: 8px 14px;
  background: var(--bar);
  border-top: 1px solid var(--bar-edge);
}

input {
  height: 38px;
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  background: var(--field);
  padding: 0 12px;
  font: inherit;
  font-size: 17px;
  color: inherit;
}

input::placeholder {
  color: var(--ink-soft);
}

/* Above the line, so that nothing under it moves. */
.asked {
  grid-column: 1 / -1;
  grid-row: 1;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}

.in-short {
  display: none;
}

.answer {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 38px;
  min-width: 0;
}

.answer svg {
  flex: none;
}

.answer path {
  fill: var(--chalk-wash);
  stroke: var(--ink);
}

.offered {
  display: flex;
  gap: 6px;
  overflow-x: auto;
}

.offered button {
  white-space: nowrap;
  min-height: var(--small-target);
}

output {
  color: var(--moss);
  font-weight: 600;
}

output.failed {
  color: var(--rust);
}

@media (max-width: 860px) {
  .typing-line {
    position: sticky;
    bottom: 0;
    z-index: 5;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 4px 8px;
    padding: 6px 8px;
  }

  .answer {
    grid-column: 1 / -1;
    grid-row: 2;
    min-height: 0;
  }

  .in-full {
    display: none;
  }

  .in-short {
    display: inline;
  }

  .asked {
    grid-row: auto;
  }
}
</style>
