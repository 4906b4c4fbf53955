<script setup lang="ts">
import { onMounted } from 'vue'
import { useLive } from './stores/live.ts'

const live = useLive()
onMounted(() => live.listen())
</script>

<template>
  <RouterView />
</template>
