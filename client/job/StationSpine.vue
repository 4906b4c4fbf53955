<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { Station } from '../../core/warning/index.ts'
import { useJob } from '../stores/job.ts'
import { useLay } from '../stores/lay/index.ts'
import { STATION_PAGES, stationsFor } from '../stations/index.ts'
import { keyFigure } from './key-figures.ts'

const jobs = useJob()
const lays = useLay()
const route = useRoute()
const strip = ref<HTMLElement>()
/** Where the strip scrolls, the station in hand stands in its middle. */
function centre(): void {
  const here = strip.value?.querySelector<HTMLElement>('.here')
  if (here) strip.value!.scrollLeft = here.offsetLeft - (strip.value!.clientWidth - here.offsetWidth) / 2
}
onMounted(centre)
watch(() => route.path, centre, { flush: 'post' })
const rows = computed(() =>
  stationsFor(jobs.plan).map(({ station, title }) => {
    const mine = jobs.warningsAt(station as Station)
    const doubts =
      mine.filter((w) => w.level === 'stop' || w.level === 'warning').length +
      (station === 'lay' && lays.failure ? 1 : 0)
    return {
      station,
      title,
      /** As Alt and a digit reach it, whatever is left out. */
      place: STATION_PAGES.findIndex((p) => p.station === station) + 1,
      doubts,
      figure:
        jobs.whole && jobs.plan && jobs.part
          ? keyFigure(station as Station, jobs.whole, jobs.plan, jobs.part, lays.all)
          : '',
    }
  }),
)
</script>

<template>
  <nav ref="strip" class="spine no-print" aria-label="Stations of the job" :style="{ '--stations': rows.length }">
    <RouterLink
      v-for="row in rows"
      :key="row.station"
      :to="`/jobs/${jobs.id}/${row.station}`"
      class="stop"
      active-class="here"
    >
      <span class="place">{{ row.place }}</span>
      <span class="title">{{ row.title }}</span>
      <span
        v-if="row.doubts > 0"
        class="doubts"
        :title="`${row.doubts} to look at`"
        :aria-label="`${row.doubts} open warnings`"
        >{{ row.doubts }} !</span
      >
      <span class="figure">{{ row.figure }}</span>
    </RouterLink>
  </nav>
</template>

<style scoped>
.spine {
  display: grid;
  grid-template-columns: repeat(var(--stations), minmax(0, 1fr));
  background: var(--spine);
  border-top: 1px solid var(--bar-edge);
  border-bottom: 3px solid var(--ink);
  /* The long rule let into the floor: a tick every 10 px, a longer one every 50. */
  background-image:
    repeating-linear-gradient(90deg, var(--rule-long) 0 1px, transparent 1px 50px),
    repeating-linear-gradient(90deg, var(--rule-short) 0 1px, transparent 1px 10px);
  background-size:
    100% 9px,
    100% 5px;
  background-repeat: no-repeat;
  background-position: bottom;
}

.stop {
  display: grid;
  grid-template-columns: auto 1fr auto;
  column-gap: 6px;
  align-items: baseline;
  padding: 7px 9px 14px;
  color: var(--ink);
  text-decoration: none;
  border-right: 1px solid var(--bar-edge);
  min-height: 66px;
}

.stop:hover {
  background-color: var(--spine-over);
}

.stop.here {
  background-color: var(--paper);
  box-shadow: inset 0 3px 0 var(--chalk);
}

.place {
  font-family: var(--slab);
  color: var(--spine-ink);
}

.title {
  font-family: var(--slab);
  font-weight: 600;
  font-size: 17px;
}

.doubts {
  color: var(--rust);
  font-size: 13px;
  font-weight: 600;
}

.figure {
  grid-column: 1 / -1;
  font-size: 13.5px;
  line-height: 1.2;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
}

/* On a phone a strip that scrolls, the station in hand in its middle. */
@media (max-width: 860px) {
  .spine {
    display: flex;
    overflow-x: auto;
    scroll-snap-type: x proximity;
  }

  .stop {
    flex: 0 0 124px;
    scroll-snap-align: center;
    min-height: 60px;
    padding-bottom: 12px;
  }
}
</style>
