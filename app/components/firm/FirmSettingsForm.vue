<script setup lang="ts">
import { firmSettingsSchema, type FirmSettings } from '#contract/firm'
import type { Station } from '#contract/station'
import { PRACTICES, type Choice, type Practices } from '#core/job/decision/practices'
import { isDay, shortDayWithWeekday, WEEKDAYS, type Day } from '#core/measure/calendar'
import { UNIT_ITEMS } from '~/utils/unitWords'

/** How the firm works: units, days, practices, licences, home. Locked for who is no owner. */
const props = defineProps<{ firm: FirmSettings; stations: Station[]; locked: boolean }>()
const context = useContextStore()
const sill = useSillStore()
const form = reactive({
  name: props.firm.name,
  units: props.firm.units,
  currency: props.firm.currency,
  timeZone: props.firm.timeZone,
  language: props.firm.language,
  grows: props.firm.grows,
  practices: { ...props.firm.practices },
  planning: { ...props.firm.planning },
  workingDays: [...props.firm.workingDays],
  holidays: [...props.firm.holidays] as string[],
  hoursADay: String(props.firm.hoursADay),
  licences: props.firm.licences.map((licence) => ({ ...licence })),
  homeStationId: props.firm.homeStationId ?? undefined,
})
const { busy, message, errors, judged, send } = useSend()
const { parse } = useUnits()
/** A holiday that is typed, before it joins the others. */
const holiday = ref('')
function addHoliday(): void {
  if (isDay(holiday.value) && !form.holidays.includes(holiday.value))
    form.holidays = [...form.holidays, holiday.value].sort()
  holiday.value = ''
}
const unread = ref(0)
const opened = JSON.stringify(form)
const changed = computed(() => JSON.stringify(form) !== opened)

const questions = (Object.keys(PRACTICES) as (keyof Practices)[]).map((code) => ({
  code,
  asks: PRACTICES[code].asks,
  choices: PRACTICES[code].choices as readonly Choice[],
}))
const stationItems = computed(() => props.stations.map(({ id, name }) => ({ label: name, value: id })))
const home = computed(() => props.stations.find(({ id }) => id === form.homeStationId))
const hemisphere = computed(
  () =>
    home.value &&
    `${home.value.latDeg < 0 ? 'Southern' : 'Northern'} hemisphere, by its latitude of ${Math.abs(home.value.latDeg)}°${home.value.latDeg < 0 ? ' S' : ' N'}.`,
)
const changes = (code: keyof Practices) =>
  (PRACTICES[code].choices as readonly Choice[]).find((choice) => choice.code === form.practices[code])?.changes

function toggle(day: number): void {
  const at = form.workingDays.indexOf(day)
  if (at < 0) form.workingDays.push(day)
  else form.workingDays.splice(at, 1)
}

async function save(): Promise<void> {
  if (unread.value) {
    message.value = 'Nothing is saved yet: a planning figure marked below could not be read.'
    return
  }
  const hours = parse('hours', form.hoursADay)
  const settings = judged(
    firmSettingsSchema,
    { ...form, hoursADay: orZero(hours), version: props.firm.version, homeStationId: form.homeStationId ?? null },
    { hoursADay: hours },
  )
  if (settings && (await send(() => $fetch('/api/firm', { method: 'PUT', body: settings }))))
    await Promise.all([context.load(), sill.show(null)])
}
</script>

