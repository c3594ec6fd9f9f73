<script setup lang="ts">
import type { Lawn } from '#contract/lawn'
import {
  LAWN_QUESTIONS,
  questionsOf,
  ZONE_QUESTIONS,
  type LawnQuestionCode,
  type QuestionCode,
  type ZoneQuestionCode,
} from '#core/site/questions'
import { PLANNING } from '#core/job/planningFigures'
import { thatchMm } from '#core/site/zone'
import { fieldName, fieldText } from '~/utils/fieldWords'

/** The survey one question at a time, in the order in which it is walked; each answer is kept as it is given. */
const props = defineProps<{ lawn: Lawn; start?: string }>()
const emit = defineEmits<{ all: []; at: [key: string] }>()
const survey = useSurvey(props.lawn)
const { draft, missing, message, busy, clash, dirty, save, settled, addZone } = survey
const context = useContextStore()
const { text } = useUnits()

interface Asked {
  key: string
  code: QuestionCode | 'place'
  zoneId: string | null
  asks: string
  left: string
  answered: boolean
}
const zones = computed(() => Object.entries(draft.zones).sort(([, a], [, b]) => a.order - b.order))
const questions = computed<Asked[]>(() => {
  const open = (code: string, zoneId: string | null) =>
    missing.value.some((question) => question.code === code && question.zoneId === zoneId)
  return [
    ...zones.value.flatMap(([id, zone]) =>
      questionsOf(zone).map(({ code, asks, left }) => ({
        key: `${id}.${code}`,
        code,
        zoneId: id,
        asks: tell(asks),
        left: tell(left),
        answered: !open(code, id),
      })),
    ),
    ...LAWN_QUESTIONS.map(({ code, asks, left }) => ({
      key: `lawn.${code}`,
      code,
      zoneId: null,
      asks: tell(asks),
      left: tell(left),
      answered: !open(code, null),
    })),
    // The firm's own place until it is moved, so it is never missing.
    { key: 'lawn.place', code: 'place', zoneId: null, asks: t('look.whereIsIt'), left: '', answered: true },
  ]
})
const begin = questions.value.findIndex(({ key }) => key === props.start)
const at = ref(
  begin >= 0
    ? begin
    : Math.max(
        0,
        questions.value.findIndex(({ answered }) => !answered),
      ),
)
const now = computed(() => questions.value[Math.min(at.value, questions.value.length - 1)]!)
const zoneNow = computed(() => (now.value.zoneId ? draft.zones[now.value.zoneId] : undefined))
const done = computed(() => questions.value.filter(({ answered }) => answered).length)
/** What the answer leads to, before it is kept. */
const consequence = computed(() => {
  const zone = zoneNow.value
  const limits = context.firmRecord.planning
  if (!zone) return ''
  const thatch = thatchMm(zone)
  if (now.value.code === 'thatch' && thatch !== null)
    return thatch > limits.thatchDeep
      ? t('look.meanMoreThanOne', { thatch: text({ quantity: 'depthMm', value: thatch }) })
      : thatch > limits.thatch
        ? t('look.meanOverDethatchIn', {
            thatch: text({ quantity: 'depthMm', value: thatch }),
            thatch2: text({ quantity: 'depthMm', value: PLANNING.thatch.value }),
          })
        : t('look.meanIsNormal', { thatch: text({ quantity: 'depthMm', value: thatch }) })
  if (now.value.code === 'cover' && zone.desirableShare !== null)
    return zone.desirableShare >= limits.overseedFrom
      ? t('look.desirableGrassEnoughTo', { desirableShare: Math.round(zone.desirableShare * 100) })
      : zone.desirableShare >= limits.hardFrom
        ? t('look.underHalfDesirableGrass')
        : t('look.littleDesirableGrassHerbicide')
  if (now.value.code === 'sun' && zone.sunHours !== null && zone.sunHours < limits.sunLeast)
    return t('look.under3HoursNo')
  if (now.value.code === 'hardness' && zone.driverMm.length)
    return zone.driverMm.reduce((sum, mm) => sum + mm, 0) / zone.driverMm.length < limits.driver
      ? t('look.hardItIsCored')
      : t('look.softEnough')
  if (now.value.code === 'slope' && zone.slopeShare !== null && zone.slopeShare > limits.slopeSlit)
    return t('look.steepSlitSeedNetting')
  return ''
})
/** What a photo taken at a question shows. */
const PHOTO_WORDS: Record<string, string> = Object.fromEntries(
  [...ZONE_QUESTIONS, ...LAWN_QUESTIONS].map(({ code, words }) => [code, tell(words)]),
)
const last = computed(() => at.value >= questions.value.length - 1)
function walk(by: number): void {
  at.value = Math.max(0, Math.min(questions.value.length - 1, at.value + by))
  window.scrollTo({ top: 0 })
}
const next = computed(() => questions.value[at.value + 1])
/** Kept at once; the page comes back with the saved lawn at the question after. */
async function keep(): Promise<void> {
  const goal = next.value?.key ?? now.value.key
  const finished = last.value
  if (!dirty.value) return finished ? emit('all') : walk(1)
  emit('at', goal)
  if ((await save()) && finished) emit('all')
}
async function another(): Promise<void> {
  const id = addZone()
  if (id) at.value = questions.value.findIndex(({ key }) => key === `${id}.area`)
}
</script>

