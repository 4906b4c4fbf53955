<script setup lang="ts">
import { GRAMMAR } from '../../core/typing/index.ts'
import { SHORTCUTS } from './shortcuts.ts'

defineProps<{ modelValue: boolean }>()
/** `try`: an example that was pressed goes into the line, to be changed or entered. */
const emit = defineEmits<{ 'update:modelValue': [open: boolean]; try: [line: string] }>()
function tryOut(line: string): void {
  emit('update:modelValue', false)
  emit('try', line)
}
</script>

<template>
  <ElDialog
    :model-value="modelValue"
    title="What can be typed, and the keys"
    width="1080px"
    top="5vh"
    @update:model-value="emit('update:modelValue', $event)"
  >
    <div class="scroll" tabindex="0" role="region" aria-label="What can be typed">
      <table class="grammar">
        <tbody>
          <tr v-for="row in GRAMMAR" :key="row.form">
            <th scope="row">{{ row.form }}</th>
            <td>{{ row.does }}</td>
            <td class="example">
              <button type="button" title="Put it into the line" @click="tryOut(row.example)">{{ row.example }}</button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p>
      Say it your own way as well: <b>2 cushions 24 by 22 by 4 inches</b>, <b>round stool 14 inch 3 thick</b>,
      <b>zip at the back</b>, <b>no piping</b>, <b>firm foam</b>, <b>due friday</b>; a whole set in one line:
      <b>3 seats 600 x 560 x 120, piped, and 3 backs 600 x 450 x 140</b>. What the line does not know it offers to keep
      as a note.
    </p>
    <p>
      Lengths: <b>600</b>, <b>60 cm</b>, <b>23 5/8</b>, <b>23-5/8"</b>, <b>4' 2 1/2"</b>, <b>42+3/4</b>. A bare number
      is in the job's unit, and every length typed is net: the sewing line, not the cut edge.
    </p>
    <table class="grammar">
      <tbody>
        <tr v-for="s in SHORTCUTS" :key="s.keys">
          <th scope="row">{{ s.keys }}</th>
          <td>{{ s.does }}</td>
        </tr>
      </tbody>
    </table>
  </ElDialog>
</template>

<style scoped>
.grammar th {
  text-align: left;
  font-weight: 600;
  padding: 3px 16px 3px 0;
  max-width: 400px;
}

.scroll {
  max-height: 48vh;
  overflow-y: auto;
}

.example button {
  min-height: var(--small-target);
  padding: 0;
  border: 0;
  background: none;
  color: var(--chalk);
  font: inherit;
  text-align: left;
  text-decoration: underline;
  cursor: pointer;
}

.grammar tr {
  border-top: 1px solid var(--paper-edge);
}

.grammar td {
  padding: 3px 16px 3px 0;
}

.example {
  color: var(--chalk);
  white-space: nowrap;
}
</style>
