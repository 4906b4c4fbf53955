<script setup lang="ts">
import { computed, ref } from 'vue'
import { Grade, readWith } from '../../contract/index.ts'
import { readCatalogue } from '../../core/formats/index.ts'
import { useShop } from '../stores/shop.ts'
import { faultWords } from './fault-words.ts'

/** What a spreadsheet would change in the catalogue, shown before anything is changed. */
const props = defineProps<{ file: { readonly name: string; readonly text: string } }>()
const emit = defineEmits<{ close: [] }>()
const shop = useShop()
const failed = ref('')
const file = computed(() => readCatalogue(props.file.text))

interface Line {
  readonly row: number
  readonly name: string
  readonly grade: Grade | null
  readonly says: string
}
const lines = computed((): readonly Line[] => {
  if (!file.value.ok) return []
  const seen = new Set<string>()
  return file.value.rows.map(({ row, grade, faults }) => {
    const name = String(grade['name'] ?? '')
    const read = readWith(Grade, grade)
    if (faults.length > 0) return { row, name, grade: null, says: faults.join('; ') }
    if (!read.ok) return { row, name, grade: null, says: faultWords(read.faults[0]!) }
    if (seen.has(read.value.id)) return { row, name, grade: null, says: 'listed twice' }
    seen.add(read.value.id)
    const before = shop.lists!.grades.find((g) => g.id === read.value.id)
    return {
      row,
      name,
      grade: read.value,
      says: !before
        ? 'new'
        : JSON.stringify(Grade.parse(before)) === JSON.stringify(read.value)
          ? 'as it was'
          : 'changed',
    }
  })
})
const good = computed(() => lines.value.flatMap((l) => (l.grade && l.says !== 'as it was' ? [l.grade] : [])))
const bad = computed(() => lines.value.filter((l) => l.grade === null))

async function take(): Promise<void> {
  try {
    await shop.keepGrades(good.value)
    emit('close')
  } catch (cause) {
    failed.value = (cause as Error).message
  }
}
</script>

<template>
  <ElDialog
    :model-value="true"
    :title="`Catalogue from ${file.ok ? props.file.name : 'a file'}`"
    width="640px"
    @update:model-value="emit('close')"
  >
    <p v-if="!file.ok" class="fault" role="alert">{{ file.says }}</p>
    <template v-else>
      <p>{{ good.length }} to take over, {{ bad.length }} not understood; grades not in the file stay.</p>
      <ul>
        <li v-for="l in lines" :key="l.row" :class="{ fault: l.grade === null }">
          Row {{ l.row }}, <b>{{ l.name || 'no name' }}</b>: {{ l.says }}
        </li>
      </ul>
    </template>
    <p v-if="failed" class="fault" role="alert">{{ failed }}</p>
    <template #footer>
      <button type="button" class="plain-button main" :disabled="good.length === 0" @click="take">
        Take {{ good.length }} over
      </button>
    </template>
  </ElDialog>
</template>

<style scoped>
ul {
  max-height: 46vh;
  overflow: auto;
  padding-left: 18px;
}

.fault {
  color: var(--rust);
}
</style>
