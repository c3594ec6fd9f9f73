<script setup lang="ts">
import { firmSettingsSchema, type FirmSettings } from '#contract/firm'
import type { Station } from '#contract/station'
import { PRACTICES, type Choice, type Practices } from '#core/job/decision/practices'
import { isDay, type Day } from '#core/measure/calendar'
import { unitItems } from '~/utils/unitWords'

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
  feedRules: JSON.parse(JSON.stringify(props.firm.feedRules)) as FirmSettings['feedRules'],
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
    t('firm.southernNorthernHemisphereBy', { latDegBelow: home.value.latDeg < 0, latDeg: Math.abs(home.value.latDeg) }),
)
function changes(code: keyof Practices): string {
  const chosen = (PRACTICES[code].choices as readonly Choice[]).find((choice) => choice.code === form.practices[code])
  return chosen ? tell(chosen.changes) : ''
}

function toggle(day: number): void {
  const at = form.workingDays.indexOf(day)
  if (at < 0) form.workingDays.push(day)
  else form.workingDays.splice(at, 1)
}

async function save(): Promise<void> {
  if (unread.value) {
    message.value = t('firm.nothingIsSavedYet')
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
      <h2>{{ t('firm.howTheFirmWorks') }}</h2>
      <div class="field-row three">
        <UFormField :label="t('firm.name')" name="name" :error="errors.name"
          ><UInput id="field-firm-name" v-model="form.name" maxlength="80"
        /></UFormField>
        <UFormField :label="t('firm.units')" name="units"
          ><USelect
            id="field-firm-units"
            v-model="form.units"
            :items="unitItems()"
            :disabled="locked"
            :aria-label="t('firm.unitsOfTheFirm')"
        /></UFormField>
        <UFormField :label="t('firm.currency')" name="currency" :error="errors.currency"
          ><UInput id="field-firm-currency" v-model="form.currency" maxlength="3"
        /></UFormField>
        <UFormField :label="t('firm.timeZone')" name="timeZone" :error="errors.timeZone"
          ><UInput id="field-firm-zone" v-model="form.timeZone" maxlength="60"
        /></UFormField>
        <UFormField :label="t('firm.words')" name="language"
          ><USelect
            id="field-firm-language"
            v-model="form.language"
            :items="[
              { label: t('firm.american'), value: 'en-US' },
              { label: t('firm.british'), value: 'en-GB' },
            ]"
            :disabled="locked"
            :aria-label="t('firm.words')"
        /></UFormField>
        <UFormField :label="t('firm.mostlySown')" name="grows"
          ><USelect
            id="field-firm-grows"
            v-model="form.grows"
            :items="[
              { label: t('firm.coolSeasonGrass'), value: 'cool' },
              { label: t('firm.warmSeasonGrass'), value: 'warm' },
              { label: t('firm.both'), value: 'both' },
            ]"
            :disabled="locked"
            :aria-label="t('firm.mostlySown')"
        /></UFormField>
        <UFormField :label="t('firm.homeStation')" name="home" :error="errors.homeStationId" :help="hemisphere"
          ><USelect
            id="field-firm-home"
            v-model="form.homeStationId"
            :items="stationItems"
            :disabled="locked"
            :placeholder="t('firm.noneYet')"
            :aria-label="t('firm.homeStation')"
        /></UFormField>
      </div>
      <div>
        <b>{{ t('firm.workingDays') }}</b>
        <div class="days" role="group" :aria-label="t('firm.workingDays')">
          <button
            v-for="(name, day) in weekdays()"
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
        <p class="small">{{ t('firm.workMovesOffThe') }}</p>
      </div>
      <div class="field-row">
        <UFormField
          :label="t('firm.crewHoursADay')"
          name="hoursADay"
          :error="errors.hoursADay"
          :help="t('firm.peopleTimesHoursA')"
          ><UInput id="field-firm-hours" v-model="form.hoursADay" inputmode="decimal"
        /></UFormField>
        <UFormField
          :label="t('firm.holidays')"
          name="holidays"
          :error="errors.holidays"
          :help="t('firm.workKeepsOffThem')"
        >
          <div class="holidays">
            <span v-for="day in form.holidays" :key="day"
              >{{ shortDayWithWeekday(day as Day, context.today) }}
              <button
                v-if="!locked"
                type="button"
                class="opens"
                :aria-label="t('firm.takeOffTheHolidays', { day })"
                @click="form.holidays = form.holidays.filter((one) => one !== day)"
              >
                {{ t('firm.off') }}
              </button></span
            >
            <UInput
              v-if="!locked"
              id="field-firm-holiday"
              v-model="holiday"
              type="date"
              :aria-label="t('firm.anotherHoliday')"
              @keydown.enter.prevent="addHoliday"
            /><UButton v-if="!locked" variant="outline" size="sm" :disabled="!holiday" @click="addHoliday">{{
              t('firm.addIt')
            }}</UButton>
          </div>
        </UFormField>
      </div>
      <h2>
        {{ t('firm.practices') }} <span class="small">{{ t('firm.whatAPlanBegins') }}</span>
      </h2>
      <div class="practices">
        <template v-for="{ code, asks, choices } in questions" :key="code">
          <label :for="`field-practice-${code}`">{{ tell(asks) }}</label>
          <USelect
            :id="`field-practice-${code}`"
            v-model="form.practices[code]"
            :items="choices.map((choice) => ({ label: tell(choice.name), value: choice.code }))"
            :disabled="locked"
            :aria-label="tell(asks)"
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
      <FeedRules v-model="form.feedRules" :errors="errors" :locked="locked" />
      <LicenceList v-model="form.licences" :errors="errors" :locked="locked" />
    </fieldset>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <div v-if="!locked" class="foot">
      <UButton type="submit" color="primary" :disabled="!changed" :loading="busy">{{
        t('firm.keepTheSettings')
      }}</UButton>
      <span class="small" role="status">{{ changed ? t('firm.notKeptYet') : t('firm.kept') }}</span>
    </div>
    <p v-else class="small">{{ t('firm.anOwnerChangesThese') }}</p>
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
