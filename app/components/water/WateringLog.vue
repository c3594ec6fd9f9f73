<script setup lang="ts">
import { seenSchema } from '#contract/seen'
import { addDays, type Day } from '#core/measure/calendar'
import { keptMoistShare } from '#core/establishment/losses'
import { logsOf } from '#core/job/watch'
import { figure } from '#core/measure/figure'
import type { WateringProgramme } from '#core/water/programme'
import { hourWords } from '~/utils/hourWords'

/** What was watered or missed since sowing, what the beds have been through by it, and when they fall dry tomorrow. */
const props = defineProps<{ watering: WateringProgramme; sownOn: Day }>()
const open = useLawn()
const { lawn, job, ground, plan, season } = open
const { note, forget, busy, message } = useWatchNotes(open.id)
const context = useContextStore()
const { parse, text } = useUnits()

/** Days that are still told of from memory. */
const BACK_DAYS = 6
const DAYS = computed(() =>
  Array.from({ length: BACK_DAYS + 1 }, (_, i) => addDays(context.today, -i))
    .filter((day) => day >= props.sownOn)
    .map((value) => ({ value, label: shortDay(value, context.today) })),
)
const ALL = 'all'
const ZONES = computed(() => [
  { value: ALL, label: t('water.logAll') },
  ...props.watering.phases[0]!.zones.map(({ id, name }) => ({ value: id, label: name })),
])
const BY = [
  { value: 'client' as const, name: t('water.logClient') },
  { value: 'firm' as const, name: t('water.logFirm') },
]
const told = reactive({ day: context.today as Day, zone: ALL, by: 'client' as 'client' | 'firm' | null })
const chosen = ref<number[]>([])
/** Sent without a watering that was chosen. */
const nothing = ref(false)
const planned = computed(() => {
  const zones = props.watering.phases[0]!.zones.filter(({ id }) => told.zone === ALL || id === told.zone)
  return [...new Set(zones.flatMap(({ cycles }) => cycles.map(({ hour }) => hour)))].sort((a, b) => a - b)
})
/** Besides those planned, hours at which people water. */
const hours = computed(() => [...new Set([...planned.value, 6, 9, 12, 15, 18])].sort((a, b) => a - b))
function toggle(hour: number): void {
  chosen.value = chosen.value.includes(hour) ? chosen.value.filter((one) => one !== hour) : [...chosen.value, hour]
}
/** Sent again after a lost answer, it is the same note. */
let id = crypto.randomUUID()
async function write(given: boolean): Promise<void> {
  const seen = seenSchema.safeParse({
    id,
    kind: 'watering',
    seenOn: told.day,
    zoneId: told.zone === ALL ? null : told.zone,
    given,
    // What was not planned cannot be missed.
    hours: given ? chosen.value : chosen.value.filter((hour) => planned.value.includes(hour)),
    by: told.by ?? 'firm',
  })
  nothing.value = !seen.success
  if (!seen.success) return
  if (!(await note(seen.data))) return
  id = crypto.randomUUID()
  chosen.value = []
}
/** Rain as it is typed, of the day that is told of. */
const rain = ref('')
const rainProblem = ref('')
let rainId = crypto.randomUUID()
async function writeRain(): Promise<void> {
  const mm = parse('waterMm', rain.value)
  const seen = mm.ok
    ? seenSchema.safeParse({ id: rainId, kind: 'rain', seenOn: told.day, rainMm: mm.value, by: told.by ?? 'firm' })
    : undefined
  rainProblem.value = mm.ok ? (seen!.success ? '' : heard(seen!.error.issues[0]!.message)) : mm.message
  if (!seen?.success || !(await note(seen.data))) return
  rainId = crypto.randomUUID()
  rain.value = ''
}
const logs = computed(() =>
  job.value && ground.value && plan.value
    ? logsOf(
        { job: job.value, lawn: ground.value, firm: context.firmRecord, plan: plan.value, season: season.value },
        props.sownOn,
      )
    : [],
)
const of100 = (share: number) => Math.round(share * 100)
const plannedLoss = (hoursDry: number) => 1 - keptMoistShare(hoursDry, (plan.value?.settings.coverMm ?? 0) > 0)
const notes = computed(() => (lawn.value?.seen ?? []).filter(({ kind }) => kind === 'watering' || kind === 'rain'))
const names = computed(() => Object.fromEntries(props.watering.phases[0]!.zones.map(({ id: of, name }) => [of, name])))
</script>

