<script setup lang="ts">
import { seenSchema, type NewSeen } from '#contract/seen'
import type { Asked, VisitAnswer } from '#core/job/operations/asked'
import type { Task } from '#core/job/schedule/schedule'
import { capital } from '~/utils/capital'

/** A visit on the spot: one question after the other with what is reckoned with beside it, then what the answers mean. */
const props = defineProps<{ task: Task; busy: boolean }>()
const emit = defineEmits<{ save: [seen: NewSeen, marks: boolean]; cancel: [] }>()
const context = useContextStore()
const { parse, unit } = useUnits()
const { judged, errors } = useSend()
/** Sent again after a lost answer, it is the same visit. */
const id = crypto.randomUUID()
const answers = reactive<Record<string, VisitAnswer>>({})
const at = ref(0)
const typed = ref('')
const misread = ref('')
const question = computed<Asked | undefined>(() => props.task.asks[at.value])
const gates = computed(() =>
  props.task.asks.flatMap((asked) => {
    const answer = answers[asked.code]
    return answer === undefined ? [] : [asked.judged(answer)]
  }),
)
const holds = computed(() => gates.value.some(({ state }) => state === 'hold'))
/** What is used up is told where it is done; all else is done by having been there. */
const marks = computed(() => !holds.value && !props.task.operation.uses)
const heading = useTemplateRef<HTMLElement>('heading')
async function go(to: number): Promise<void> {
  at.value = to
  typed.value = misread.value = ''
  await nextTick()
  heading.value?.focus()
}
function say(answer: VisitAnswer): void {
  answers[question.value!.code] = answer
  void go(at.value + 1)
}
function sayFigure(): void {
  const { quantity, least, most } = question.value!.figure!
  const read = parse(quantity, typed.value)
  misread.value = read.ok ? (read.value >= least && read.value <= most ? '' : t('watch.visitFigure')) : read.message
  if (read.ok && !misread.value) say(read.value)
}
function save(): void {
  const told = { id, kind: 'visit', seenOn: context.today, zoneId: null, task: props.task.key, answers }
  const seen = judged(seenSchema, told)
  if (seen) emit('save', seen, marks.value)
}
onMounted(() => heading.value?.focus())
</script>

<template>
  <form
    class="panel-open visit"
    :aria-label="tell(task.name)"
    novalidate
    @submit.prevent="question ? sayFigure() : save()"
  >
    <p class="small">
      <b>{{ tell(task.name) }}</b>
      <template v-if="question">. {{ t('watch.visitQuestion', { number: at + 1, of: task.asks.length }) }}</template>
    </p>
    <template v-if="question">
      <h3 ref="heading" class="verdict" tabindex="-1">{{ tell(question.asks) }}</h3>
      <p>
        <span class="small">{{ t('watch.visitExpects') }}</span> {{ tell(question.expects) }}
      </p>
      <div v-if="question.figure" class="figure">
        <UFormField :help="unit(question.figure.quantity)" :error="misread || undefined"
          ><UInput v-model="typed" size="xl" maxlength="30" inputmode="decimal" :aria-label="tell(question.asks)"
        /></UFormField>
        <UButton type="submit" color="primary" size="lg">{{ t('watch.visitNext') }}</UButton>
      </div>
      <div v-else class="answers">
        <button type="button" @click="say(true)">{{ t('watch.visitYes') }}</button>
        <button type="button" @click="say(false)">{{ t('watch.visitNo') }}</button>
      </div>
    </template>
    <template v-else>
      <h3 ref="heading" class="verdict" tabindex="-1">
        {{ holds ? t('watch.visitNotToday') : t('watch.visitGoOn') }}
      </h3>
      <GateLine v-for="(gate, i) in gates" :key="i" :gate="gate" />
      <p v-if="task.operation.caution && !holds" class="caution">{{ tell(task.operation.caution) }}</p>
      <p v-if="errors.answers" class="problem" role="alert">{{ errors.answers }}</p>
      <p v-if="!holds && !marks" class="small">{{ t('watch.visitThenDo') }}</p>
      <UButton type="submit" color="primary" size="lg" block :loading="busy">{{
        marks ? t('watch.visitMark', { done: capital(tell(task.operation.done)) }) : t('watch.visitSave')
      }}</UButton>
    </template>
    <div class="foot">
      <UButton v-if="at > 0" variant="outline" @click="go(at - 1)">{{ t('watch.visitBack') }}</UButton>
      <UButton variant="ghost" @click="emit('cancel')">{{ t('watch.cancel') }}</UButton>
    </div>
  </form>
</template>

<style scoped>
.visit {
  padding: 14px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 12px;
}
.verdict:focus {
  outline: none;
}
.answers {
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.answers button {
  border: 2px solid var(--ink);
  min-height: 64px;
  background: var(--lime);
  font-weight: 650;
  font-size: 17px;
  cursor: pointer;
}
.answers button + button {
  border-left: 0;
}
.answers button:hover {
  background: var(--color-straw-tint);
}
.figure,
.foot {
  display: flex;
  gap: 10px;
  align-items: start;
  flex-wrap: wrap;
}
@media (max-width: 700px) {
  .foot > *,
  .figure > button {
    min-height: 48px;
  }
}
</style>
