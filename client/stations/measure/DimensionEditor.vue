<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { setReadings } from '../../../core/job/index.ts'
import { slotOf, valueOf } from '../../../core/seat/index.ts'
import { useJob } from '../../stores/job.ts'
import LengthField from '../../ui/LengthField.vue'
import { dayOf } from '../../ui/today.ts'

/** A dimension typed on the drawing: its one reading is changed; to several readings one more is added. */
const props = defineProps<{ slotName: string }>()
const emit = defineEmits<{ close: [] }>()
const jobs = useJob()
const place = ref<HTMLElement | null>(null)
const slot = computed(() => slotOf(jobs.job!.seat, props.slotName))
const shown = ref(slot.value ? valueOf(slot.value.dimension) : 0)
const kept = slot.value && slot.value.dimension.readings.length > 1 ? slot.value.dimension.readings : []

function typed(mm: number): void {
  if (!slot.value) return
  shown.value = mm
  jobs.edit(
    setReadings(
      slot.value.slot,
      [...kept.slice(-19), { mm, on: dayOf(new Date()) }],
      phrase`${slot.value.label} typed on the drawing`,
    ),
    `drawing-${slot.value.slot}`,
  )
}
onMounted(() => {
  const input = place.value?.querySelector('input')
  input?.focus()
  input?.select()
})
</script>

<template>
  <div v-if="slot" ref="place" class="editor" @keydown.esc="emit('close')" @keydown.enter="emit('close')">
    <LengthField
      :model-value="shown"
      :unit="jobs.job!.units"
      :name="`${slot.label}, on the drawing`"
      line="net"
      @update:model-value="typed"
      @done="emit('close')"
    />
  </div>
</template>

<style scoped>
.editor {
  position: absolute;
  padding: 5px 8px;
  background: var(--paper);
  border: 1px solid var(--chalk);
  border-radius: 4px;
  box-shadow: 0 2px 8px rgb(0 0 0 / 18%);
}
</style>