<template>
  <section class="log">
    <div>
      <h2>{{ t('water.logTitle') }}</h2>
      <p class="small">{{ t('water.logHelp') }}</p>
    </div>
    <ul class="beds">
      <li v-for="log in logs" :key="log.id">
        <p>
          {{ t('water.logSoFar', { zone: log.name, hours: log.dryHours, missed: log.missed }) }}
          <template v-if="log.missed">{{
            t('water.logCost', { lost: of100(log.lostShare), planned: of100(plannedLoss(log.asPlannedHours)) })
          }}</template>
        </p>
        <p v-if="log.tomorrow.asPlanned !== null" class="caution">
          {{ t('water.logTomorrowPlanned', { hour: hourWords(log.tomorrow.asPlanned) }) }}
        </p>
        <p v-else-if="log.tomorrow.unwatered !== null" :class="log.missed ? 'caution' : 'small'">
          {{ t('water.logTomorrow', { hour: hourWords(log.tomorrow.unwatered) }) }}
        </p>
        <p v-else class="small">{{ t('water.logHolds') }}</p>
      </li>
    </ul>
    <div class="write">
      <div class="field-row">
        <UFormField :label="t('water.logDay')"
          ><USelect v-model="told.day" :items="DAYS" :aria-label="t('water.logDay')"
        /></UFormField>
        <UFormField v-if="ZONES.length > 2" :label="t('water.logZone')"
          ><USelect v-model="told.zone" :items="ZONES" :aria-label="t('water.logZone')"
        /></UFormField>
        <PickOne v-model="told.by" :label="t('water.logBy')" :choices="BY" needed />
      </div>
      <div class="hours" role="group" :aria-label="t('water.logHours')">
        <button
          v-for="hour in hours"
          :key="hour"
          type="button"
          :aria-pressed="chosen.includes(hour)"
          :class="{ planned: planned.includes(hour) }"
          @click="toggle(hour)"
        >
          {{ hourWords(hour) }}
        </button>
      </div>
      <p v-if="nothing || message" class="problem" role="alert">{{ nothing ? t('water.logNothing') : message }}</p>
      <div class="actions">
        <UButton color="primary" :loading="busy" @click="write(false)">{{ t('water.logMissed') }}</UButton>
        <UButton variant="outline" :loading="busy" @click="write(true)">{{ t('water.logGiven') }}</UButton>
      </div>
    </div>
    <form class="rain" @submit.prevent="writeRain">
      <UFormField :label="t('water.logRain')" :help="t('water.logRainHelp')" :error="rainProblem || undefined">
        <UInput v-model="rain" :placeholder="text(figure('waterMm', 6))" />
      </UFormField>
      <UButton type="submit" variant="outline" :loading="busy" :disabled="!rain.trim()">{{
        t('water.logRainWrite')
      }}</UButton>
    </form>
    <SeenNotes class="notes" :seen="notes" :names="names" :busy="busy" @forget="forget" />
  </section>
</template>

<style scoped>
.log {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 10px 26px;
  align-items: start;
}
.log > :first-child {
  grid-column: 1 / -1;
}
.beds,
.write {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.rain {
  grid-column: 2;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.notes {
  grid-column: 1 / -1;
}
@media (max-width: 1000px) {
  .log {
    grid-template-columns: minmax(0, 1fr);
  }
  .rain {
    grid-column: 1;
  }
}
.hours,
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.hours button {
  border: 1.5px dashed var(--ink-3);
  background: var(--lime);
  padding: 5px 10px;
  min-height: 40px;
  cursor: pointer;
}
.hours .planned {
  border: 1.5px solid var(--ink);
  font-weight: 600;
}
.hours button[aria-pressed='true'] {
  background: var(--frost);
  color: var(--lime);
}
@media (max-width: 700px) {
  .hours button {
    min-height: 48px;
  }
}
</style>
