<script setup lang="ts">
/** The dashed row over the list: enough to begin a survey. */
const { id, form, busy, message, errors, add } = useNewLawn()
async function begin(): Promise<void> {
  if (await add()) await navigateTo(`/lawns/${id}/look`)
}
</script>

<template>
  <form class="add" novalidate @submit.prevent="begin">
    <h3><UIcon name="i-lucide-plus" class="size-5" aria-hidden="true" /> {{ t('lawns.addALawn') }}</h3>
    <UFormField name="client" :error="errors.client" class="grow"
      ><UInput
        id="field-client"
        v-model="form.client"
        :aria-label="t('lawns.clientOrLawn')"
        :placeholder="t('lawns.clientOrLawn2')"
        maxlength="80"
        autocomplete="off"
    /></UFormField>
    <UFormField name="address" :error="errors.address" class="grow"
      ><UInput
        id="field-address"
        v-model="form.address"
        :aria-label="t('lawns.streetOrPlace')"
        :placeholder="t('lawns.streetOrPlace2')"
        maxlength="160"
        autocomplete="off"
    /></UFormField>
    <UFormField name="area" :error="errors.areaM2" class="grow"
      ><UInput
        id="field-area"
        v-model="form.area"
        :aria-label="t('lawns.area')"
        :placeholder="t('lawns.area6590Sq')"
        maxlength="80"
        autocomplete="off"
    /></UFormField>
    <UFormField name="growsNow" :error="errors.growsNow" class="grow"
      ><UInput
        id="field-growsNow"
        v-model="form.growsNow"
        :aria-label="t('lawns.whatGrowsThereNow')"
        :placeholder="t('lawns.whatGrowsThereNow2')"
        maxlength="120"
        autocomplete="off"
    /></UFormField>
    <UButton type="submit" color="primary" :loading="busy" loading-icon="i-lucide-loader-circle">{{
      t('lawns.addThenSurvey')
    }}</UButton>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
  </form>
</template>

<style scoped>
.add {
  border: 1.5px dashed var(--rule-2);
  margin: 10px 0;
  padding: 6px 10px;
  display: flex;
  gap: 8px;
  align-items: flex-start;
  flex-wrap: wrap;
}
h3 {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 7px 10px 0 0;
  font:
    650 13px 'Archivo Variable',
    sans-serif;
  letter-spacing: 0;
}
.grow {
  flex: 1 1 170px;
}
@media (max-width: 700px) {
  .add {
    flex-direction: column;
    align-items: stretch;
  }
  .grow {
    flex: none;
  }
}
</style>
