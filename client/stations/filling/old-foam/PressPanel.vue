<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'
import { mainGrade } from '../../../../core/filling/index.ts'
import { USUAL_PRESS_NOISE } from '../../../../core/press/index.ts'
import { simulatedPress } from '../../../press/simulated-press.ts'
import { usePress } from '../../../stores/press.ts'
import { useShop } from '../../../stores/shop.ts'
import AmountField from '../../../ui/AmountField.vue'
import DevicePanel from '../../../ui/DevicePanel.vue'
import { useFoam } from '../use-foam.ts'

/**
 * Stands for a press: one stroke into the foam it is told to have under it, with noise, hysteresis, and now and then a
 * wrong piece.
 */
const emit = defineEmits<{ close: [] }>()
const { foam } = useFoam()
const shop = useShop()
const press = usePress()
const device = simulatedPress()
press.connect(device)
onBeforeUnmount(() => press.disconnect())

const grades = computed(() => shop.lists?.grades ?? [])
const under = ref(mainGrade(foam.value.layers).id)
const grade = computed(() => grades.value.find((g) => g.id === under.value) ?? grades.value[0]!)
const sdShare = ref(USUAL_PRESS_NOISE.sdShare)
const hysteresis = ref(USUAL_PRESS_NOISE.hysteresis)
const wrongShare = ref(USUAL_PRESS_NOISE.wrongShare)
function stroke(): void {
  const { test } = foam.value
  if (test)
    device.stroke(
      { grade: grade.value, thicknessMm: test.thicknessMm, discMm: test.discMm },
      { sdShare: sdShare.value, hysteresis: hysteresis.value, wrongShare: wrongShare.value },
      grades.value.filter((g) => g.id !== under.value),
    )
}
</script>

<template>
  <DevicePanel name="Simulated press" does="it presses the grade below" @close="emit('close')">
    <div class="row">
      <span>Under it lies</span
      ><ElSelect v-model="under" aria-label="Foam under the press"
        ><ElOption v-for="g in grades" :key="g.id" :value="g.id" :label="g.name"
      /></ElSelect>
    </div>
    <div class="row">
      <span>Noise</span
      ><AmountField
        :model-value="sdShare"
        kind="share"
        name="Noise of the press"
        :min="0"
        :max="0.2"
        @update:model-value="sdShare = $event ?? 0"
      />
    </div>
    <div class="row">
      <span>Hysteresis</span
      ><AmountField
        :model-value="hysteresis"
        kind="share"
        name="Hysteresis"
        :min="0"
        :max="0.9"
        @update:model-value="hysteresis = $event ?? 0"
      />
    </div>
    <div class="row">
      <span>Wrong piece</span
      ><AmountField
        :model-value="wrongShare"
        kind="share"
        name="Wrong piece"
        :min="0"
        :max="1"
        @update:model-value="wrongShare = $event ?? 0"
      />
    </div>
    <button type="button" class="plain-button" @click="stroke">Press once, down and back</button>
    <p class="quiet" aria-live="polite">{{ press.said }}</p>
  </DevicePanel>
</template>
