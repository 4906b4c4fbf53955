<script setup lang="ts">
import { phrase } from '../../core/language/index.ts'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { withTypedSeat, type TypedSeat } from '../../core/typing/index.ts'
import { useJob } from '../stores/job.ts'
import { useShop } from '../stores/shop.ts'
import { fetchStations, STATION_PAGES } from '../stations/index.ts'
import { whenIdle } from '../ui/when-idle.ts'
import HelpSheet from '../ui/HelpSheet.vue'
import type { Command } from '../ui/typed-command.ts'
import TypingLine from '../ui/TypingLine.vue'
import { typedChange } from '../ui/typed-examples.ts'
import ConflictDialog from './ConflictDialog.vue'
import HistoryDrawer from './HistoryDrawer.vue'
import TicketDialog from './TicketDialog.vue'
import PartRow from './PartRow.vue'
import StationSpine from './StationSpine.vue'

const props = defineProps<{ id: string }>()
const jobs = useJob()
const shop = useShop()
const router = useRouter()
const route = useRoute()
/** A cover that stays has no pieces and no lay. */
const isLeftOut = computed(() => {
  const station = String(route.name)
  if (jobs.plan?.kind !== 'worked' || (station !== 'pieces' && station !== 'lay')) return false
  return jobs.plan.sewn.length === 0 || (station === 'pieces' && jobs.job?.work.kind === 'filling-only')
})
const failed = ref('')
const help = ref(false)
const history = ref(false)
const ticket = ref(false)
const line = ref<InstanceType<typeof TypingLine>>()

watch(
  () => props.id,
  async (id) => {
    failed.value = ''
    try {
      await Promise.all([shop.open(), jobs.open(id)])
    } catch (cause) {
      failed.value = (cause as Error).message
    }
  },
  { immediate: true },
)

function newSeat(typed: TypedSeat): void {
  jobs.edit({ says: typed.says, apply: (job) => withTypedSeat(job, typed) })
}

function command(what: Exclude<Command, 'help'>): void {
  if (what === 'undo') jobs.undo()
  else if (what === 'redo') jobs.redo()
  else if (what === 'shelf') void router.push('/')
  else void router.push(`/jobs/${props.id}/${what.station}`)
}

function onKey(event: KeyboardEvent): void {
  const isTyping = event.target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(event.target.tagName)
  const letter = event.key.toLowerCase()
  if ((event.ctrlKey || event.metaKey) && letter === 'z') {
    event.preventDefault()
    if (event.shiftKey) jobs.redo()
    else jobs.undo()
  } else if (event.altKey && /^[1-9]$/.test(event.key)) {
    event.preventDefault()
    void router.push(`/jobs/${props.id}/${STATION_PAGES[Number(event.key) - 1]!.station}`)
  } else if (event.altKey && (event.key === 'PageDown' || event.key === 'PageUp')) {
    event.preventDefault()
    jobs.lookOn(event.key === 'PageDown' ? 1 : -1)
  } else if (!isTyping && event.key === '/') {
    event.preventDefault()
    line.value?.focus()
  } else if (!isTyping && event.key === '?') help.value = true
}

const leaving = () => void jobs.flush()
/** What the browser would not keep is lost with the page. */
function warnBefore(event: BeforeUnloadEvent): void {
  if (jobs.saveState.kind !== 'saved' && jobs.kept === 'in-page') event.preventDefault()
}
onMounted(() => {
  whenIdle(() => void fetchStations().catch(() => undefined))
  window.addEventListener('keydown', onKey)
  window.addEventListener('pagehide', leaving)
  window.addEventListener('beforeunload', warnBefore)
})
onBeforeUnmount(() => {
  window.removeEventListener('keydown', onKey)
  window.removeEventListener('pagehide', leaving)
  window.removeEventListener('beforeunload', warnBefore)
  void jobs.flush()
})
</script>

