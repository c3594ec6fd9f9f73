<script setup lang="ts">
import { USUAL_INTERVALS, usualWaitDays } from '#core/job/decision/labelIntervals'
import { addDays, daysBetween, isDay, type Day } from '#core/measure/calendar'
import type { Look } from '#contract/look'

/** What was put down, when, at what rate, and how long its label keeps seed off. */
const { draft, errors } = useSurveyHere()
const context = useContextStore()
const chosen = ref('')
const items = USUAL_INTERVALS.map(({ ingredient, kind }) => ({ label: `${ingredient} (${kind})`, value: ingredient }))
type Row = Look['applications'][number]

function add(): void {
  if (!chosen.value) return
  draft.applications.push({
    ingredient: chosen.value,
    product: '',
    rate: '',
    appliedOn: '' as Day,
    waitDays: usualWaitDays(chosen.value) ?? 0,
  })
  draft.nothingPutOn = false
  chosen.value = ''
}
const wait = (row: Row, typed: string | number) => {
  row.waitDays = /^\d{1,4}$/.test(String(typed).trim()) ? Number(typed) : Number.NaN
}
function until(row: Row): string {
  if (!isDay(row.appliedOn) || !Number.isInteger(row.waitDays)) return ''
  const end = addDays(row.appliedOn, row.waitDays)
  const left = daysBetween(context.today, end)
  return left > 0
    ? t('look.noSeedBeforeDays', { end: shortDay(end, context.today), left })
    : t('look.ended', { end: shortDay(end, context.today) })
}
</script>

<template>
  <div class="history">
    <div v-for="(row, i) in draft.applications" :key="i" class="line">
      <b class="whole">{{ row.ingredient }}</b>
      <UFormField :label="t('look.putOn')" :name="`on${i}`" :error="errors[`applications.${i}.appliedOn`]"
        ><UInput
          v-model="row.appliedOn"
          type="date"
          :max="context.today"
          :aria-label="t('look.wasPutOn', { ingredient: row.ingredient })"
      /></UFormField>
      <UFormField :label="t('look.waitByLabelDays')" :name="`wait${i}`" :error="errors[`applications.${i}.waitDays`]"
        ><UInput
          :model-value="Number.isNaN(row.waitDays) ? '' : String(row.waitDays)"
          inputmode="numeric"
          @update:model-value="(v) => wait(row, v)"
      /></UFormField>
      <UFormField :label="t('look.product')" :name="`product${i}`" :error="errors[`applications.${i}.product`]"
        ><UInput v-model="row.product" maxlength="80"
      /></UFormField>
      <UFormField :label="t('look.rate')" :name="`rate${i}`" :error="errors[`applications.${i}.rate`]"
        ><UInput v-model="row.rate" maxlength="40" :placeholder="t('look.n05Oz1')"
      /></UFormField>
      <span class="until"
        ><GateGlyph v-if="until(row)" :state="until(row).startsWith('No') ? 'hold' : 'met'" /> {{ until(row) }}</span
      >
      <UButton
        variant="outline"
        size="sm"
        :aria-label="t('look.takeOffTheList', { ingredient: row.ingredient })"
        @click="draft.applications.splice(i, 1)"
        >{{ t('look.remove') }}</UButton
      >
    </div>
    <div class="add">
      <USelect
        v-model="chosen"
        :items="items"
        :placeholder="t('look.activeIngredient')"
        :aria-label="t('look.activeIngredientPutOn')"
      />
      <UButton variant="outline" :disabled="!chosen" @click="add">{{ t('look.save') }}</UButton>
    </div>
    <UCheckbox v-if="!draft.applications.length" v-model="draft.nothingPutOn" :label="t('look.askedNothingWasPut')" />
    <p class="caution">
      {{ t('look.theWaitIsFilled') }}
    </p>
  </div>
</template>

<style scoped>
.history {
  display: grid;
  gap: 8px;
}
.line {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 6px 12px;
  align-items: end;
  padding-bottom: 8px;
  border-bottom: 1px solid var(--rule);
}
.whole {
  grid-column: 1 / -1;
}
.until {
  display: flex;
  gap: 7px;
  align-items: center;
}
.line > button {
  justify-self: end;
}
.add {
  display: flex;
  gap: 10px;
}
.add > :first-child {
  flex: 1;
}
</style>
