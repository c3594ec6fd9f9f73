<script setup lang="ts">
import type { Licence } from '#contract/firm'

/** The firm's licences, as they are printed on the job sheet. */
defineProps<{ errors: Record<string, string>; locked: boolean }>()
const licences = defineModel<Licence[]>({ required: true })
</script>

<template>
  <div class="list">
    <h2>
      {{ t('firm.licences') }} <span class="small">{{ t('firm.printedOnTheJob') }}</span>
    </h2>
    <div v-for="(licence, i) in licences" :key="i" class="licence">
      <UFormField :name="`what${i}`" :error="errors[`licences.${i}.what`]"
        ><UInput
          :id="`field-licence-what${i}`"
          v-model="licence.what"
          :placeholder="t('firm.whatFor')"
          maxlength="60"
          :aria-label="t('firm.licenceWhatFor', { i: i + 1 })"
      /></UFormField>
      <UFormField :name="`number${i}`" :error="errors[`licences.${i}.number`]"
        ><UInput
          :id="`field-licence-number${i}`"
          v-model="licence.number"
          :placeholder="t('firm.number')"
          maxlength="40"
          :aria-label="t('firm.licenceNumber', { i: i + 1 })"
      /></UFormField>
      <UButton
        v-if="!locked"
        variant="outline"
        size="xs"
        icon="i-lucide-x"
        :aria-label="t('firm.takeLicenceOff', { i: i + 1 })"
        @click="licences.splice(i, 1)"
      />
    </div>
    <p v-if="!licences.length" class="small">
      {{ t('firm.noneEnteredSprayingWeed') }}
    </p>
    <UButton
      v-if="!locked && licences.length < 12"
      variant="outline"
      size="sm"
      class="justify-self-start"
      @click="licences.push({ what: '', number: '' })"
      >{{ t('firm.addALicence') }}</UButton
    >
  </div>
</template>

<style scoped>
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
.list {
  display: grid;
  gap: 12px;
}
.licence {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 8px;
  align-items: start;
}
</style>