<template>
  <div class="job-page">
    <header class="no-print">
      <RouterLink to="/" class="shelf-link">Shelf</RouterLink>
      <template v-if="jobs.job">
        <button type="button" class="name" title="Change the ticket, its title and customer" @click="ticket = true">
          <h1>
            <span class="ticket">{{ jobs.job.ticket }}</span>{{ jobs.job.title }}
          </h1>
        </button>
        <span class="quiet customer">{{ jobs.job.customer }}</span>
        <span class="save" :class="jobs.saveState.kind" aria-live="polite">
          <template v-if="jobs.saveState.kind === 'saved'">saved, revision {{ jobs.revision }}</template>
          <template v-else-if="jobs.saveState.kind === 'saving'">saving …</template>
          <template v-else-if="jobs.saveState.kind === 'waiting'">typed, not saved yet</template>
          <template v-else
            >not saved: {{ jobs.saveState.why }}
            {{
              jobs.kept === 'in-browser'
                ? 'It is kept in this browser, and sent again.'
                : 'It is in this page alone, and sent again: do not close it.'
            }}</template
          >
        </span>
        <button
          type="button"
          class="plain-button"
          :disabled="jobs.past.length === 0"
          :title="jobs.past.at(-1)?.says"
          @click="jobs.undo()"
        >
          Undo
        </button>
        <button type="button" class="plain-button" :disabled="jobs.future.length === 0" @click="jobs.redo()">
          Redo
        </button>
        <button type="button" class="plain-button" @click="history = true">History</button>
        <a class="plain-button" :href="`/api/jobs/${jobs.id}/file`">Job file</a>
      </template>
    </header>
    <p v-if="failed" class="sheet failed" role="alert">
      {{ failed }} <RouterLink to="/">Back to the shelf</RouterLink>
    </p>
    <template v-else-if="jobs.job && jobs.plan">
      <StationSpine />
      <PartRow v-if="jobs.whole!.parts.length > 1 || route.path.endsWith('/measure')" />
      <p v-if="jobs.told" class="told" role="status">
        {{ jobs.told }} <button type="button" class="plain-button" @click="jobs.dismiss()">Good</button>
      </p>
      <p v-if="jobs.refused" class="refused" role="alert">Not taken: {{ jobs.refused }}</p>
      <main>
        <div v-if="isLeftOut" class="sheet left-out">
          <h2>The cover stays</h2>
          <p>Nothing of it is cut out, laid or sewn: there is no work at this station.</p>
          <p><RouterLink :to="`/jobs/${id}/filling`">To the filling</RouterLink></p>
        </div>
        <RouterView v-else />
      </main>
      <TypingLine
        ref="line"
        :job="jobs.job"
        :whole="jobs.whole"
        :units="jobs.job.units"
        :placeholder="phrase`Type a change: ${typedChange(jobs.job.units)}, pipe top …`"
        @seat="newSeat"
        @edit="(e) => jobs.edit(e)"
        @parts="(e, look) => (jobs.edit(e), jobs.look(look))"
        @command="command"
        @help="help = true"
      />
      <ConflictDialog />
      <HistoryDrawer v-model="history" />
      <TicketDialog v-model="ticket" />
    </template>
    <HelpSheet v-model="help" @try="(example) => line?.put(example)" />
  </div>
</template>

<style scoped>
.job-page {
  height: 100%;
  display: flex;
  flex-direction: column;
}

header {
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 8px 14px;
}

.name {
  border: 0;
  padding: 0;
  background: none;
  color: inherit;
  cursor: pointer;
  min-width: 0;
}

h1 {
  font-size: 22px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}

.ticket {
  display: inline-block;
  margin-right: 10px;
  padding: 2px 9px 2px 20px;
  border: 1px solid var(--ink);
  border-radius: 2px;
  background: radial-gradient(circle at 10px 50%, var(--floor) 0 3.5px, var(--ink) 3.5px 4.5px, transparent 4.5px)
    var(--field);
}

.customer {
  flex: 1;
}

.shelf-link,
a.plain-button {
  color: var(--ink);
  text-decoration: none;
}

.shelf-link {
  padding: 6px 4px;
  text-decoration: underline;
}

.save {
  font-size: 14px;
  color: var(--moss);
  max-width: 340px;
}

.save.waiting,
.save.saving {
  color: var(--ink-soft);
}

.save.failed {
  color: var(--rust);
  font-weight: 600;
}

main {
  flex: 1;
  min-height: 0;
  padding: 14px;
}

.failed {
  margin: 40px auto;
  padding: 20px;
}

.told {
  margin: 0;
  padding: 4px 14px;
  background: var(--moss-wash);
}

.refused {
  margin: 0;
  padding: 6px 14px;
  color: var(--rust);
  background: var(--rust-wash);
}

/* On a phone the page scrolls as one; what is typed stays in reach of the thumb. */
@media (max-width: 860px) {
  .job-page {
    height: auto;
    min-height: 100%;
  }

  header {
    flex-wrap: wrap;
    gap: 4px 8px;
    padding: 6px 10px;
  }

  .name {
    flex: 1 1 70%;
  }

  h1 {
    font-size: 18px;
    text-align: left;
  }

  .customer {
    display: none;
  }

  .save {
    flex-basis: 100%;
    max-width: none;
  }

  header > .plain-button {
    flex: 1;
    padding-inline: 6px;
  }

  main {
    padding: 8px;
  }
}

.left-out {
  padding: 20px;
  align-self: start;
}
</style>