<template>
  <section class="walk" :aria-label="t('look.surveyOneQuestionAt')">
    <EditClash
      v-if="clash"
      :clash="clash"
      :label="(path) => fieldName(path, draft)"
      :show="(path, value) => fieldText(path, value, context.units)"
      :busy="busy"
      @settle="(theirs) => settled(theirs)"
    />
    <div class="count">
      <span class="blades" aria-hidden="true"
        ><i v-for="(question, i) in questions" :key="question.key" :class="{ done: question.answered, here: i === at }"
      /></span>
      <span>{{ t('look.questionOfAnswered', { at: at + 1, questions: questions.length, done }) }}</span>
    </div>
    <h2>{{ now.asks }}</h2>
    <p v-if="zoneNow && zones.length > 1" class="which">{{ zoneNow.name }}</p>
    <ZoneFields v-if="now.zoneId" :id="now.zoneId" :key="now.key" :only="now.code as ZoneQuestionCode" />
    <PlaceFields v-else-if="now.code === 'place'" :stations="[]" only="place" />
    <LawnFields v-else :key="now.key" :only="now.code as LawnQuestionCode" />
    <p v-if="consequence" class="so">
      <b>{{ consequence }}</b>
    </p>
    <p v-else-if="!now.answered" class="so">{{ t('look.leftOpen', { left: now.left }) }}</p>
    <PhotoShelf
      v-if="now.code !== 'place'"
      :key="`photo-${now.key}`"
      :zone-id="now.zoneId"
      :about="PHOTO_WORDS[now.code]!"
    />
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <div class="bar">
      <UButton color="primary" class="grow" :loading="busy" @click="keep"
        ><span class="verb"
          ><b>{{ dirty ? t('look.keepIt') : last ? t('look.toTheWholeSurvey') : t('look.goOn') }}</b
          ><i v-if="next">{{ t('look.then', { asks: next.asks.toLowerCase() }) }}</i></span
        ></UButton
      >
      <UButton v-if="!last" variant="outline" @click="walk(1)"
        ><span class="verb"
          ><b>{{ t('look.skip') }}</b
          ><i>{{ t('look.askAgain') }}</i></span
        ></UButton
      >
    </div>
    <div class="more">
      <UButton variant="outline" :disabled="at === 0" @click="walk(-1)">{{ t('look.back') }}</UButton>
      <UButton variant="outline" @click="another">{{ t('look.anotherZone') }}</UButton>
      <UButton variant="outline" @click="emit('all')">{{ t('look.allOfItAnd') }}</UButton>
    </div>
  </section>
</template>

<style scoped>
.walk {
  display: grid;
  gap: 12px;
  padding-bottom: 96px;
}
.count {
  display: flex;
  gap: 14px;
  align-items: end;
  justify-content: space-between;
  font-weight: 600;
  color: var(--ink-2);
}
.blades {
  display: flex;
  gap: 2px;
  align-items: end;
  border-bottom: 2px solid var(--ink);
  height: 26px;
  overflow: hidden;
  flex: 1;
  max-width: 170px;
}
.blades i {
  flex: 1;
  max-width: 7px;
  height: 9px;
  background: var(--rule-2);
}
.blades .done {
  height: 20px;
  background: var(--moss);
}
.blades .here {
  height: 25px;
  background: var(--straw);
  border: 2px solid var(--ink);
  min-width: 7px;
}
h2 {
  font-size: 24px;
}
.which {
  color: var(--ink-2);
  font-weight: 600;
}
.so {
  border: 1px solid var(--rule-2);
  border-left: 6px solid var(--clay);
  background: var(--lime);
  padding: 10px 14px;
}
.bar {
  position: fixed;
  left: 0;
  right: 0;
  bottom: 64px;
  display: flex;
  gap: 8px;
  padding: 8px 16px;
  background: var(--chalk);
  border-top: 1.5px solid var(--ink);
  z-index: 6;
}
.bar .grow {
  flex: 1;
}
.bar button {
  min-height: 60px;
  justify-content: center;
}
.verb {
  display: grid;
  text-align: center;
}
.verb i {
  font-style: normal;
  font-weight: 400;
  font-size: 13px;
}
.more {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.more button {
  min-height: 48px;
}
@media (min-width: 701px) {
  .bar {
    position: static;
    max-width: 560px;
    padding: 8px 0;
    background: none;
    border: 0;
  }
  .walk {
    max-width: 620px;
    padding: 0;
  }
}
</style>
