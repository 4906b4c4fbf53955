<script setup lang="ts">
import { StepRecord, textLimits } from '../../../contract/index.ts'
import { onKeyStroke, useWakeLock } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { cushionCount, isSewn } from '../../../core/planned/index.ts'
import { paceOf } from '../../../core/making/index.ts'
import { trimmed } from '../../../core/units/index.ts'
import { figure, given, over } from '../../../core/working/index.ts'
import LessonNotes from '../../job/LessonNotes.vue'
import { useDesign } from '../../stores/design.ts'
import { useSeam } from '../../stores/seam.ts'
import ChoiceButtons from '../../ui/ChoiceButtons.vue'
import FigureValue from '../../ui/FigureValue.vue'
import LeftOut from '../../ui/LeftOut.vue'
import NotYet from '../../ui/NotYet.vue'
import FlatPanels from '../pieces/FlatPanels.vue'
import BenchCard from './BenchCard.vue'
import PapersPage from './PapersPage.vue'
import StepCard from './StepCard.vue'
import StepList from './StepList.vue'
import SuppliesPage from './SuppliesPage.vue'
import { useWorkOrder } from './use-work-order.ts'
import WorkOrderPrint from './WorkOrderPrint.vue'

const { jobs, shop, plan, maker, rows, progress, planned, workedMin } = useWorkOrder()
const design = useDesign()
const seam = useSeam()
const picked = ref<string | null>(null)
const isBig = ref(false)
const page = ref<'steps' | 'supplies' | 'papers'>('steps')
const PAGES = [
  { value: 'steps', label: 'Steps' },
  { value: 'supplies', label: 'Machine' },
  { value: 'papers', label: 'Papers' },
] as const
const chosen = computed(
  () =>
    rows.value.find((r) => r.step.id === picked.value)?.step.id ??
    progress.value.next?.id ??
    rows.value.at(-1)!.step.id,
)
const row = computed(() => rows.value.find((r) => r.step.id === chosen.value)!)
const place = computed(() => rows.value.indexOf(row.value) + 1)
/** A sewing step lights its seam on the panels of its own design. */
function choose(id: string | null): void {
  picked.value = id
  const sews = rows.value.find((r) => r.step.id === chosen.value)?.step.sews ?? null
  const own = plan.value?.worked.find((p) => p.designs.some((d) => d.design.id === sews?.design))
  if (own) {
    jobs.look(own.part.letter)
    design.wanted = own.designs.findIndex((d) => d.design.id === sews?.design)
  }
  seam.letter = sews?.seam ?? null
}
const step = (by: 1 | -1) =>
  choose(rows.value[Math.min(rows.value.length - 1, Math.max(0, place.value - 1 + by))]!.step.id)
const each = computed(() =>
  figure({
    id: 'minutes.each',
    label: 'Work on one cushion',
    quantity: 'time',
    sum: over(planned.value, given(cushionCount(plan.value!), 'count', 'cushions')),
    rule: 'shared out evenly',
  }),
)
/** A liner's seam lights on the liner. */
const shownCover = computed(() => (row.value.step.sews?.layer === 'liner' ? design.chosen?.liner : null))
/** A foot pedal is a keyboard with one key or two. */
const isTyping = (event: KeyboardEvent) =>
  (event.target as HTMLElement).closest('input, textarea, select, [role=listbox]')
onKeyStroke(['PageDown', 'ArrowRight'], (e) => !isTyping(e) && (e.preventDefault(), step(1)))
onKeyStroke(['PageUp', 'ArrowLeft'], (e) => !isTyping(e) && (e.preventDefault(), step(-1)))
/** The screen stays on while it is read from the machine, where the browser can. */
const awake = useWakeLock()
watch(isBig, (big) => void (big ? awake.request('screen') : awake.release()).catch(() => {}))
const people = computed(() => shop.workshop.people)
const pace = computed(() => paceOf(people.value, maker.value))
const heading = computed(() => phrase`${jobs.job!.ticket} ${jobs.job!.title}: work order`)
const printed = ref<'order' | 'card'>('order')
async function print(what: 'order' | 'card'): Promise<void> {
  printed.value = what
  await nextTick()
  window.print()
}
</script>

<template>
  <section v-if="plan && rows.length > 0" class="station make" :class="{ big: isBig }">
    <div class="drawing sheet no-print">
      <LeftOut />
      <div class="head">
        <progress :value="progress.done" :max="progress.of" aria-label="Steps done" />
        <span
          >{{ progress.done }} of {{ progress.of }} done, <FigureValue :figure="planned" bare /> planned,
          <FigureValue :figure="each" bare /> a cushion, {{ trimmed(workedMin / 60, 1) }} h worked</span
        >
        <span class="gap" />
        <button type="button" class="plain-button" aria-label="The step before" @click="step(-1)">‹</button>
        <button type="button" class="plain-button" aria-label="The next step" @click="step(1)">›</button>
        <button type="button" class="plain-button" :aria-pressed="isBig" @click="isBig = !isBig">
          {{ isBig ? 'Small type' : 'Big type' }}
        </button>
      </div>
      <StepCard :row="row" :place="place" :of="rows.length" :is-big="isBig" @next="choose(null)" />
      <FlatPanels
        v-if="design.chosen && isSewn(design.chosen.part)"
        :cover="shownCover ?? design.chosen.cover"
        class="panels"
      />
    </div>
    <div class="figures sheet no-print">
      <div v-if="!isBig" class="fields-in-line">
        <ChoiceButtons
          :model-value="page"
          :choices="PAGES"
          name="Page of the work order"
          @update:model-value="page = $event"
        />
        <button type="button" class="plain-button" @click="print('order')">Print</button>
        <button type="button" class="plain-button" @click="print('card')">Bench card</button>
      </div>
      <label v-if="!isBig" class="field-row"
        ><span class="label">At the bench</span
        ><input
          v-model="maker"
          class="text"
          v-bind="textLimits(StepRecord.shape.doneBy)"
          list="bench-people"
          placeholder="your name, for the ticks" /><datalist id="bench-people">
          <option v-for="p in people" :key="p.name" :value="p.name" /></datalist
      ></label>
      <p v-if="!isBig && pace !== 1" class="quiet">Minutes at {{ trimmed(pace, 2) }} times the rates.</p>
      <template v-if="isBig || page === 'steps'">
        <LessonNotes v-if="!isBig" />
        <div><StepList :rows="rows" :chosen="chosen" @choose="choose" /></div>
      </template>
      <SuppliesPage v-else-if="page === 'supplies'" />
      <PapersPage v-else />
    </div>
    <WorkOrderPrint v-if="printed === 'order'" :rows="rows" :heading="heading" :plan="plan" />
    <BenchCard v-else :plan="plan" />
  </section>
  <NotYet v-else />
</template>

<style scoped>
.make.big {
  grid-template-columns: minmax(0, 7fr) minmax(0, 3fr);
}

.head {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 8px 14px;
  border-bottom: 1px solid var(--paper-edge);
}

.head .gap {
  flex: 1;
}

progress {
  width: 110px;
  accent-color: var(--moss);
}

.drawing {
  overflow-y: auto !important;
}

.panels {
  border-top: 1px solid var(--paper-edge);
  flex: 1 1 220px !important;
  min-height: 220px !important;
}

@media (max-width: 860px) {
  .make .drawing {
    height: auto;
    overflow: visible !important;
  }

  .head {
    flex-wrap: wrap;
  }

  .panels {
    min-height: 300px !important;
  }
}
</style>
