<script setup lang="ts">
import { GROWS, LANGUAGES } from '#contract/firm'
import { UNIT_ITEMS } from '~/utils/unitWords'

/** How the firm counts, when it works, and what it mostly sows. */
const props = defineProps<{ basics: ReturnType<typeof useFirmBasics>; part: 'counts' | 'does' }>()
const { form, errors } = props.basics
const GROWS_WORDS: Record<(typeof GROWS)[number], string> = { cool: 'Cool-season', warm: 'Warm-season', both: 'Both' }
const LANGUAGE_ITEMS = LANGUAGES.map((value) => ({ value, label: value === 'en-US' ? 'American' : 'British' }))
</script>

<template>
  <template v-if="part === 'counts'">
    <div class="counts">
      <UFormField label="Units" name="units"
        ><USelect id="field-units" v-model="form.units" :items="UNIT_ITEMS" aria-label="Units"
      /></UFormField>
      <UFormField label="Time zone" name="timeZone" :error="errors.timeZone" help="from this browser"
        ><UInput id="field-timeZone" v-model="form.timeZone" maxlength="60"
      /></UFormField>
      <UFormField label="Currency" name="currency" :error="errors.currency"
        ><UInput id="field-currency" v-model="form.currency" maxlength="3" class="w-20"
      /></UFormField>
      <UFormField label="Words" name="language"
        ><USelect id="field-language" v-model="form.language" :items="LANGUAGE_ITEMS" aria-label="Words"
      /></UFormField>
    </div>
    <WeekdayPick v-model="form.workingDays" label="Working days" />
    <p v-if="errors.workingDays" class="problem" role="alert">{{ errors.workingDays }}</p>
  </template>
  <div v-else class="choice" role="group" aria-label="What you mostly do">
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
