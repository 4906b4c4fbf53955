<script setup lang="ts">
import { useMemoize } from '@vueuse/core'
import { computed } from 'vue'
import { squareCode } from '../../../core/square-code/index.ts'

/** A square code that a phone reads. */
const props = defineProps<{ text: string }>()
const code = computed(() => {
  const { size, dots } = codeOf(props.text)
  return { size, d: dots.map(({ column, row }) => `M${column} ${row}h1v1h-1z`).join('') }
})
</script>

<script lang="ts">
/** Every block of a ticket bears the same one. */
const codeOf = useMemoize(squareCode)
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
