<script setup lang="ts">
import { trouble } from '../stores/trouble.ts'

/** A part of the program is missing: said on every page, with the one thing that helps. */
const reload = () => location.reload()
</script>

<template>
  <p v-if="trouble" class="trouble" role="alert">
    {{ trouble }} <button type="button" class="plain-button" @click="reload">Reload</button>
  </p>
</template>

<style scoped>
.trouble {
  position: fixed;
  inset: 0 0 auto;
  z-index: 3000;
  margin: 0;
  padding: 8px 14px;
  background: var(--rust);
  color: var(--on-colour);
}
</style>
