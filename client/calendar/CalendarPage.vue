<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { listed, phrase } from '../../core/language/index.ts'
import { Calendar, limits, type JobSummary, type Resource } from '../../contract/index.ts'
import {
  dayName,
  dayNumber,
  planCalendar,
  RESOURCES,
  startedOn,
  weekFrom,
  type PlannedJob,
} from '../../core/calendar/index.ts'
import { isOpen, jobToPlan } from '../../core/card/index.ts'
import { ratesOf } from '../../core/making/index.ts'
import { amendJob, listJobs } from '../api/jobs.ts'
import { useLiveReading } from '../stores/use-live-reading.ts'
import { useShop } from '../stores/shop.ts'
import DayField from '../ui/DayField.vue'
import ShopPage from '../ui/ShopPage.vue'
import { wholeDay } from '../ui/manner.ts'
import { dayOf } from '../ui/today.ts'
import { useAttempt } from '../ui/use-attempt.ts'
import { download } from '../ui/download.ts'
import { calendarFile } from './calendar-file.ts'
import WeeksDrawing from './WeeksDrawing.vue'
import { vTyped } from '../ui/v-typed.ts'

/** The shop's days: what is made when, what is late and why, what is ordered and begun today. */
const DAYS_SHOWN = 35
const shop = useShop()
const router = useRouter()
const { failed, attempt } = useAttempt()
const jobs = shallowRef<readonly JobSummary[]>([])
const today = ref(dayOf(new Date()))
const holiday = ref<string | null>(null)
const calendar = computed(() => shop.workshop.calendar)
const planned = computed(() =>
  planCalendar(
    jobs.value.filter((j) => isOpen(j.card)).map((j) => jobToPlan(j, ratesOf(shop.workshop))),
    calendar.value,
    today.value,
  ),
)
const late = computed(() => planned.value.filter((p) => p.lateDays > 0 || p.finishesOn === null))
const ordered = computed(() => planned.value.filter((p) => p.orderToday.length > 0))
const begun = computed(() => startedOn(planned.value, today.value))
const nameOf = (id: string) => jobs.value.find((j) => j.id === id)!.title
const WHY: Record<NonNullable<PlannedJob['why']>, string> = {
  foam: 'the foam comes late',
  cloth: 'the cloth comes late',
  glue: 'glue must cure',
  busy: 'its place is taken by other jobs, or is never open',
  work: 'the work itself takes that long',
}
/** Weekdays as this shop's weeks run. */
const week = computed(() => weekFrom(shop.lists?.settings.firstWeekday ?? 'monday'))
const WEEKDAYS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'] as const
const PLACES: Record<Resource, string> = { table: 'cutting table', machine: 'machine', bench: 'bench' }

const read = async () => {
  jobs.value = await listJobs()
}
const unread = useLiveReading(read)

const move = (id: string, day: string) =>
  attempt(async () => {
    const notBefore = day <= today.value ? null : day
    await amendJob(id, (job) => ({ ...job, terms: { ...job.terms, notBefore } }), phrase`not begun before ${day}`)
    await read()
  })
const setOrdered = (id: string) =>
  attempt(async () => {
    const orderedOn = today.value
    await amendJob(id, (job) => ({ ...job, terms: { ...job.terms, orderedOn } }), 'material ordered')
    await read()
  })
const change = (patch: Partial<Calendar>) =>
  attempt(async () => {
    const { settings } = shop.lists!
    await shop.changeSettings({
      ...settings,
      workshop: { ...settings.workshop, calendar: { ...settings.workshop.calendar, ...patch } },
    })
  })
function setHours(resource: Resource, day: number, event: Event): void {
  const n = Number((event.target as HTMLInputElement).value.replace(',', '.'))
  if (Number.isNaN(n) || n < 0 || n > 24)
    return void (failed.value = phrase`Hours of the ${PLACES[resource]} on ${WEEKDAYS[day]}: a number from 0 to 24 is wanted.`)
  void change({
    hours: { ...calendar.value.hours, [resource]: calendar.value.hours[resource].map((h, i) => (i === day ? n : h)) },
  })
}
function setNumber(key: 'foam' | 'cloth' | 'cureHours', event: Event): void {
  const n = Number((event.target as HTMLInputElement).value)
  const { max } = limits(key === 'cureHours' ? Calendar.shape.cureHours : Calendar.shape.leadDays.shape[key])
  if (!Number.isInteger(n) || n < 0 || n > max)
    return void (failed.value = phrase`A whole number from 0 to ${max} is wanted.`)
  void change(key === 'cureHours' ? { cureHours: n } : { leadDays: { ...calendar.value.leadDays, [key]: n } })
}
const addHoliday = () => {
  if (holiday.value && !calendar.value.holidays.includes(holiday.value))
    void change({ holidays: [...calendar.value.holidays, holiday.value].toSorted() })
  holiday.value = null
}
const NUMBERS = [
  ['foam', 'Foam comes in, days'],
  ['cloth', 'Cloth comes in, days'],
  ['cureHours', 'Glue cures, hours'],
] as const
const numberOf = (key: 'foam' | 'cloth' | 'cureHours') =>
  key === 'cureHours' ? calendar.value.cureHours : calendar.value.leadDays[key]
