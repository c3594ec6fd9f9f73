<script setup lang="ts">
import { USUAL_INTERVALS } from '#core/programme/intervals'
import { addDays, daysBetween, isDay, shortDay } from '#core/quantity/calendar'
import type { LookForm } from '~/composables/useLookForm'

/** What was put down, when, and how long its label keeps seed off. */
const rows = defineModel<LookForm['applications']>({ required: true })
defineProps<{ errors: Record<string, string> }>()
const emit = defineEmits<{ add: [ingredient: string] }>()
const context = useContextStore()
const chosen = ref('')
const items = USUAL_INTERVALS.map(({ ingredient, kind }) => ({ label: `${ingredient} (${kind})`, value: ingredient }))

function add(): void {
  if (!chosen.value) return
  emit('add', chosen.value)
  chosen.value = ''
}
function until(row: LookForm['applications'][number]): string {
  if (!isDay(row.appliedOn) || !/^\d{1,3}$/.test(row.waitDays.trim())) return ''
  const end = addDays(row.appliedOn, Number(row.waitDays))
  const left = daysBetween(context.today, end)
  return left > 0 ? `No seed before ${shortDay(end, context.today)}, ${left} days` : `ended ${shortDay(end, context.today)}`
}
</script>

<template>
  <section>
    <h2>Put on before <span class="small">pre-emergents and weed killers of the last year; the wait is read off the label</span></h2>
    <div v-for="(row, i) in rows" :key="i" class="line">
      <b>{{ row.ingredient }}</b>
      <UFormField label="put on" :name="`on${i}`" :error="errors[`applications.${i}.appliedOn`]"><UInput :id="`field-on${i}`" v-model="row.appliedOn" type="date" :max="context.today" /></UFormField>
      <UFormField label="wait by label, days" :name="`wait${i}`" :error="errors[`applications.${i}.waitDays`]"><UInput :id="`field-wait${i}`" v-model="row.waitDays" inputmode="numeric" /></UFormField>
      <span class="until"><GateGlyph v-if="until(row)" :state="until(row).startsWith('No') ? 'hold' : 'met'" /> {{ until(row) }}</span>
      <UButton variant="outline" :aria-label="`Take ${row.ingredient} off the list`" @click="rows.splice(i, 1)">Remove</UButton>
    </div>
    <div class="line">
      <USelect v-model="chosen" :items="items" placeholder="active ingredient" aria-label="Active ingredient put on before" class="pick" />
      <UButton variant="outline" :disabled="!chosen" @click="add">Write it down</UButton>
    </div>
    <p class="caution">The wait is filled in at the long end of what is usual, from memory: check the label in hand, it is the law.</p>
  </section>
</template>

<style scoped>
h2 { padding-bottom: 3px; border-bottom: 1.5px solid var(--ink); margin-bottom: 4px; }
.line { display: grid; grid-template-columns: minmax(180px, 1.3fr) 170px 150px minmax(180px, 1fr) auto; gap: 14px; align-items: center; padding: 6px 0; border-bottom: 1px solid var(--rule); }
.until { display: flex; gap: 7px; }
.caution { margin-top: 8px; }
@media (max-width: 900px) { .line { grid-template-columns: 1fr 1fr; } .line b, .until, .pick { grid-column: 1 / -1; } }
</style>
