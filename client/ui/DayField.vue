<script setup lang="ts">
/** A day, or none: the browser's own field, so that it speaks the maker's language. */
defineProps<{ modelValue: string | null; name: string }>()
const emit = defineEmits<{ 'update:modelValue': [day: string | null] }>()
const set = (event: Event) => {
  const { value, validity } = event.target as HTMLInputElement
  if (!validity.badInput) emit('update:modelValue', value === '' ? null : value)
}
</script>

<template>
  <input
    type="date"
    class="text day"
    :value="modelValue ?? ''"
    :aria-label="name"
    min="2000-01-01"
    max="2100-12-31"
    @change="set"
  />
</template>

<style scoped>
.day {
  width: 160px;
}
</style>
