<script setup lang="ts">
import { lowered } from '#core/explain/message'
import { markSchema, type NewMark } from '#contract/work'
import type { Task } from '#core/job/schedule/schedule'
import { isDay } from '#core/measure/calendar'
import type { Gate } from '#core/explain/judgement'
import { figure, type Quantity } from '#core/measure/figure'
import { kindOf, STOCK_QUANTITY } from '#core/materials/stock'

/** What was really done: only the day has to be told, the rest teaches work rates and the book. */
const props = defineProps<{ task: Task; busy: boolean }>()
const emit = defineEmits<{ mark: [told: NewMark]; back: [] }>()
/** Sent again after a lost answer, it is the same mark. */
const id = crypto.randomUUID()
const context = useContextStore()
const { parse, text } = useUnits()
const { errors, judged } = useSend()
const left = computed(() => 1 - (props.task.begun?.share ?? 0))
const form = reactive({
  doneOn: (props.task.to <= context.today ? props.task.to : context.today) as string,
  part: false,
  share: '',
  passed: true,
  hours: '',
  height: '',
  passes: '',
  mass: '',
  volume: '',
  weather: '',
  note: '',
  from: '',
})
const stock = useStockStore()
/** Lines of the stock book it can come from: what the plan asks for first. */
const sources = computed(() => {
  const kind = props.task.operation.uses
  const wanted = new Set(props.task.wanted.map(({ matter }) => matter))
  return (stock.items ?? [])
    .filter((item) => kind && !item.putAway && kindOf(item.matter) === kind)
    .sort((a, b) => Number(wanted.has(b.matter)) - Number(wanted.has(a.matter)))
})
onMounted(async () => {
  if (!props.task.operation.uses) return
  await stock.load()
  const fits = sources.value.filter(({ matter }) => props.task.wanted.some((one) => one.matter === matter))
  if (fits.length === 1 && !form.from) form.from = fits[0]!.id
})
const heading = useTemplateRef<HTMLInputElement>('first')
onMounted(() => heading.value?.focus())

/** What can be told of each operation besides its day. */
const asks = computed(() => {
  const { records = [], uses: kind } = props.task.operation
  return {
    height: records.includes('heightMm'),
    passes: records.includes('passes'),
    mass: kind !== undefined && STOCK_QUANTITY[kind] === 'massKg',
    volume: kind !== undefined && STOCK_QUANTITY[kind] === 'volumeM3',
  }
})
const dayProblem = computed(() =>
  !isDay(form.doneOn)
    ? t('work.aDate')
    : form.doneOn > context.today
      ? t('work.notAfterToday', { today: shortDay(context.today) })
      : '',
)
/** What holds it and nobody has overridden; done all the same, it is recorded as done against it. */
const holds = computed(() =>
  props.task.gates.filter(({ state, overruled }) => state === 'hold' && overruled === undefined),
)
const inWords = ({ text: said }: Gate) => tell(said)
/** Work that should have come first is asked about once. */
const asked = ref(false)
const amountProblem = ref('')
const noteProblem = ref('')
const empty = (typed: string) => typed.trim() === ''
function send(): void {
  const read = (quantity: Quantity, typed: string) => (empty(typed) ? undefined : parse(quantity, typed))
  const fields = {
    share: form.part
      ? (read('share', form.share) ?? { ok: false as const, message: t('work.howMuchOfIt') })
      : undefined,
    hours: read('hours', form.hours),
    heightMm: read('depthMm', form.height),
    passes: read('count', form.passes),
    massKg: read('massKg', form.mass),
    volumeM3: read('volumeM3', form.volume),
  }
  const value = (key: keyof typeof fields) => {
    const one = fields[key]
    return one?.ok ? one.value : null
  }
  const amount = value('massKg') ?? value('volumeM3')
  amountProblem.value = form.from && amount === null ? t('work.howMuchCameOut') : ''
  noteProblem.value = holds.value.length && empty(form.note) ? t('work.itIsHeldSay') : ''
  if (amountProblem.value || noteProblem.value) return
  if (props.task.openBefore.length && !asked.value) {
    asked.value = true
    return
  }
  const typed = Object.fromEntries(Object.entries(fields).flatMap(([key, one]) => (one ? [[key, one] as const] : [])))
  const told = judged(
    markSchema,
    {
      id,
      task: props.task.key,
      doneOn: form.doneOn,
      share: form.part ? (value('share') ?? 1) : left.value,
      passed: form.passed,
      hours: value('hours'),
      heightMm: value('heightMm'),
      passes: value('passes'),
      massKg: value('massKg'),
      volumeM3: value('volumeM3'),
      areaM2: props.task.groundM2,
      against: holds.value.map(inWords).join('; ').slice(0, 400),
      used: form.from && amount ? { [form.from]: amount } : {},
      weather: form.weather,
      note: form.note,
    },
    typed,
  )
  if (!told) return
  if (told.share > left.value + 0.005)
    errors.value = { share: t('work.noMoreThanIs', { left: text(figure('share', left.value, 2)) }) }
  else emit('mark', told)
}
</script>

