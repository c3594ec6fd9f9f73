<script setup lang="ts">
import type { FirmSettings } from '#contract/firm'
import { PHOSPHORUS_RULES } from '#core/materials/feedRules'

/** What the law of the firm's place says to fertilizer: phosphorus, and days on which none may go down. */
defineProps<{ errors: Record<string, string>; locked: boolean }>()
const rules = defineModel<FirmSettings['feedRules']>({ required: true })
const WORDS = {
  free: t('firm.phosphorusFree'),
  'with a test': t('firm.phosphorusWithATest'),
  exemption: t('firm.phosphorusExemption'),
  banned: t('firm.phosphorusBanned'),
}
const added = reactive({ from: '', to: '' })
function add(): void {
  if (added.from && added.to) rules.value.blackouts.push({ ...added })
  Object.assign(added, { from: '', to: '' })
}
</script>

<template>
  <div class="list">
    <h2>{{ t('firm.fertilizerLaw') }}</h2>
    <UFormField :label="t('firm.phosphorusRule')" name="phosphorus"
      ><USelect
        id="field-firm-phosphorus"
        v-model="rules.phosphorus"
        :items="PHOSPHORUS_RULES.map((value) => ({ label: WORDS[value], value }))"
        :disabled="locked"
        :aria-label="t('firm.phosphorusRule')"
    /></UFormField>
    <UFormField
      :label="t('firm.blackouts')"
      name="blackouts"
      :help="t('firm.blackoutsHelp')"
      :error="Object.entries(errors).find(([field]) => field.startsWith('feedRules.blackouts'))?.[1]"
    >
      <div class="days">
        <span v-for="({ from, to }, i) in rules.blackouts" :key="i"
          >{{ t('firm.blackoutTold', { from, to }) }}
          <button
            v-if="!locked"
            type="button"
            class="opens"
            :aria-label="t('firm.takeOffBlackout', { from, to })"
            @click="rules.blackouts.splice(i, 1)"
          >
            {{ t('firm.off') }}
          </button></span
        >
        <template v-if="!locked && rules.blackouts.length < 6">
          <UInput
            id="field-firm-blackout-from"
            v-model="added.from"
            maxlength="5"
            class="w-24"
            placeholder="11-15"
            :aria-label="t('firm.blackoutFrom')"
          />
          <UInput
            id="field-firm-blackout-to"
            v-model="added.to"
            maxlength="5"
            class="w-24"
            placeholder="03-01"
            :aria-label="t('firm.blackoutTo')"
            @keydown.enter.prevent="add"
          />
          <UButton variant="outline" size="sm" :disabled="!added.from || !added.to" @click="add">{{
            t('firm.addIt')
          }}</UButton>
        </template>
      </div>
    </UFormField>
  </div>
</template>

<style scoped>
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
.list {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
.days {
  display: flex;
  gap: 6px 12px;
  flex-wrap: wrap;
  align-items: center;
}
</style>
