<script setup lang="ts">
import { addDays, type Day } from '#core/measure/calendar'
import type { Lawn } from '#contract/lawn'
import { hourWords } from '~/utils/hourWords'
import type { WateringProgramme } from '#core/water/programme'

/** One page for who waters: when and how long by tap, boxes to tick, what to do in rain, and what to expect. */
const props = defineProps<{ lawn: Lawn; watering: WateringProgramme; sowOn: Day }>()
const context = useContextStore()
const { dayOf, oftenOf, minutesOf, wet } = useWatering(() => props)
/** Days of boxes, and so many of them side by side. */
const [MOST_DAYS, ABREAST] = [42, 14]
const weeks = computed(() => {
  const days = Array.from({ length: Math.min(MOST_DAYS, wet.value.to!.middle) }, (_, i) => addDays(props.sowOn, i))
  return Array.from({ length: Math.ceil(days.length / ABREAST) }, (_, i) => days.slice(i * ABREAST, (i + 1) * ABREAST))
})
/** Hours at which any zone is watered. */
const hours = computed(() =>
  [...new Set(wet.value.zones.flatMap(({ cycles }) => cycles.map(({ hour }) => hour)))].sort((a, b) => a - b),
)
const taps = computed(() => wet.value.zones.filter(({ run }) => run))
const hoursOfZone = (id: string) =>
  wet.value.zones
    .find((zone) => zone.id === id)!
    .cycles.map(({ hour }) => hourWords(hour))
    .join(', ')
function saveCalendar(): void {
  const { id, job, address, client } = props.lawn
  const text = sheetCalendar(props.watering, { sowOn: props.sowOn, jobId: job.id, place: address || client, minutesOf })
  saveFile(text, `watering-${id.slice(0, 8)}.ics`, 'text/calendar')
}
const later = computed(() => props.watering.phases.slice(1).map(oftenOf))
</script>

<template>
  <section class="paper" :aria-label="t('water.sheet')">
    <header>
      <h2>{{ t('water.sheetTitle') }}</h2>
      <UButton size="sm" variant="outline" icon="i-lucide-calendar-plus" class="screen-only" @click="saveCalendar">{{
        t('water.calendar')
      }}</UButton>
    </header>
    <p class="small">
      {{
        t('water.sheetFor', {
          address: lawn.address ? `${lawn.address},` : '',
          from: dayOf(0),
          to: dayOf(wet.to!.middle),
        })
      }}
    </p>
    <p>{{ t('water.sheetTimes', { times: wet.timesADay }) }}</p>
    <ul class="taps">
      <li v-for="zone in taps" :key="zone.id">
        <b>{{ zone.name }}</b> <span class="num">{{ minutesOf(zone.run) }}</span>
        <span class="small">{{ hoursOfZone(zone.id) }}</span>
      </li>
    </ul>
    <template v-if="hours.length">
      <p class="tick">{{ t('water.sheetTick') }}</p>
      <table v-for="days in weeks" :key="days[0]" class="boxes">
        <thead>
          <tr>
            <th />
            <th v-for="day in days" :key="day" scope="col">{{ Number(day.slice(8)) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="hour in hours" :key="hour">
            <th scope="row">{{ hourWords(hour) }}</th>
            <td v-for="day in days" :key="day"><i /></td>
          </tr>
        </tbody>
      </table>
    </template>
    <p>{{ t('water.sheetRain') }}</p>
    <p v-if="later.length > 1">{{ t('water.sheetThen', { seedling: later[0], rooting: later[1] }) }}</p>
    <p>{{ t('water.sheetExpect', { up: dayOf(watering.up.middle), mow: dayOf(watering.mow.middle) }) }}</p>
    <p>{{ t('water.sheetOff', { day: dayOf(watering.fourthMow.middle) }) }}</p>
    <p v-if="context.firm">{{ t('water.sheetCall', { firm: context.firm.name }) }}</p>
  </section>
</template>

<style scoped>
.paper {
  background: white;
  color: black;
  border: 1.5px solid var(--ink);
  padding: 12px 16px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 7px;
  font-size: 13px;
}
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 6px;
}
.small {
  color: black;
}
.taps {
  border: 1.5px solid black;
}
.taps li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 0 8px;
  padding: 4px 8px;
}
.taps li + li {
  border-top: 1px solid black;
}
.taps .small {
  grid-column: 1 / -1;
}
.tick {
  font-weight: 650;
  border-top: 1px dashed black;
  padding-top: 6px;
}
.boxes {
  justify-self: start;
}
.boxes th {
  font-weight: 600;
  font-size: 11px;
  padding: 0 1px;
  text-align: left;
  white-space: nowrap;
}
.boxes i {
  display: block;
  width: 11px;
  height: 11px;
  border: 1px solid black;
  margin: 1px;
}
@media print {
  .screen-only {
    display: none;
  }
  .paper {
    border: 0;
    font-size: 12pt;
    gap: 9pt;
  }
  .boxes i {
    width: 14pt;
    height: 14pt;
  }
}
</style>
