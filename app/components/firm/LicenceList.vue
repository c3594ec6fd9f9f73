<script setup lang="ts">
import type { Licence } from '#contract/firm'

/** The firm's licences, as they are printed on the job sheet. */
defineProps<{ errors: Record<string, string>; locked: boolean }>()
const licences = defineModel<Licence[]>({ required: true })
</script>

<template>
  <div class="list">
    <h2>Licences <span class="small">printed on the job sheet</span></h2>
    <div v-for="(licence, i) in licences" :key="i" class="licence">
      <UFormField :name="`what${i}`" :error="errors[`licences.${i}.what`]"
        ><UInput
          :id="`field-licence-what${i}`"
          v-model="licence.what"
          placeholder="what for"
          maxlength="60"
          :aria-label="`Licence ${i + 1}, what for`"
      /></UFormField>
      <UFormField :name="`number${i}`" :error="errors[`licences.${i}.number`]"
        ><UInput
          :id="`field-licence-number${i}`"
          v-model="licence.number"
          placeholder="number"
          maxlength="40"
          :aria-label="`Licence ${i + 1}, number`"
      /></UFormField>
      <UButton
        v-if="!locked"
        variant="outline"
        size="xs"
        icon="i-lucide-x"
        :aria-label="`Take licence ${i + 1} off`"
        @click="licences.splice(i, 1)"
      />
    </div>
    <p v-if="!licences.length" class="small">
      None entered. Spraying weed killers for hire wants a licence nearly everywhere; local law says which.
    </p>
    <UButton
      v-if="!locked && licences.length < 12"
      variant="outline"
      size="sm"
      class="justify-self-start"
      @click="licences.push({ what: '', number: '' })"
      >Add a licence</UButton
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
