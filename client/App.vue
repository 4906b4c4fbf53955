<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { onMounted } from 'vue'
import { beAlive } from './storage/page-alive.ts'
import { useLive } from './stores/live.ts'
import { sendLeft } from './session/send-left.ts'
import ThumbKeys from './ui/ThumbKeys.vue'
import TroubleBanner from './ui/TroubleBanner.vue'

/** What other pages of this browser left unsaved is sent again so often. */
const AGAIN_MS = 60_000

const live = useLive()
onMounted(() => {
  beAlive()
  live.listen()
  void sendLeft()
})
useIntervalFn(() => void sendLeft(), AGAIN_MS)
</script>

<template>
  <TroubleBanner />
  <RouterView />
  <ThumbKeys />
</template>
