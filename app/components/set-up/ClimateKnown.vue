<script setup lang="ts">
import { toDay } from '#core/measure/calendar'

/** The climate as somebody who lives there knows it: two months, rain, frosts. */
type Form = Record<'hotHigh' | 'hotLow' | 'coldHigh' | 'coldLow' | 'rain' | 'lastFrost' | 'firstFrost', string>
const form = defineModel<Form>({ required: true })
const props = defineProps<{ errors: Record<string, string>; south: boolean }>()
const { unit } = useUnits()
const month = (hot: boolean) => monthName(toDay(hot === props.south ? '2026-01-01' : '2026-07-01'))
const MONTHS = [
  { label: t('setUp.hottestMonth'), hot: true, path: 'hottest', high: 'hotHigh', low: 'hotLow' },
  { label: t('setUp.coldestMonth'), hot: false, path: 'coldest', high: 'coldHigh', low: 'coldLow' },
] as const
const faults = computed(() =>
  Object.entries(props.errors).flatMap(([path, words]) => (path.startsWith('fewFigures') ? [words] : [])),
)
</script>

<template>
  <table class="ledger">
    <thead>
      <tr>
        <td />
        <th scope="col">{{ t('setUp.meanHigh', { tempC: unit('tempC') }) }}</th>
        <th scope="col">{{ t('setUp.meanLow', { tempC: unit('tempC') }) }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="of in MONTHS" :key="of.path">
        <th scope="row">{{ of.label }}, {{ month(of.hot) }}</th>
        <td>
          <UInput
            :id="`field-${of.high}`"
            v-model="form[of.high]"
            inputmode="decimal"
            maxlength="12"
            :aria-label="t('setUp.meanHighOf', { hot: month(of.hot) })"
            :aria-invalid="Boolean(errors[`fewFigures.${of.path}.tmaxC`])"
          />
        </td>
        <td>
          <UInput
            :id="`field-${of.low}`"
            v-model="form[of.low]"
            inputmode="decimal"
            maxlength="12"
            :aria-label="t('setUp.meanLowOf', { hot: month(of.hot) })"
            :aria-invalid="Boolean(errors[`fewFigures.${of.path}.tminC`])"
          />
        </td>
      </tr>
      <tr>
        <th scope="row">{{ t('setUp.rainOfAYear', { waterMm: unit('waterMm') }) }}</th>
        <td>
          <UInput
            id="field-rain"
            v-model="form.rain"
            inputmode="decimal"
            maxlength="12"
            :aria-label="t('setUp.rainOfAYear2')"
          />
        </td>
        <td />
      </tr>
    </tbody>
  </table>
  <div class="frosts">
    <UFormField :label="t('setUp.lastFrostUsually')" name="lastFrost" :help="t('setUp.ifYouKnowIt')">
      <UInput id="field-lastFrost" v-model="form.lastFrost" type="date" />
    </UFormField>
    <UFormField :label="t('setUp.firstFrostUsually')" name="firstFrost">
      <UInput id="field-firstFrost" v-model="form.firstFrost" type="date" />
    </UFormField>
  </div>
  <p v-if="faults.length" class="problem" role="alert">{{ [...new Set(faults)].join(' ') }}</p>
</template>

<style scoped>
th[scope='row'] {
  font-weight: 400;
  color: var(--ink);
  border-bottom: 1px solid var(--rule);
}
td {
  padding: 4px;
}
.frosts {
  display: flex;
  gap: 14px;
  flex-wrap: wrap;
}
</style>
