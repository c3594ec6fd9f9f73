<script setup lang="ts">
import type { Station } from '#contract/station'
import { LAWN_QUESTIONS, type LawnQuestionCode } from '#core/site/questions'
import { addDays } from '#core/measure/calendar'

/** What is asked once of the whole lawn: a line each, that opens to its fields. */
const open = defineModel<string | null>({ required: true })
defineProps<{ stations: Station[] }>()
const { draft, missing } = useSurveyHere()
const context = useContextStore()
const TITLES: Record<LawnQuestionCode | 'place', string> = {
  history: t('look.pastApplications'),
  services: t('look.buriedLines'),
  soil: t('look.soil'),
  water: t('look.water'),
  access: t('look.access'),
  wishes: t('look.whatTheClientWants'),
  place: t('look.where'),
}
const says = computed<Record<LawnQuestionCode | 'place', string>>(() => {
  const last = draft.applications
    .map(({ appliedOn, waitDays }) => (appliedOn && Number.isInteger(waitDays) ? addDays(appliedOn, waitDays) : ''))
    .sort()
    .at(-1)
  const { soilTest, water, access, wishes } = draft
  return {
    history: draft.nothingPutOn
      ? t('look.nothingThisYear')
      : last
        ? last > context.today
          ? t('look.noSeedBefore', { last: shortDay(last, context.today) })
          : t('look.everyWaitHasEnded')
        : '',
    services: access.services === 'not asked' ? '' : access.services,
    soil: `${draft.texture}${soilTest ? t('look.phPKPpm', { ph: soilTest.ph ?? '–', pPpm: soilTest.pPpm ?? '–', kPpm: soilTest.kPpm ?? '–' }) : ''}`,
    water: [
      water.source && (water.source === 'none' ? t('look.noWater') : water.source),
      water.timesADay !== null && t('look.aDay', { timesADay: water.timesADay }),
      water.restriction === 'ban' && 'banned',
    ]
      .filter(Boolean)
      .join(', '),
    access: [access.barrowM !== null && t('look.wheelbarrowDistanceKnown'), access.tipping].filter(Boolean).join(', '),
    wishes: [wishes.goal, wishes.usableBy && t('look.by', { usableBy: shortDay(wishes.usableBy, context.today) })]
      .filter(Boolean)
      .join(', '),
    place: `${draft.latDeg.toFixed(2)}, ${draft.lonDeg.toFixed(2)}`,
  }
})
const codes = [...LAWN_QUESTIONS.map(({ code }) => code), 'place'] as (LawnQuestionCode | 'place')[]
const leftOpen = (code: string) => {
  const question = lacks(code)
  return question ? tell(question.left) : ''
}
const lacks = (code: string) => missing.value.find((question) => question.code === code && question.zoneId === null)
</script>

<template>
  <section class="sections">
    <div v-for="code in codes" :key="code" class="one" :class="{ open: open === code }">
      <button type="button" class="head" :aria-expanded="open === code" @click="open = open === code ? null : code">
        <b>{{ TITLES[code] }}</b><span :class="{ lacks: lacks(code) }">{{ says[code] || leftOpen(code) }}</span>
      </button>
      <div v-if="open === code" class="body">
        <PlaceFields v-if="code === 'place'" :stations="stations" /><LawnFields v-else :only="code" />
      </div>
    </div>
  </section>
</template>

<style scoped>
.sections {
  border-top: 1.5px solid var(--ink);
}
.one {
  border-bottom: 1px solid var(--rule);
}
.head {
  display: grid;
  grid-template-columns: 104px 1fr;
  gap: 10px;
  width: 100%;
  text-align: left;
  padding: 6px;
  cursor: pointer;
  min-height: 32px;
  align-items: baseline;
}
.head:hover b {
  text-decoration: underline;
}
.lacks {
  color: var(--ink-2);
}
.open {
  outline: 2px solid var(--ink);
  background: var(--lime);
}
.open .head {
  background: var(--straw-tint);
}
.body {
  padding: 10px 12px 12px;
  border-top: 1px solid var(--ink);
}
@media (max-width: 700px) {
  .head {
    min-height: 48px;
  }
}
</style>
