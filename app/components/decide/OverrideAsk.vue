<script setup lang="ts">
import type { Candidate } from '#core/job/decision/candidates'

/** Asks for the reason of a choice that the rules do not recommend, or that is held. */
defineProps<{ against: Candidate; error: string; busy: boolean }>()
const note = defineModel<string>('note', { required: true })
const emit = defineEmits<{ override: []; leave: [] }>()
</script>

<template>
  <section class="panel-open ask" :aria-label="t('decide.override')">
    <p>
      <b>{{ tell(against.programme.name) }}.</b>
      {{ against.waiting.holds.length ? t('decide.itIsHeld') : t('decide.itIsNotWhat') }}
      <PhraseText v-if="against.waiting.holds[0]" :phrase="against.waiting.holds[0].text" />
    </p>
    <div class="actions">
      <UFormField :label="t('decide.planItAnywayBecause')" name="note" :error="error" class="note">
        <UInput
          id="field-note"
          v-model="note"
          maxlength="400"
          :placeholder="t('decide.theAshGetsLifted')"
          @keydown.enter.prevent="emit('override')"
        />
      </UFormField>
      <UButton color="primary" :loading="busy" @click="emit('override')">{{
        t('decide.overrideWithThisNote')
      }}</UButton>
      <UButton variant="outline" @click="emit('leave')">{{ t('decide.cancel') }}</UButton>
    </div>
  </section>
</template>

<style scoped>
.ask {
  padding: 12px 16px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
.actions {
  display: flex;
  gap: 10px;
  align-items: flex-end;
  flex-wrap: wrap;
  width: 100%;
}
.note {
  flex: 1 1 320px;
  max-width: 560px;
}
</style>
