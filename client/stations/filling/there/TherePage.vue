<script setup lang="ts">
import { computed } from 'vue'
import { useJob } from '../../../stores/job.ts'
import FoamTestFields from '../old-foam/FoamTestFields.vue'
import ThereFields from './ThereFields.vue'

/** What is there already, and what a foam is of which nothing is known. */
const jobs = useJob()
const isFoam = computed(() => jobs.job!.filling.kind === 'foam')
</script>

<template>
  <ThereFields />
  <FoamTestFields v-if="isFoam" />
</template>
