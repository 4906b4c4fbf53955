<script setup lang="ts">
import type { LengthUnit } from '../../core/units/index.ts'
import { typedExamples } from '../ui/typed-examples.ts'

/** How a ticket is begun; before the shop has a foam and a cloth, how it comes by them. */
defineProps<{ units: LengthUnit; hasMaterials: boolean }>()
const emit = defineEmits<{ begin: []; put: [line: string]; examples: [] }>()
</script>

<template>
  <section class="teach sheet">
    <template v-if="!hasMaterials">
      <h2>First a foam and a cloth</h2>
      <p>A ticket starts with a foam and a cloth of yours. Enter one of each; trims may wait.</p>
      <p class="ways">
        <RouterLink to="/foam" class="plain-button main">Foam store</RouterLink>
        <RouterLink to="/cloth" class="plain-button main">Cloth store</RouterLink>
      </p>
      <p>Or try the program with made-up makes and prices, and put your own in their place later.</p>
      <button type="button" class="plain-button" @click="emit('examples')">Lay in the examples</button>
    </template>
    <template v-else>
      <h2>Start from the tape</h2>
      <p>
        <button type="button" class="plain-button main" @click="emit('begin')">New ticket</button> asks for sizes, use
        and cloth. Or type the seat at the foot of the page, as you would say it:
      </p>
      <button v-for="e in typedExamples(units)" :key="e" type="button" class="say" @click="emit('put', e)">
        {{ e }}
      </button>
      <p>
        Then walk the stations: measure, filling, make-up, pieces, lay, cut &amp; buy, make, fit, bill. Every figure
        opens into its sum; nothing is locked.
      </p>
    </template>
  </section>
</template>

<style scoped>
.teach {
  padding: 16px 18px;
}

.ways {
  display: flex;
  gap: 10px;
}

.say {
  display: block;
  width: 100%;
  min-height: var(--target);
  margin: 5px 0;
  border: 0;
  font: inherit;
  text-align: left;
  cursor: pointer;
  font-weight: 600;
  color: var(--chalk);
  background: var(--chalk-wash);
  padding: 4px 10px;
}
</style>
