<script setup lang="ts">
import { ADDABLE, operationByCode } from '#core/job/operations/registry'
import { addDays, isDay, type Day } from '#core/measure/calendar'
import type { Schedule } from '#core/job/schedule/schedule'
import type { Work } from '#contract/work'

/** Work put in beside the programme: of the catalogue, or of one's own; and what was left out, to be put back. */
const props = defineProps<{ schedule: Schedule; work: Work; noSprays: boolean }>()
const emit = defineEmits<{
  add: [code: (typeof ADDABLE)[number]]
  remove: [key: string]
  own: [work: Work['own'][string]]
  back: [key: string]
}>()
const context = useContextStore()
const { parse } = useUnits()
const open = ref(false)
const form = reactive({ name: '', day: addDays(context.today, 7) as string, hours: '1', note: '' })
const problem = ref('')
const missing = computed(() =>
  ADDABLE.filter(
    (code) =>
      !props.schedule.tasks.some(({ key }) => key === code) &&
      props.work.skipped[code] === undefined &&
      !(props.noSprays && operationByCode(code).mark === 'spray'),
  ),
)
const own = computed(() => [
  ...props.work.added.map((code) => ({ key: code as string, name: tell(operationByCode(code).name) })),
  ...Object.entries(props.work.own).map(([key, { name }]) => ({ key, name })),
])

function addListed(code: (typeof missing.value)[number]): void {
  emit('add', code)
  open.value = false
}
function send(): void {
  const hours = parse('hours', form.hours)
  problem.value = !form.name.trim()
    ? t('work.whatItIs')
    : !isDay(form.day)
      ? t('work.aDate')
      : form.day < context.today
        ? t('work.notBeforeToday')
        : hours.ok
          ? ''
          : hours.message
  if (problem.value || !hours.ok) return
  emit('own', { name: form.name.trim().slice(0, 60), day: form.day as Day, hours: hours.value, note: form.note.trim() })
  form.name = form.note = ''
  open.value = false
}
</script>

<template>
  <section class="inline-form add">
    <p v-for="{ key, operation, reason } in schedule.skipped" :key="key" class="small">
      {{ t('work.leftOut') }} <b>{{ tell(operation.name) }}</b>, {{ reason }}.
      <button type="button" class="opens" @click="emit('back', key)">{{ t('work.putItBack') }}</button>
    </p>
    <p v-if="own.length" class="small">
      {{ t('work.putInByHand') }}
      <template v-for="{ key, name } in own" :key="key"
        ><b>{{ name }}</b>
        <button type="button" class="opens" :aria-label="t('work.takeOut', { name })" @click="emit('remove', key)">
          {{ t('work.takeOut2') }}</button>&ensp;</template
      >
    </p>
    <UButton v-if="!open" variant="outline" size="sm" class="justify-self-start" @click="open = true">{{
      t('work.addATask')
    }}</UButton>
    <div v-else class="panel form">
      <div v-if="missing.length" class="chips">
        <b class="small">{{ t('work.ofTheCatalogue') }}</b><UButton
          v-for="code in missing"
          :key="code"
          variant="outline"
          size="xs"
          @click="addListed(code)"
          >{{ tell(operationByCode(code).name) }}</UButton
        >
      </div>
      <form class="line" novalidate @submit.prevent="send">
        <label
          >{{ t('work.ofYourOwn') }} <input v-model="form.name" maxlength="60" :placeholder="t('work.what')"
        /></label>
        <label>{{ t('work.day') }} <input v-model="form.day" type="date" :min="context.today" /></label>
        <label>{{ t('work.crewHours') }} <input v-model="form.hours" class="short" /></label>
        <label class="wide">{{ t('work.note') }} <input v-model="form.note" maxlength="300" /></label>
        <UButton type="submit" variant="outline" size="sm">{{ t('work.seeWhatMoves') }}</UButton><UButton
          variant="ghost"
          size="sm"
          @click="open = false"
          >{{ t('work.leaveIt') }}</UButton
        >
      </form>
      <p v-if="problem" class="bad" role="alert">{{ problem }}</p>
    </div>
  </section>
</template>

<style scoped>
.add {
  display: grid;
  gap: 6px;
  padding-top: 4px;
}
.form {
  padding: 10px 14px;
  display: grid;
  gap: 10px;
}
.chips,
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
.short {
  width: 70px;
}
.wide {
  flex: 1 1 160px;
}
@media print {
  .add {
    display: none;
  }
}
</style>
