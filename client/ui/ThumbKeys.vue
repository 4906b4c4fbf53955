<script setup lang="ts">
import { useActiveElement, useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'

/**
 * Keys that a phone's number pad lacks, over the foot of the page while a length is typed: fractions of an inch, and on
 * to the next dimension by the thumb.
 */
const isTouched = useMediaQuery('(pointer: coarse)')
const active = useActiveElement()
const field = computed(() => {
  const now = active.value
  return isTouched.value && now instanceof HTMLInputElement && now.dataset['lengths'] ? now : null
})
const FRACTIONS: Readonly<Record<string, readonly string[]>> = {
  'inch-8': ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8'],
  'inch-16': ['1/16', '1/8', '3/16', '1/4', '5/16', '3/8', '1/2', '5/8', '11/16', '3/4', '7/8', '15/16'],
}
const keys = computed(() => FRACTIONS[field.value?.dataset['lengths'] ?? ''] ?? [])

/** A fraction follows the whole inches that stand there, in place of one that was put before. */
function put(fraction: string): void {
  const own = field.value!
  const whole = own.value.trim().replace(/(?:^|[\s-]+)\d+\/\d+$/, '')
  own.value = whole === '' ? fraction : `${whole} ${fraction}`
  own.dispatchEvent(new Event('input', { bubbles: true }))
}

/** Words of other units want letters: `60 cm`, `4' 2"`. */
function letters(): void {
  const own = field.value!
  own.inputMode = own.inputMode === 'text' ? 'decimal' : 'text'
  own.blur()
  own.focus()
}

function on(by: 1 | -1): void {
  const all = [...document.querySelectorAll<HTMLInputElement>('input[data-lengths]')].filter((i) => i.offsetParent)
  const next = all[all.indexOf(field.value!) + by]
  if (!next) return field.value!.blur()
  next.focus()
  next.select()
}
</script>

<template>
  <div v-if="field" class="thumb-keys no-print" role="group" aria-label="Keys for lengths">
    <div class="fractions">
      <button v-for="k in keys" :key="k" type="button" class="plain-button" @pointerdown.prevent="put(k)">
        {{ k }}
      </button>
    </div>
    <button type="button" class="plain-button" aria-label="Letters or numbers" @pointerdown.prevent="letters">
      abc
    </button>
    <button type="button" class="plain-button" aria-label="The length before" @pointerdown.prevent="on(-1)">‹</button>
    <button type="button" class="plain-button main" @pointerdown.prevent="on(1)">Next</button>
  </div>
</template>

<style scoped>
.thumb-keys {
  position: fixed;
  inset: auto 0 0;
  z-index: 20;
  display: flex;
  gap: 6px;
  align-items: center;
  padding: 6px 8px;
  background: var(--bar);
  border-top: 1px solid var(--bar-edge);
}

.fractions {
  flex: 1;
  display: flex;
  gap: 4px;
  overflow-x: auto;
}

.fractions .plain-button {
  min-width: 46px;
  padding: 4px 6px;
}
</style>
