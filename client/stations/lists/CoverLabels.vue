<script setup lang="ts">
import type { CoverLabel } from '../../../core/lists/index.ts'
import { useJob } from '../../stores/job.ts'
import QrCode from './QrCode.vue'
import { useAddress } from './use-address.ts'

/** A label for the inside of each cover. */
defineProps<{ labels: readonly CoverLabel[] }>()
const jobs = useJob()
const { address } = useAddress()
</script>

<template>
  <section v-if="labels.length > 0" class="block-labels">
    <h2>Cover labels</h2>
    <ul class="cover-labels labels-to-cut">
      <li v-for="l in labels" :key="l.number">
        <QrCode :text="address('fit')" />
        <b>{{ jobs.job!.ticket }} cover {{ l.number }} of {{ labels.length }}</b>
        <div>{{ l.size }}</div>
        <div>{{ l.made }}</div>
        <div>{{ l.place }}</div>
        <div class="quiet">{{ l.wash }}</div>
        <div v-if="l.papers" class="quiet">{{ l.papers }}</div>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 20px;
}
</style>
