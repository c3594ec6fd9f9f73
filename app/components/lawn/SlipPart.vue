<script setup lang="ts">
import { isDay, shortDay, type Day } from '#core/quantity/calendar'
import type { Slip } from '#core/programme/sequence'

/** One operation on a slip: settings, gates, hours, and marking it done. */
const props = defineProps<{ slip: Slip; busy: boolean }>()
const emit = defineEmits<{ mark: [doneOn: Day]; undo: [] }>()
const context = useContextStore()
const marking = ref(false)
const doneOn = ref('')
const help = ref(false)

function begin(): void {
  doneOn.value = props.slip.to <= context.today ? props.slip.to : context.today
  marking.value = true
}
function mark(): void {
  if (!isDay(doneOn.value)) return
  marking.value = false
  emit('mark', doneOn.value)
}
const problem = computed(() => (!isDay(doneOn.value) ? 'A date.' : doneOn.value > context.today ? `Not after today, ${shortDay(context.today)}.` : ''))
</script>

<template>
  <article class="part">
    <div class="work">
      <h3><span class="n">{{ slip.number }}</span> {{ slip.operation.name }} <button type="button" class="why" :aria-expanded="help" @click="help = !help">why</button></h3>
      <PhraseText :phrase="slip.settings" class="settings" />
      <div v-if="help" class="help small">{{ slip.operation.why }}<template v-if="slip.operation.alsoCalled"> Also called: {{ slip.operation.alsoCalled }}.</template></div>
      <p v-if="slip.operation.caution && !slip.done" class="hurt small"><UIcon name="i-lucide-triangle-alert" class="sign" aria-label="Caution" />{{ slip.operation.caution }}</p>
    </div>
    <div class="gates">
      <template v-if="slip.done"><GateLine :gate="{ state: 'met', text: [`${slip.operation.done} ${shortDay(slip.done)}`] }" /></template>
      <template v-else><GateLine v-for="(gate, i) in slip.gates" :key="i" :gate="gate" /><GateLine v-if="slip.overdue" :gate="{ state: 'risk', text: [`was due ${shortDay(slip.to)}`] }" /></template>
    </div>
    <div class="act">
      <span class="crew"><WorkedNumber :worked="slip.hours" bare /> <i class="unit">crew h</i></span>
      <UButton v-if="slip.done" variant="outline" size="sm" :loading="busy" :aria-label="`Undo ${slip.operation.done}`" @click="emit('undo')">Undo</UButton>
      <template v-else-if="marking">
        <UInput v-model="doneOn" type="date" :max="context.today" :aria-label="`Day on which it was ${slip.operation.done}`" />
        <span v-if="problem" class="bad" role="alert">{{ problem }}</span>
        <span class="pair"><UButton color="primary" size="sm" :disabled="problem !== ''" @click="mark">Done</UButton><UButton variant="outline" size="sm" aria-label="Leave it open" @click="marking = false">Back</UButton></span>
      </template>
      <UButton v-else variant="outline" size="sm" :loading="busy" @click="begin">Mark {{ slip.operation.done }}</UButton>
    </div>
  </article>
</template>

<style scoped>
.part { display: grid; grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr) 164px; gap: 4px 14px; padding: 8px 12px 8px 16px; }
.part + .part { border-top: 1.5px dotted var(--rule-2); }
h3 { display: flex; gap: 8px; align-items: baseline; }
.n { color: var(--ink-3); font-weight: 400; }
.why { font: 400 12px "Archivo Variable", sans-serif; letter-spacing: 0; color: var(--ink-2); text-decoration: underline dotted; text-underline-offset: 3px; cursor: pointer; min-height: 24px; min-width: 30px; }
.settings { font-size: 12.5px; line-height: 1.5; }
.help { padding-top: 3px; }
.hurt { margin-top: 3px; font-size: 12px; display: flex; gap: 5px; }
.sign { color: var(--clay); width: 14px; height: 14px; flex: none; margin-top: 2px; }
.act { display: flex; flex-direction: column; align-items: flex-end; gap: 5px; text-align: right; }
.crew { font: 650 15px "Besley Variable", serif; }
.pair { display: flex; gap: 6px; }
.bad { color: var(--clay); font-weight: 600; font-size: 12.5px; }
@media (max-width: 900px) {
  .part { grid-template-columns: 1fr; }
  .act { flex-direction: row; flex-wrap: wrap; align-items: center; justify-content: space-between; text-align: left; }
  .settings { font-size: 15px; }
  .hurt, .help { font-size: 13.5px; }
  .why { min-height: 48px; min-width: 48px; }
}
/* On paper: a box to tick and a line for the day, instead of buttons. */
@media print {
  .part { grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) 62pt; padding: 1.5pt 0; gap: 0 10pt; }
  .part + .part { border-top: 0.5pt dotted black; }
  .why, .act > :not(.crew) { display: none; }
  .act { flex-direction: column; align-items: flex-end; }
  .act::after { content: '☐ done ______'; font-size: 8pt; white-space: nowrap; }
  h3 { font-size: 10pt; line-height: 1.1; }
  .settings, .hurt, .help { font-size: 8pt; line-height: 1.2; margin-block: 0; }
}
</style>
