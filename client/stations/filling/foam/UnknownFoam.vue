<script setup lang="ts">
import { computed } from 'vue'
import { trialWords, UNKNOWN_WORDS } from '../../../../core/filling/index.ts'
import { useFoam } from '../use-foam.ts'

/** In place of a section: what nobody knows of this foam, and what would settle it. */
const { jobs, foam, plan } = useFoam()
const said = computed(() => foam.value.layers.map((l) => l.grade.said).filter((s) => s !== ''))
</script>

<template>
  <div class="unknown">
    <p class="caption">This foam is not known</p>
    <p>
      Nobody knows {{ plan.unknown.map((u) => UNKNOWN_WORDS[u]).join(', nor ') }}. Sizes, cutting, cover and bill go on;
      how it carries is not told until it is found out.
    </p>
    <p v-if="said.length > 0">
      It was called {{ said.map((s) => `“${s}”`).join(', ') }}. A word is no figure: nothing is taken from it.
    </p>
    <h3>What would settle it</h3>
    <ul>
      <li v-if="plan.unknown.includes('density')">Weigh a piece of known size: its density, and so its life.</li>
      <li v-if="plan.unknown.includes('force')">
        Press it with a weight on a disc (the page “What is there”), or let somebody sit on it and write down what they
        found.
      </li>
    </ul>
    <template v-if="foam.trials.length > 0">
      <h3>Sat on</h3>
      <ul>
        <li v-for="(t, i) in foam.trials" :key="i">{{ trialWords(t, jobs.job!.units) }}</li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
.unknown {
  padding: 24px 32px;
  max-width: 60ch;
}

.caption {
  font-family: var(--slab);
  font-size: 19px;
}
</style>
