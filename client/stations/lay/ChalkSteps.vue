<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import type { chalkList } from '../../../core/lists/index.ts'
import { formatLengthWithUnit, toCut, type LengthUnit } from '../../../core/units/index.ts'

/** Marking out, corner by corner: each lit on the cloth, with its two distances to be read from the table. */
type Lines = ReturnType<typeof chalkList>
const props = defineProps<{ lines: Lines; unit: LengthUnit; isFolded: boolean }>()
const emit = defineEmits<{
  mark: [piece: string | null]
  point: [corner: { readonly fromSelvedge: number; readonly fromStart: number } | null]
}>()
const at = ref(0)
const corners = computed(() =>
  props.lines.flatMap((line) => line.corners.map((corner, i) => ({ line, corner, number: i + 1 }))),
)
const now = computed(() => corners.value[Math.min(at.value, corners.value.length - 1)])
const say = (mm: number) => formatLengthWithUnit(toCut(mm, props.unit), props.unit)
const go = (by: number) => (at.value = Math.min(corners.value.length - 1, Math.max(0, at.value + by)))
/** The first corner of the piece after, or before. */
function goPiece(by: 1 | -1): void {
  const order = now.value!.line.order + by
  const found = corners.value.findIndex((c) => c.line.order === order)
  if (found >= 0) at.value = found
}
watch(
  now,
  (c) => {
    emit('mark', c?.line.piece ?? null)
    emit('point', c?.corner ?? null)
  },
  { immediate: true },
)
onBeforeUnmount(() => {
  emit('mark', null)
  emit('point', null)
})
const isTyping = (event: KeyboardEvent) =>
  (event.target as HTMLElement).closest('input, textarea, select, [role=listbox]')
onKeyStroke('PageDown', (e) => !isTyping(e) && (e.preventDefault(), go(1)))
onKeyStroke('PageUp', (e) => !isTyping(e) && (e.preventDefault(), go(-1)))
</script>

<template>
  <section v-if="now" class="steps" aria-label="Marking out, corner by corner" aria-live="polite">
    <p class="what">
      {{ now.line.order }} of {{ lines.length }}: {{ now.line.name }}, corner {{ now.number }} of
      {{ now.line.corners.length }}
    </p>
    <dl>
      <div>
        <dt>{{ isFolded ? 'from the selvedges' : 'from the left selvedge' }}</dt>
        <dd>{{ say(now.corner.fromSelvedge) }}</dd>
      </div>
      <div>
        <dt>from the starting end</dt>
        <dd>{{ say(now.corner.fromStart) }}</dd>
      </div>
    </dl>
    <p v-if="now.corner.bowMm !== 0" class="bow">
      to the next corner a bow, {{ say(Math.abs(now.corner.bowMm)) }}
      {{ now.corner.bowMm > 0 ? 'outwards' : 'inwards' }}
    </p>
    <div class="buttons no-print">
      <button type="button" class="plain-button" @click="goPiece(-1)">Piece before</button>
      <button type="button" class="plain-button" :disabled="at === 0" @click="go(-1)">Back</button>
      <button type="button" class="plain-button main" :disabled="at >= corners.length - 1" @click="go(1)">
        Next corner
      </button>
      <button type="button" class="plain-button" @click="goPiece(1)">Next piece</button>
    </div>
  </section>
</template>

<style scoped>
.steps {
  display: grid;
  gap: 8px;
}

p,
dl {
  margin: 0;
}

.what {
  font-weight: 600;
}

dl {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 28px;
}

dt {
  color: var(--ink-soft);
}

dd {
  margin: 0;
  font: 600 40px/1.1 var(--sans);
  font-variant-numeric: tabular-nums;
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
