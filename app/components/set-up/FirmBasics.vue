<script setup lang="ts">
import { GROWS } from '#contract/firm'
import { LANGUAGES } from '#words/message'
import { unitItems } from '~/utils/unitWords'

/** How the firm counts, when it works, and what it mostly sows. */
const props = defineProps<{ basics: ReturnType<typeof useFirmBasics>; part: 'counts' | 'does' }>()
const { form, errors } = props.basics
const GROWS_WORDS: Record<(typeof GROWS)[number], string> = {
  cool: t('setUp.coolSeason'),
  warm: t('setUp.warmSeason'),
  both: t('setUp.both'),
}
const LANGUAGE_ITEMS = LANGUAGES.map((value) => ({
  value,
  label: value === 'en-US' ? t('setUp.american') : t('setUp.british'),
}))
</script>

<template>
  <template v-if="part === 'counts'">
    <div class="counts">
      <UFormField :label="t('setUp.units')" name="units"
        ><USelect id="field-units" v-model="form.units" :items="unitItems()" :aria-label="t('setUp.units')"
      /></UFormField>
      <UFormField
        :label="t('setUp.timeZone')"
        name="timeZone"
        :error="errors.timeZone"
        :help="t('setUp.fromThisBrowser')"
        ><UInput id="field-timeZone" v-model="form.timeZone" maxlength="60"
      /></UFormField>
      <UFormField :label="t('setUp.currency')" name="currency" :error="errors.currency"
        ><UInput id="field-currency" v-model="form.currency" maxlength="3" class="w-20"
      /></UFormField>
      <UFormField :label="t('setUp.words')" name="language"
        ><USelect id="field-language" v-model="form.language" :items="LANGUAGE_ITEMS" :aria-label="t('setUp.words')"
      /></UFormField>
    </div>
    <WeekdayPick v-model="form.workingDays" :label="t('setUp.workingDays')" />
    <p v-if="errors.workingDays" class="problem" role="alert">{{ errors.workingDays }}</p>
  </template>
  <div v-else class="choice" role="group" :aria-label="t('setUp.whatYouMostlyDo')">
    <UButton
      v-for="one in GROWS"
      :key="one"
      :variant="form.grows === one ? 'solid' : 'outline'"
      :aria-pressed="form.grows === one"
      @click="form.grows = one"
      >{{ GROWS_WORDS[one] }}</UButton
    >
  </div>
</template>

<style scoped>
.counts {
  display: grid;
  grid-template-columns: 1.2fr 1.4fr auto 1fr;
  gap: 10px 14px;
}
.choice {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
@media (max-width: 900px) {
  .counts {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