<template>
  <form class="settings" novalidate @submit.prevent="save">
    <fieldset :disabled="locked">
      <h2>How the firm works</h2>
      <div class="field-row three">
        <UFormField label="Name" name="name" :error="errors.name"
          ><UInput id="field-firm-name" v-model="form.name" maxlength="80"
        /></UFormField>
        <UFormField label="Units" name="units"
          ><USelect
            id="field-firm-units"
            v-model="form.units"
            :items="UNIT_ITEMS"
            :disabled="locked"
            aria-label="Units of the firm"
        /></UFormField>
        <UFormField label="Currency" name="currency" :error="errors.currency"
          ><UInput id="field-firm-currency" v-model="form.currency" maxlength="3"
        /></UFormField>
        <UFormField label="Time zone" name="timeZone" :error="errors.timeZone"
          ><UInput id="field-firm-zone" v-model="form.timeZone" maxlength="60"
        /></UFormField>
        <UFormField label="Words" name="language"
          ><USelect
            id="field-firm-language"
            v-model="form.language"
            :items="[
              { label: 'American', value: 'en-US' },
              { label: 'British', value: 'en-GB' },
            ]"
            :disabled="locked"
            aria-label="Words"
        /></UFormField>
        <UFormField label="Mostly sown" name="grows"
          ><USelect
            id="field-firm-grows"
            v-model="form.grows"
            :items="[
              { label: 'cool-season grass', value: 'cool' },
              { label: 'warm-season grass', value: 'warm' },
              { label: 'both', value: 'both' },
            ]"
            :disabled="locked"
            aria-label="Mostly sown"
        /></UFormField>
        <UFormField label="Home station" name="home" :error="errors.homeStationId" :help="hemisphere"
          ><USelect
            id="field-firm-home"
            v-model="form.homeStationId"
            :items="stationItems"
            :disabled="locked"
            placeholder="none yet"
            aria-label="Home station"
        /></UFormField>
      </div>
      <div>
        <b>Working days</b>
        <div class="days" role="group" aria-label="Working days">
          <button
            v-for="(name, day) in WEEKDAYS"
            :key="name"
            type="button"
            :aria-pressed="form.workingDays.includes(day)"
            :aria-label="name"
            @click="toggle(day)"
          >
            {{ name.slice(0, 3) }}
          </button>
        </div>
        <p v-if="errors.workingDays" class="wrong">{{ errors.workingDays }}</p>
        <p class="small">Work moves off the other days where the schedule lets it; where not, the task says so.</p>
      </div>
      <div class="field-row">
        <UFormField
          label="Crew hours a day"
          name="hoursADay"
          :error="errors.hoursADay"
          help="People times hours; a day that asks for more says so."
          ><UInput id="field-firm-hours" v-model="form.hoursADay" inputmode="decimal"
        /></UFormField>
        <UFormField
          label="Holidays"
          name="holidays"
          :error="errors.holidays"
          help="Work keeps off them like other days off."
        >
          <div class="holidays">
            <span v-for="day in form.holidays" :key="day"
              >{{ shortDayWithWeekday(day as Day, context.today) }}
              <button
                v-if="!locked"
                type="button"
                class="opens"
                :aria-label="`Take ${day} off the holidays`"
                @click="form.holidays = form.holidays.filter((one) => one !== day)"
              >
                off
              </button></span
            >
            <UInput
              v-if="!locked"
              id="field-firm-holiday"
              v-model="holiday"
              type="date"
              aria-label="Another holiday"
              @keydown.enter.prevent="addHoliday"
            /><UButton v-if="!locked" variant="outline" size="sm" :disabled="!holiday" @click="addHoliday"
              >Add it</UButton
            >
          </div>
        </UFormField>
      </div>
      <h2>Practices <span class="small">what a plan begins with; Decide changes it for one lawn</span></h2>
      <div class="practices">
        <template v-for="{ code, asks, choices } in questions" :key="code">
          <label :for="`field-practice-${code}`">{{ asks }}</label>
          <USelect
            :id="`field-practice-${code}`"
            v-model="form.practices[code]"
            :items="choices.map((choice) => ({ label: choice.name, value: choice.code }))"
            :disabled="locked"
            :aria-label="asks"
          />
          <span class="small">{{ changes(code) }}</span>
        </template>
      </div>
      <PlanningFigures
        v-model="form.planning"
        v-model:unread="unread"
        :errors="errors"
        :locked="locked"
        :currency="form.currency"
      />
      <LicenceList v-model="form.licences" :errors="errors" :locked="locked" />
    </fieldset>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <div v-if="!locked" class="foot">
      <UButton type="submit" color="primary" :disabled="!changed" :loading="busy">Keep the settings</UButton>
      <span class="small" role="status">{{ changed ? 'Not kept yet.' : 'Kept.' }}</span>
    </div>
    <p v-else class="small">An owner changes these.</p>
  </form>
</template>

<style scoped>
.settings,
fieldset {
  display: grid;
  gap: 12px;
  min-width: 0;
}
.three {
  grid-template-columns: repeat(3, minmax(0, 1fr));
}
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
.days {
  display: flex;
  border: 1px solid var(--ink);
  border-radius: 2px;
  width: fit-content;
  margin: 4px 0;
  flex-wrap: wrap;
}
.days button {
  padding: 6px 12px;
  min-height: 36px;
  font-weight: 600;
  border-right: 1px solid var(--ink);
  cursor: pointer;
}
.days button:last-child {
  border: 0;
}
.days button[aria-pressed='true'] {
  background: var(--ink);
  color: #fbfbf5;
}
fieldset:disabled button {
  cursor: not-allowed;
}
.practices {
  display: grid;
  grid-template-columns: 150px 190px minmax(0, 1fr);
  gap: 8px 14px;
  align-items: center;
}
.practices label {
  font-weight: 600;
}
.holidays {
  display: flex;
  gap: 6px 12px;
  flex-wrap: wrap;
  align-items: center;
}
.foot {
  display: flex;
  gap: 14px;
  align-items: center;
}
.wrong {
  color: var(--clay);
  font-weight: 600;
}
@media (max-width: 700px) {
  .three {
    grid-template-columns: 1fr;
  }
  .practices {
    grid-template-columns: 1fr;
    gap: 4px;
  }
  .practices .small {
    margin-bottom: 10px;
  }
  .days button {
    min-height: 48px;
  }
}
</style>
