<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { onMounted } from 'vue'
import { beAlive } from './storage/page-alive.ts'
import { useJob } from './stores/job.ts'
import { useLive } from './stores/live.ts'
import { sendLeftDrafts } from './session/outbox.ts'
import ThumbKeys from './ui/ThumbKeys.vue'
import TroubleBanner from './ui/TroubleBanner.vue'

/** What other pages of this browser left unsaved is sent again so often. */
const AGAIN_MS = 60_000

const live = useLive()
const jobs = useJob()
const sendLeft = () => void sendLeftDrafts(jobs.isOpen)
onMounted(() => {
  beAlive()
  live.listen()
  sendLeft()
})
useIntervalFn(sendLeft, AGAIN_MS)
</script>

<template>
  <TroubleBanner />
  <RouterView />
  <ThumbKeys />
</template>
