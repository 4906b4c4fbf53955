<script setup lang="ts">
import { useIntersectionObserver, useTimeoutFn } from '@vueuse/core'
import { computed, defineAsyncComponent, onMounted, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { phrase } from '../../core/language/index.ts'
import type { Job, JobSummary, Seat } from '../../contract/index.ts'
import type { TypedSeat } from '../../core/typing/index.ts'
import type { LengthUnit } from '../../core/units/index.ts'
import { amendJob, createJob, listShelf, openJob } from '../api/jobs.ts'
import { beginTicket, begunTickets } from '../session/begun.ts'
import { usePreference } from '../storage/preference.ts'
import { useLiveReading } from '../stores/use-live-reading.ts'
import { useShop } from '../stores/shop.ts'
import ChoiceButtons from '../ui/ChoiceButtons.vue'
import ShopHeader from '../ui/ShopHeader.vue'
import { dayOf } from '../ui/today.ts'
import { whenIdle } from '../ui/when-idle.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import { findJobs, furnitureOf, type Order, type Wanted } from './find-jobs.ts'
import JobTicket from './JobTicket.vue'
import type { Begun } from './NewTicketDialog.vue'
import { nextTicket } from '../session/next-ticket.ts'
import RemindersDue from './RemindersDue.vue'
import StartPanel from './StartPanel.vue'
import { layInExamples } from '../shop/examples.ts'
import { typedExamples } from '../ui/typed-examples.ts'

// The tickets hang before what is typed can be read: it needs all that is known of seats and covers.
const TypingLine = defineAsyncComponent(() => import('../ui/TypingLine.vue'))
const HelpSheet = defineAsyncComponent(() => import('../ui/HelpSheet.vue'))
const NewTicketDialog = defineAsyncComponent(() => import('./NewTicketDialog.vue'))
const AllowanceBookDialog = defineAsyncComponent(() => import('./AllowanceBookDialog.vue'))
const beginning = () => import('./begin-ticket.ts')

const shop = useShop()
const router = useRouter()
const { failed, attempt } = useAttempt()
const jobs = shallowRef<readonly JobSummary[]>([])
const help = ref(false)
const book = ref(false)
const picker = ref<HTMLInputElement>()
const isRead = ref(false)

const text = ref('')
const stage = usePreference<Wanted['stage']>('loft-seam/shelf-stage', 'open')
const order = usePreference<Order>('loft-seam/shelf-order', 'due')
const STAGES = (['open', 'asked', 'ordered', 'making', 'fitted', 'billed', 'archived'] as const).map((value) => ({
  value,
  label: value === 'archived' ? 'put away' : value,
}))
const ORDERS: readonly { readonly value: Order; readonly label: string }[] = [
  { value: 'due', label: 'day due' },
  { value: 'ticket', label: 'ticket' },
  { value: 'saved', label: 'last saved' },
  { value: 'customer', label: 'customer' },
]
const found = computed(() => findJobs(jobs.value, { text: text.value, stage: stage.value, order: order.value }))
/** The customer that all tickets found are for: their furniture can be made once more. */
const customer = computed(() =>
  text.value.trim() !== '' && new Set(found.value.map((j) => j.customer)).size === 1 ? found.value[0]!.customer : '',
)
const furniture = computed(() => (customer.value ? furnitureOf(jobs.value, customer.value) : []))

/** The first tickets hang at once, more while nobody types, the rest as they come into sight. */
const A_BATCH = 24
const HUNG_BY_ITSELF = 240
const shown = ref(A_BATCH)
const end = ref<HTMLElement | null>(null)
const { start: hangMoreLater } = useTimeoutFn(hangMore, 60, { immediate: false })
watch(found, () => {
  shown.value = A_BATCH
  hangMoreLater()
})
function hangMore(): void {
  if (shown.value >= Math.min(found.value.length, HUNG_BY_ITSELF)) return
  shown.value += A_BATCH
  hangMoreLater()
}
useIntersectionObserver(end, ([entry]) => entry?.isIntersecting && (shown.value += A_BATCH))

const unread = useLiveReading(async () => {
  if (shop.lists!.settings.shopName === '') return router.replace('/welcome')
  await readJobs()
})
const readJobs = async () => {
  const [of, begunHere] = await Promise.all([listShelf(), begunTickets()])
  jobs.value = [...begunHere.filter((b) => !of.some((j) => j.id === b.id)), ...of]
  isRead.value = true
}

/** The next page is most likely a job. */
onMounted(() => whenIdle(() => void import('../job/JobPage.vue').catch(() => undefined)))

async function refuseWithoutMaterials(): Promise<void> {
  if (hasMaterials.value) return
  const { typingWords } = await import('../../core/typing/index.ts')
  throw new Error(typingWords({ code: 'nothing-in-store' }))
}
const units = computed(() => shop.lists?.settings.units ?? 'mm')
const hasMaterials = computed(() => (shop.lists?.grades.length ?? 0) > 0 && (shop.lists?.cloths.length ?? 0) > 0)

const line = ref<{ put: (line: string) => void }>()

/** Sizes that were typed into the search are most likely a seat. */
const isPerhapsASeat = computed(() => /\d\D+\d/.test(text.value))
function beginFromSearch(): void {
  line.value?.put(text.value)
  text.value = ''
}

const isBeginning = ref(false)
/** A seat that cannot be begun stays in the line. */
const start = (typed: TypedSeat, said: string) =>
  attempt(async () => {
    try {
      await begun(typed.seat, typed.says, typed.units, async (job) => (await beginning()).asTyped(job, typed))
    } catch (cause) {
      line.value?.put(said)
      throw cause
    }
  })
const begin = ({ seat, units, use, clothId, customer: whose }: Begun) =>
  begun(seat, 'begun field by field', units, async (job) => {
    const cloth = shop.lists!.cloths.find((c) => c.id === clothId)!
    return (await beginning()).asAsked(job, { use, cloth, customer: whose })
  })
/** A new ticket with the shop's usual choices, and what was asked for in their place. */
async function begun(seat: Seat, says: string, units: LengthUnit, asked: (job: Job) => Promise<Job>): Promise<void> {
  await refuseWithoutMaterials()
  const { ticketFor, turnedIfWide } = await beginning()
  const job = await asked(ticketFor(seat, units, nextTicket(jobs.value), shop.lists!))
  const lying = turnedIfWide(job)
  const id = await beginTicket(lying, lying === job ? says : phrase`${says}, railroaded: wider than the cloth`)
  await router.push(`/jobs/${id}/measure`)
}

/** Without a foam and a cloth there is nothing to choose from. */
const openNew = () =>
  attempt(async () => {
    await refuseWithoutMaterials()
    isBeginning.value = true
  })

const copy = ({ id, ticket }: JobSummary) =>
  attempt(async () => {
    const { job } = await openJob(id)
    const { copyOf } = await import('../../core/job/index.ts')
    const copied = await beginTicket(copyOf(job, nextTicket(jobs.value)), phrase`copied from ${ticket}`)
    await router.push(`/jobs/${copied}/measure`)
  })

const archive = ({ id, card }: JobSummary) =>
  attempt(async () => {
    const archivedOn = card.archivedOn ? null : dayOf(new Date())
    await amendJob(
      id,
      (job) => ({ ...job, terms: { ...job.terms, archivedOn } }),
      archivedOn ? 'put away' : 'taken out again',
    )
    await readJobs()
  })

const openFile = (event: Event) =>
  attempt(async () => {
    const file = (event.target as HTMLInputElement).files?.[0]
    if (!file) return
    let document: unknown
    try {
      document = JSON.parse(await file.text())
    } catch {
      throw new Error(phrase`${file.name} is not a job file: it is not JSON. Nothing was changed.`)
    } finally {
      picker.value!.value = ''
    }
    const stored = await createJob(document, phrase`opened from ${file.name}`)
    await router.push(`/jobs/${stored.id}/measure`)
  })
</script>

<template>
  <div class="shelf">
    <ShopHeader title="Loft Seam">
      <button type="button" class="plain-button main" :disabled="!shop.lists" @click="openNew">New ticket</button>
      <button type="button" class="plain-button" :disabled="!shop.lists" @click="book = true">Allowance book</button>
      <button type="button" class="plain-button" @click="picker?.click()">Open a job file</button>
      <input ref="picker" type="file" accept=".json,application/json" hidden @change="openFile" />
    </ShopHeader>
    <p v-if="failed || unread" class="failed" role="alert">{{ failed || unread }}</p>
    <div class="search fields-in-line no-print">
      <input
        v-model="text"
        type="search"
        class="text"
        aria-label="Search the shelf"
        placeholder="Search: customer, furniture, cloth …"
      />
      <ChoiceButtons v-model="stage" :choices="STAGES" name="Which jobs" />
      <label class="tick"
        >by
        <ElSelect v-model="order" aria-label="Order of the shelf" class="order"
          ><ElOption v-for="o in ORDERS" :key="o.value" :value="o.value" :label="o.label" /></ElSelect
      ></label>
      <span v-if="isRead" class="quiet" role="status">{{ found.length }} of {{ jobs.length }}</span>
    </div>
    <main>
      <div>
        <p v-if="furniture.length > 0" class="again">
          {{ customer }}, once more:
          <button v-for="f in furniture" :key="f.furniture" type="button" class="plain-button" @click="copy(f.newest)">
            {{ f.furniture }}
          </button>
        </p>
        <ul class="nails">
          <li v-for="job in found.slice(0, shown)" :key="job.id">
            <JobTicket :job="job" @copy="copy(job)" @archive="archive(job)" />
          </li>
        </ul>
        <p v-if="isRead && found.length === 0" class="quiet">
          {{
            jobs.length === 0
              ? 'No ticket hangs here yet.'
              : 'No ticket has all of these words. Fewer words, or another kind of job, finds more.'
          }}
          <button v-if="isPerhapsASeat" type="button" class="plain-button" @click="beginFromSearch">
            Type it as a new ticket
          </button>
        </p>
        <div ref="end" />
      </div>
      <aside>
        <RemindersDue :jobs="jobs" />
        <StartPanel
          v-if="isRead"
          :units="units"
          :has-materials="hasMaterials"
          @begin="openNew"
          @put="line?.put($event)"
          @examples="attempt(() => layInExamples(shop, units))"
        />
      </aside>
    </main>
    <TypingLine
      ref="line"
      :job="null"
      :units="units"
      :placeholder="phrase`Start a job: ${typedExamples(units)[0]}`"
      @seat="start"
      @help="help = true"
    />
    <HelpSheet v-if="help" v-model="help" @try="(example) => line?.put(example)" />
    <NewTicketDialog v-if="isBeginning" :begin="begin" @close="isBeginning = false" />
    <AllowanceBookDialog v-if="book" v-model="book" />
  </div>
</template>

<style scoped>
.shelf {
  height: 100%;
  display: flex;
  flex-direction: column;
}

.search {
  padding: 8px 18px;
  border-bottom: 1px solid var(--board-line);
}

.search input {
  width: 260px;
}

.order {
  width: 130px;
}

.again {
  margin: 0 0 18px;
}

.again .plain-button {
  margin-left: 8px;
}

main {
  flex: 1;
  overflow: auto;
  padding: 20px 18px;
  display: grid;
  grid-template-columns: 1fr 330px;
  gap: 24px;
  align-items: start;
}

.nails {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 30px 22px;
}

.failed {
  margin: 0;
  padding: 8px 18px;
  background: var(--rust-wash);
  color: var(--rust);
}

@media (max-width: 860px) {
  .shelf {
    height: auto;
    min-height: 100%;
  }

  .search {
    padding: 8px 10px;
  }

  .search input {
    width: 100%;
    max-width: none;
  }

  main {
    grid-template-columns: minmax(0, 1fr);
    padding: 16px 12px;
  }

  .nails {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
