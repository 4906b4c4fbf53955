<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, onMounted } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import { useSearchers } from '../../stores/searchers.ts'

const ASK_EVERY_MS = 10_000

const searchers = useSearchers()
onMounted(() => void searchers.ask())
useIntervalFn(() => void searchers.ask(), ASK_EVERY_MS)

const named = computed(() =>
  searchers.alike
    .map(({ name, lanes }) => (lanes === 1 ? phrase`${name} in one lane` : phrase`${name} in ${lanes} lanes`))
    .join(', '),
)
const older = computed(() => [...new Set(searchers.others.map((s) => s.name))].join(', '))
</script>

<template>
  <p v-if="named" class="quiet others">Searched on besides this machine: {{ named }}.</p>
  <p v-if="older" class="quiet others">
    Left out, since their planner is of another release: {{ older }}. Bring both to one release.
  </p>
  <p v-if="searchers.isLost" class="quiet others">
    The server that passes lays to other machines does not answer: this machine searches alone.
  </p>
</template>

<style scoped>
.others {
  margin: 4px 0;
}
</style>
