<script setup lang="ts">
import { addDays, type Day } from '#core/measure/calendar'
import { ROUNDS_A_DAY } from '#core/job/decision/practiceFigures'
import type { Lawn } from '#contract/lawn'
import type { Paper, PaperBlock } from '~/utils/paper'
import { capital } from '~/utils/capital'
import { hourIn } from '~/utils/hourWords'
import type { WateringProgramme } from '#core/water/programme'

/** One page for who waters: when and how long by tap, boxes to tick, what to do in rain, and what to expect. */
const props = defineProps<{ lawn: Lawn; watering: WateringProgramme; sowOn: Day }>()
const context = useContextStore()
const { shown } = useLawn()
/** Waterings a day that are the firm's own. */
const ours = computed(() => (shown.value ? ROUNDS_A_DAY[shown.value.practices.wateringRounds] : 0))
const reader = useClientReader(() => props.lawn)
const { dayOf, oftenOf, minutesOf, phaseOn } = useWatering(
  () => props,
  () => reader.value,
)
const hourWords = (hour: number) => hourIn(reader.value, hour)
/** Days of boxes, and so many of them side by side. */
const [MOST_DAYS, ABREAST] = [42, 14]
/** The phase that the client is in: what is over is told no more. */
const now = computed(() => phaseOn(context.today))
const from = computed(() => Math.round(now.value.from.middle))
const weeks = computed(() => {
  if (!now.value.to || now.value.everyDays > 1) return []
  const count = Math.min(MOST_DAYS, Math.round(now.value.to.middle) - from.value)
  const days = Array.from({ length: count }, (_, i) => addDays(props.sowOn, from.value + i))
  return Array.from({ length: Math.ceil(days.length / ABREAST) }, (_, i) => days.slice(i * ABREAST, (i + 1) * ABREAST))
})
/** Hours at which any zone is watered. */
const hours = computed(() =>
  [...new Set(now.value.zones.flatMap(({ cycles }) => cycles.map(({ hour }) => hour)))].sort((a, b) => a - b),
)
const taps = computed(() => now.value.zones.filter(({ run }) => run))
const hoursOfZone = (id: string) =>
  now.value.zones
    .find((zone) => zone.id === id)!
    .cycles.map(({ hour }) => hourWords(hour))
    .join(', ')
function saveCalendar(): void {
  const { id, job, address, client } = props.lawn
  const text = sheetCalendar(props.watering, {
    sowOn: props.sowOn,
    jobId: job.id,
    place: address || client,
    minutesOf,
    reader: reader.value,
  })
  saveFile(text, `watering-${id.slice(0, 8)}.ics`, 'text/calendar')
}
const later = computed(() => props.watering.phases.slice(props.watering.phases.indexOf(now.value) + 1).map(oftenOf))
const paper = computed((): Paper => {
  const { lawn, watering } = props
  const { t } = reader.value
  const text = (words: string, as?: 'small' | 'strong'): PaperBlock => ({
    kind: 'text',
    text: words,
    ...(as ? { as } : {}),
  })
  const isWet = now.value.code === 'wet'
  const boxes =
    hours.value.length && weeks.value.length
      ? [
          text(t('water.sheetTick'), 'strong'),
          ...weeks.value.map((days): PaperBlock => ({
            kind: 'boxes',
            columns: days.map((day) => String(Number(day.slice(8)))),
            rows: hours.value.map(hourWords),
          })),
        ]
      : []
  const address = lawn.address ? `${lawn.address},` : ''
  return {
    title: t('water.sheetTitle'),
    blocks: [
      ...(now.value.to
        ? [text(t('water.sheetFor', { address, from: dayOf(from.value), to: dayOf(now.value.to.middle) }), 'small')]
        : []),
      text(isWet ? t('water.sheetTimes', { times: now.value.timesADay }) : `${capital(oftenOf(now.value))}.`),
      ...(isWet && ours.value ? [text(t('water.sheetOurs', { times: ours.value }), 'strong')] : []),
      {
        kind: 'table',
        name: t('water.sheet'),
        head: [t('water.sheetTap'), t('water.sheetHours'), t('water.sheetLong')],
        rows: taps.value.map(({ id, name, run }) => [name, hoursOfZone(id), minutesOf(run)]),
      },
      ...boxes,
      text(boxes.length ? t('water.sheetRain') : t('water.sheetRainLater')),
      ...(later.value.length > 1
        ? [text(t('water.sheetThen', { seedling: later.value[0], rooting: later.value[1] }))]
        : []),
      ...(isWet
        ? [text(t('water.sheetExpect', { up: dayOf(watering.up.middle), mow: dayOf(watering.mow.middle) }))]
        : []),
      ...(now.value.to ? [text(t('water.sheetOff', { day: dayOf(watering.fourthMow.middle) }))] : []),
      ...(context.firm ? [text(t('water.sheetCall', { firm: context.firm.name }))] : []),
    ],
  }
})
</script>

<template>
  <div class="client">
    <ClientReads :lawn />
    <PaperPage
      :paper="paper"
      :lang="reader.language"
      :name="`watering-${lawn.id.slice(0, 8)}`"
      :label="t('water.sheet')"
      prints-elsewhere
    >
      <UButton size="sm" variant="outline" icon="i-lucide-calendar-plus" @click="saveCalendar">{{
        t('water.calendar')
      }}</UButton>
    </PaperPage>
  </div>
</template>

<style scoped>
.client {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  align-content: start;
}
</style>
