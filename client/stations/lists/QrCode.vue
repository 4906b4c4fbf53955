<script setup lang="ts">
import { create } from 'qrcode'
import { computed } from 'vue'

/** A square code that a phone reads. */
const props = defineProps<{ text: string }>()
const EDGE = 2
const code = computed(() => {
  const { modules } = create(props.text, { errorCorrectionLevel: 'M' })
  const dots = Array.from({ length: modules.size * modules.size }, (_, i) => i).filter((i) => modules.data[i])
  return {
    size: modules.size + 2 * EDGE,
    d: dots.map((i) => `M${(i % modules.size) + EDGE} ${Math.floor(i / modules.size) + EDGE}h1v1h-1z`).join(''),
  }
})
</script>

<template>
  <svg
    :viewBox="`0 0 ${code.size} ${code.size}`"
    class="qr"
    role="img"
    :aria-label="`Code for ${text}`"
    shape-rendering="crispEdges"
  >
    <rect :width="code.size" :height="code.size" fill="#fff" />
    <path :d="code.d" fill="#000" />
  </svg>
</template>

<style scoped>
.qr {
  float: right;
  width: 74px;
  height: 74px;
  margin: 0 0 4px 8px;
}
</style>
