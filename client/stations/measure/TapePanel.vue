<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { slotOf, valueOf } from '../../../core/seat/index.ts'
import { USUAL_NOISE } from '../../../core/tape/index.ts'
import { useJob } from '../../stores/job.ts'
import { useTape } from '../../stores/tape.ts'
import { simulatedTape } from '../../tape/simulated-tape.ts'
import DevicePanel from '../../ui/DevicePanel.vue'
import LengthField from '../../ui/LengthField.vue'

/** Stands for a radio tape: sends readings of a length it is told to the field that has the focus. */
const emit = defineEmits<{ close: [] }>()
const jobs = useJob()
const tape = useTape()
const device = simulatedTape()
tape.connect(device)
onBeforeUnmount(() => tape.disconnect())

const trueMm = ref(600)
const sdMm = ref(USUAL_NOISE.sdMm)
const grossPercent = ref(USUAL_NOISE.grossShare * 100)
watch(
  () => tape.target?.slot,
  (slot) => {
    const found = slot && slotOf(jobs.job!.seat, slot)
    if (found) trueMm.value = valueOf(found.dimension)
  },
  { immediate: true },
)
const noise = computed(() => ({ sdMm: sdMm.value, grossShare: grossPercent.value / 100 }))
const send = (times: number) => {
  for (let i = 0; i < times; i++) device.press(trueMm.value, noise.value)
}
</script>

<template>
  <DevicePanel name="Simulated tape" does="it sends the length below, with noise" @close="emit('close')">
    <p>
      Sends to: <b>{{ tape.target?.label ?? 'click into a dimension' }}</b>
    </p>
    <div class="row">
      <span>True length</span
      ><LengthField
        :model-value="trueMm"
        :unit="jobs.job!.units"
        name="True length for the simulated tape"
        @update:model-value="trueMm = $event"
      />
    </div>
    <div class="row">
      <label for="tape-noise">Noise, mm</label
      ><input id="tape-noise" v-model.number="sdMm" type="number" min="0" max="20" step="0.1" />
    </div>
    <div class="row">
      <label for="tape-gross">Misread, %</label
      ><input id="tape-gross" v-model.number="grossPercent" type="number" min="0" max="100" step="1" />
    </div>
    <div class="row">
      <button type="button" class="plain-button" @click="send(1)">Send a reading</button
      ><button type="button" class="plain-button" @click="send(3)">Send three</button>
    </div>
    <p class="quiet" aria-live="polite">{{ tape.said }}</p>
  </DevicePanel>
</template>

<style scoped>
input[type='number'] {
  width: 84px;
  height: var(--target);
  border: 1px solid var(--field-edge);
  border-radius: 3px;
  padding: 0 8px;
  font: inherit;
}
</style>