/** For the calendar of a phone or a desk. */
const save = () =>
  attempt(async () => download('loft-seam-days.ics', await calendarFile(planned.value, jobs.value), 'text/calendar'))
const shift = (by: number) => (today.value = dayName(dayNumber(today.value) + by))
</script>

<template>
  <ShopPage title="Days" :failed="failed || unread">
    <template #tools>
      <button type="button" class="plain-button" aria-label="A week back" @click="shift(-7)">‹</button>
      <DayField
        :model-value="today"
        name="Planned from"
        @update:model-value="(d) => (today = d ?? dayOf(new Date()))"
      />
      <button type="button" class="plain-button" aria-label="A week on" @click="shift(7)">›</button>
      <button type="button" class="plain-button" @click="save">Calendar file</button>
    </template>
    <section class="sheet weeks" tabindex="0" role="region" aria-label="Weeks">
      <WeeksDrawing
        v-if="planned.length > 0"
        :planned="planned"
        :calendar="calendar"
        :week-begins="week[0]!"
        :today="today"
        :days="DAYS_SHOWN"
        @move="move"
        @open="(id) => router.push(`/jobs/${id}/make`)"
      />
      <p v-else class="quiet empty">
        No job is ordered or being made. On a job's bill, under "Days", say where it stands.
      </p>
    </section>
    <div class="below">
      <section class="sheet" aria-label="Late">
        <h2>Late</h2>
        <ul>
          <li v-for="p in late" :key="p.id">
            <RouterLink :to="`/jobs/${p.id}/bill`">{{ p.ticket }}</RouterLink>
            {{
              p.finishesOn === null
                ? 'has no place in the years ahead'
                : `${p.lateDays} ${p.lateDays === 1 ? 'day' : 'days'}: ready ${wholeDay(p.finishesOn)}, due ${wholeDay(p.dueOn!)}`
            }}. <span class="quiet">{{ p.why ? WHY[p.why] : '' }}</span>
          </li>
        </ul>
        <p v-if="late.length === 0" class="quiet">Nothing: every due day is kept.</p>
      </section>
      <section class="sheet" aria-label="Today">
        <h2>Today</h2>
        <p v-for="p in ordered" :key="p.id" class="fields-in-line">
          <span>Order {{ listed(p.orderToday, ' and ') }} for {{ p.ticket }}</span
          ><button type="button" class="plain-button" @click="setOrdered(p.id)">Ordered</button>
        </p>
        <p v-for="p in begun" :key="p.id">
          Work on <RouterLink :to="`/jobs/${p.id}/make`">{{ p.ticket }} {{ nameOf(p.id) }}</RouterLink>
        </p>
        <p v-if="ordered.length + begun.length === 0" class="quiet">Nothing to order, nothing to begin.</p>
      </section>
      <section class="sheet" aria-label="Hours of the shop">
        <h2>Hours of the shop</h2>
        <table class="ruled-table close-table hours">
          <thead>
            <tr>
              <th />
              <th v-for="d in week" :key="d">{{ WEEKDAYS[d] }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in RESOURCES" :key="r">
              <th scope="row">{{ PLACES[r] }}</th>
              <td v-for="d in week" :key="d">
                <input
                  class="text"
                  v-typed="calendar.hours[r][d]!"
                  inputmode="decimal"
                  :aria-label="`${PLACES[r]}, ${WEEKDAYS[d]}`"
                  @change="setHours(r, d, $event)"
                />
              </td>
            </tr>
          </tbody>
        </table>
        <div class="fields-in-line">
          <label v-for="[key, label] in NUMBERS" :key="key" class="tick"
            >{{ label }}
            <input class="text small" v-typed="numberOf(key)" inputmode="numeric" @change="setNumber(key, $event)"
          /></label>
        </div>
        <div class="fields-in-line">
          <span>Shut on</span
          ><button
            v-for="h in calendar.holidays"
            :key="h"
            type="button"
            class="plain-button"
            :title="`Open on ${h} after all`"
            @click="change({ holidays: calendar.holidays.filter((x) => x !== h) })"
          >
            {{ h }} ×</button
          ><DayField v-model="holiday" name="Holiday" /><button
            type="button"
            class="plain-button"
            :disabled="!holiday"
            @click="addHoliday"
          >
            Add
          </button>
        </div>
      </section>
    </div>
  </ShopPage>
</template>

<style scoped>
.weeks {
  overflow: auto;
  max-height: 56vh;
  min-height: 240px;
}

.empty {
  padding: 30px;
}

.below {
  display: grid;
  grid-template-columns: 1fr 1fr 1.4fr;
  gap: 12px;
}

ul {
  margin: 4px 0;
  padding-left: 18px;
}

p {
  margin: 4px 0;
}

a {
  color: var(--chalk);
}

.hours input {
  width: 44px;
  min-height: var(--small-target);
  padding: 0 4px;
  text-align: center;
}

.small {
  width: 60px;
  text-align: center;
}
</style>
