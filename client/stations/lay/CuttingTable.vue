<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue'
import { phrase } from '../../../core/language/index.ts'
import type { TableState } from '../../../contract/index.ts'
import { layDxf, type LayDrawing } from '../../../core/formats/index.ts'
import { sayAmount } from '../../../core/working/index.ts'
import { useJob } from '../../stores/job.ts'
import { resumeTable, sendToTable, stopTable, tableState } from '../../api/table.ts'

/** Sends the lay to the cutting table and watches it cut. */
const props = defineProps<{ drawing: LayDrawing }>()
const ASK_MS = 500
const SPEED_MM_S = 400
const jobs = useJob()
const state = ref<TableState>({ kind: 'idle' })
const failed = ref('')
const mayJam = ref(false)
let timer: ReturnType<typeof setInterval> | undefined

async function attempt(work: () => Promise<TableState>): Promise<void> {
  failed.value = ''
  try {
    state.value = await work()
  } catch (cause) {
    failed.value = (cause as Error).message
  }
}
const send = () =>
  attempt(async () =>
    sendToTable({
      name: props.drawing.title,
      dxf: await layDxf(props.drawing),
      speedMmS: SPEED_MM_S,
      jamAt: mayJam.value ? 0.4 : null,
    }),
  )
onMounted(() => {
  void attempt(tableState)
  timer = setInterval(() => state.value.kind === 'cutting' && void attempt(tableState), ASK_MS)
})
onUnmounted(() => clearInterval(timer))

const share = computed(() =>
  'doneMm' in state.value ? state.value.doneMm / Math.max(1, state.value.totalMm) : state.value.kind === 'done' ? 1 : 0,
)
const words = computed(() => {
  const s = state.value
  const run = (mm: number) => sayAmount(mm, 'run', jobs.job?.units ?? 'mm')
  switch (s.kind) {
    case 'idle':
      return 'It is free.'
    case 'away':
    case 'refused':
      return s.why
    case 'cutting':
      return phrase`Cutting ${s.name}: ${run(s.doneMm)} of ${run(s.totalMm)}.`
    case 'jammed':
      return phrase`Jammed at ${run(s.doneMm)} of ${run(s.totalMm)}. ${s.why}`
    case 'stopped':
      return phrase`Stopped at ${run(s.doneMm)} of ${run(s.totalMm)}.`
    case 'done':
      return phrase`${s.name} is cut: ${run(s.totalMm)}.`
    default:
      return s satisfies never
  }
})
const isHeld = computed(() => state.value.kind === 'jammed' || state.value.kind === 'stopped')
</script>

<template>
  <section class="table" aria-label="Cutting table">
    <h3>Cutting table <span class="quiet">simulated, in a hurry: no cloth is cut</span></h3>
    <div class="fields-in-line">
      <button v-if="isHeld" type="button" class="plain-button main" @click="attempt(resumeTable)">Resume</button>
      <button v-else-if="state.kind !== 'cutting'" type="button" class="plain-button main" @click="send">
        Send this lay
      </button>
      <button v-if="state.kind === 'cutting' || isHeld" type="button" class="plain-button" @click="attempt(stopTable)">
        {{ state.kind === 'cutting' ? 'Stop' : 'Give it up' }}
      </button>
      <label class="tick"><input v-model="mayJam" type="checkbox" /> let it jam on the way</label>
    </div>
    <progress :value="share" max="1" aria-label="Cut so far" />
    <p
      :class="{ failed: failed || state.kind === 'jammed' || state.kind === 'refused' || state.kind === 'away' }"
      role="status"
    >
      {{ failed || words }}
    </p>
    <p class="quiet">Keep hands off the bed while it moves; stop it before you reach in.</p>
  </section>
</template>

<style scoped>
.table {
  display: grid;
  gap: 6px;
  border-top: 1px solid var(--paper-edge);
  padding-top: 8px;
}

h3,
p {
  margin: 0;
}

progress {
  width: 100%;
  accent-color: var(--chalk);
}

.failed {
  color: var(--rust);
}
</style>
