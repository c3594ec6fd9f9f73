<script setup lang="ts">
import { readingSchema } from '#contract/station'
import { PROBE_DEPTH_M } from '#core/soil/soil'
import { figure } from '#core/measure/figure'

/** A soil temperature read by hand, noted for the station that the ledge shows. */
const open = defineModel<boolean>({ required: true })
const sill = useSillStore()
const context = useContextStore()
const { parse, text, unit } = useUnits()
const form = reactive({ temp: '', depth: '', at: '' })
const { busy, message, errors, judged, send } = useSend()
/** Why a reading that was kept does not count. */
const doubt = ref('')
watch(
  open,
  (now) => {
    if (!now) return
    Object.assign(form, {
      temp: '',
      depth: text(figure('depthMm', PROBE_DEPTH_M * 1000)),
      at: `${context.today}T12:00`,
    })
    errors.value = {}
    message.value = ''
    doubt.value = ''
  },
  // It is mounted by being opened.
  { immediate: true },
)

async function note(): Promise<void> {
  const [tempC, depthMm] = [parse('tempC', form.temp), parse('depthMm', form.depth)]
  const reading = judged(
    readingSchema,
    { at: form.at, tempC: orZero(tempC), depthMm: orZero(depthMm) },
    { tempC, depthMm },
  )
  const station = sill.data?.stationId
  if (
    !reading ||
    !station ||
    !(await send(() => $fetch(`/api/stations/${station}/readings`, { method: 'POST', body: reading })))
  )
    return
  await sill.show(sill.lawnId ?? null)
  const shownAs = sill.data?.outlook.readings.find(
    ({ at, depthMm: deep }) => at === reading.at && Math.abs(deep - reading.depthMm) < 1,
  )
  if (!shownAs || shownAs.used) {
    open.value = false
    return
  }
  doubt.value = t('shell.keptAndLeftOut', {
    surpriseK: text(figure('tempStepK', Math.abs(shownAs.surpriseK), 2)),
    surpriseKOver: shownAs.surpriseK > 0,
  })
}
</script>

<template>
  <UModal
    v-model:open="open"
    :title="t('shell.noteASoilReading2')"
    :description="t('shell.forPushTheProbe', { stationName: sill.data?.stationName ?? t('shell.theStation') })"
  >
    <template #body>
      <form class="note" novalidate @submit.prevent="note">
        <UFormField :label="t('shell.soilTemperature', { tempC: unit('tempC') })" name="temp" :error="errors.tempC"
          ><UInput id="field-reading-temp" v-model="form.temp" inputmode="decimal" autofocus
        /></UFormField>
        <UFormField :label="t('shell.depth')" name="depth" :error="errors.depthMm"
          ><UInput id="field-reading-depth" v-model="form.depth"
        /></UFormField>
        <UFormField :label="t('shell.when')" name="at" :error="errors.at"
          ><UInput id="field-reading-at" v-model="form.at" type="datetime-local" :max="`${context.today}T23:59`"
        /></UFormField>
        <p v-if="message" class="problem" role="alert">{{ message }}</p>
        <p v-if="doubt" class="problem" role="status">{{ doubt }}</p>
        <UButton type="submit" color="primary" :loading="busy">{{ t('shell.noteTheReading') }}</UButton>
      </form>
    </template>
  </UModal>
</template>

<style scoped>
.note {
  display: grid;
  gap: 14px;
}
.note > button {
  justify-self: start;
}
</style>