<template>
  <form
    class="inline-form done"
    :aria-label="t('work.whatWasDone', { name: task.name })"
    novalidate
    @submit.prevent="send"
  >
    <div class="line">
      <label
        >{{ t('work.day') }}
        <input
          ref="first"
          v-model="form.doneOn"
          type="date"
          :max="context.today"
          :aria-label="t('work.dayOnWhichIt', { done: task.operation.done })"
      /></label>
      <UCheckbox v-model="form.part" class="check" :label="t('work.onlyAPartOf')" />
      <label v-if="form.part"
        >{{ t('work.howMuch') }}
        <input
          v-model="form.share"
          placeholder="40%"
          inputmode="decimal"
          class="short"
          :aria-label="t('work.howMuchOfItWas')"
      /></label>
      <span v-else-if="task.begun" class="small">{{
        t('work.theLast', { left: text(figure('share', left, 2)) })
      }}</span>
    </div>
    <fieldset v-if="task.operation.check && !form.part" class="line">
      <legend class="small">
        {{ t('work.seen') }} <b>{{ tell(task.operation.check) }}</b>
      </legend>
      <label class="check"><input v-model="form.passed" type="radio" :value="true" /> {{ t('work.yesGoOn') }}</label>
      <label class="check"
        ><input v-model="form.passed" type="radio" :value="false" /> {{ t('work.notYetWhatFollows') }}</label
      >
    </fieldset>
    <div class="line">
      <label>{{ t('work.crewHours') }} <input v-model="form.hours" class="short" inputmode="decimal" /></label>
      <label v-if="asks.height">{{ t('work.cutTo') }} <input v-model="form.height" class="short" /></label>
      <label v-if="asks.passes"
        >{{ t('work.passes') }} <input v-model="form.passes" class="short" inputmode="numeric"
      /></label>
      <label v-if="asks.mass"
        >{{ t('work.putDown') }} <input v-model="form.mass" class="short" :placeholder="t('work.weight')"
      /></label>
      <label v-if="asks.volume"
        >{{ t('work.putDown') }} <input v-model="form.volume" class="short" :placeholder="t('work.volume')"
      /></label>
      <label v-if="sources.length"
        >{{ t('work.outOf') }}
        <select v-model="form.from" :aria-label="t('work.outOfWhichLine')">
          <option value="">{{ t('work.notFromTheShed') }}</option>
          <option v-for="item in sources" :key="item.id" :value="item.id">
            {{ item.name }}, {{ text(figure(STOCK_QUANTITY[kindOf(item.matter)], item.onHand)) }}
          </option>
        </select></label
      >
      <label
        >{{ t('work.weather') }} <input v-model="form.weather" maxlength="120" :placeholder="t('work.dryLightWind')"
      /></label>
      <label class="wide">{{ t('work.note') }} <input v-model="form.note" maxlength="400" /></label>
    </div>
    <p v-if="dayProblem" class="bad" role="alert">{{ dayProblem }}</p>
    <p v-if="holds.length" class="caution">
      {{ t('work.heldItIsRecorded', { holds: holds.map(inWords).join('; ') }) }}
    </p>
    <p v-if="amountProblem" class="bad" role="alert">{{ amountProblem }}</p>
    <p v-if="noteProblem" class="bad" role="alert">{{ noteProblem }}</p>
    <p v-if="asked" class="caution" role="alert">
      {{ t('work.stillOpenMarkThat', { openBefore: task.openBefore.map(lowered), done: task.operation.done }) }}
    </p>
    <p v-for="(words, field) in errors" :key="field" class="bad" role="alert">{{ words }}</p>
    <div class="line">
      <UButton type="submit" color="primary" size="sm" :loading="busy" :disabled="dayProblem !== ''">{{
        asked ? t('work.markAllTheSame', { done: task.operation.done }) : t('work.done2')
      }}</UButton><UButton variant="outline" size="sm" :aria-label="t('work.leaveItOpen')" @click="emit('back')">{{
        t('work.back')
      }}</UButton>
    </div>
  </form>
</template>

<style scoped>
.done {
  grid-column: 1 / -1;
  display: grid;
  gap: 8px;
  border-top: 1px solid var(--rule);
  padding-top: 8px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
}
.check {
  font-weight: 400;
}
input[type='radio'] {
  width: 18px;
  height: 18px;
  accent-color: var(--ink);
}
.short {
  width: 86px;
}
.wide {
  flex: 1 1 200px;
}
legend {
  float: left;
  margin-right: 14px;
}
@media (max-width: 900px) {
  .check {
    min-height: 48px;
  }
}
@media print {
  .done {
    display: none;
  }
}
</style>
