<script setup lang="ts">
import { lowered } from '#core/explain/message'
import type { Candidate } from '#core/job/decision/candidates'
import { firstWork } from '#core/job/schedule/schedule'
import { addDays, daysBetween, weekdayIndex, type Day } from '#core/measure/calendar'

/** Programmes side by side: they share every row, so that each can be compared. */
const props = defineProps<{
  candidates: readonly Candidate[]
  chosen: string | null
  recommended: string | undefined
  years: number
  busy: boolean
  locked: boolean
}>()
const emit = defineEmits<{ plan: [candidate: Candidate] }>()
const context = useContextStore()
const { text } = useUnits()
const SHOWN = 3
const all = ref(false)
const columns = computed(() => (all.value ? props.candidates : props.candidates.slice(0, SHOWN)))
const scale = computed(() => {
  const firsts = columns.value.map(({ schedule }) => firstWork(schedule).from).sort()
  const lasts = columns.value.map(({ sowOn }) => sowOn).sort()
  const from: Day = firsts[0] ?? context.today
  const days = Math.max(7, daysBetween(from, lasts.at(-1) ?? context.today) + 2)
  const mondays = Array.from({ length: days }, (_, i) => addDays(from, i)).filter((day) => weekdayIndex(day) === 1)
  return { from, days, mondays: mondays.length > 12 ? [] : mondays }
})
const short = (day: Day) => shortDay(day, context.today)
const money = (minor: number) =>
  text({ quantity: 'money', value: Math.round(minor / 100) * 100, currency: context.currency }).replace(/\.00$/, '')
const state = ({ programme }: Candidate) =>
  programme.code === props.chosen
    ? t('decide.chosen')
    : programme.code === props.recommended
      ? t('decide.recommendedState')
      : ''
const cell = ({ programme }: Candidate) => ['cell', { chosen: programme.code === props.chosen }]
</script>

<template>
  <div
    class="columns"
    :style="{ '--n': columns.length }"
    role="table"
    :aria-label="t('decide.programmesThatFit')"
    tabindex="0"
  >
    <div class="row head" role="row">
      <span role="columnheader" class="side"
        ><span class="sr-only">{{ t('decide.row') }}</span></span
      >
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="columnheader"
        :style="{ order: i }"
        :class="cell(one)"
      >
        <h2>{{ tell(one.programme.name) }}</h2>
        <span class="small"
          ><template v-if="state(one)"
            ><b class="state">{{ state(one) }}</b
            >, </template
          >{{ tell(one.programme.about) }}</span
        >
      </div>
    </div>
    <div class="row" role="row">
      <b role="rowheader" class="side">{{ t('decide.why') }}</b>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        :data-label="t('decide.why')"
        :class="cell(one)"
      >
        <GateLine v-if="one.calledFor" :gate="one.why" with-source />
        <p v-else class="small"><PhraseText :phrase="one.why.text" /></p>
        <p v-for="but in one.butNot" :key="but.zone" class="small">
          <b>{{ t('decide.not', { zone: but.zone }) }}</b> <PhraseText :phrase="but.why.text" />
        </p>
      </div>
    </div>
    <div class="row" role="row">
      <b role="rowheader" class="side">{{ t('decide.schedule') }}</b>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        :data-label="t('decide.schedule')"
        :class="cell(one)"
      >
        <ProgrammeSchedule :candidate="one" :scale="scale" />
      </div>
    </div>
    <div class="row" role="row">
      <b role="rowheader" class="side">{{ t('decide.crewAndPrice') }}</b>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        :data-label="t('decide.crewAndPrice')"
        :class="[cell(one), 'two']"
      >
        <span
          ><span class="big"><WorkedNumber :worked="one.estimate.crewHours" bare /></span> {{ t('decide.crewH') }}</span
        ><span class="big"
          ><WorkedNumber :worked="one.estimate.priceMinor" :words="money(one.estimate.priceMinor.value)"
        /></span>
      </div>
    </div>
    <div class="row" role="row">
      <b role="rowheader" class="side">{{ t('decide.keepOffTheLawn') }}</b>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        :data-label="t('decide.keepOffTheLawn')"
        :class="[cell(one), 'two']"
      >
        <span
          ><span class="big"><WorkedNumber :worked="one.estimate.outOfUse" bare /></span> {{ t('decide.days2') }}</span
        ><span class="small">{{
          t('decide.to', { outFrom: short(one.estimate.outFrom), outTo: short(one.estimate.outTo) })
        }}</span>
      </div>
    </div>
    <div class="row" role="row">
      <span role="rowheader" class="side"
        ><b>{{ t('decide.expect') }}</b
        ><br /><span class="small">{{ t('decide.grassWeedsBarePlanning') }}</span></span
      >
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        :data-label="t('decide.expect')"
        :class="cell(one)"
      >
        <ExpectedCover :expect="one.expect" />
        <p v-if="one.conversion" class="small">
          {{ t('decide.wantedSpeciesAfterSeasons') }}
          <template v-for="(season, s) in one.conversion.bySeason" :key="s"
            ><template v-if="s">, </template><WorkedNumber :worked="season" bare
          /></template>
        </p>
      </div>
    </div>
    <div class="row" role="row">
      <b role="rowheader" class="side">{{ t('decide.risk') }}</b>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        :data-label="t('decide.risk')"
        :class="cell(one)"
      >
        <GateLine v-for="(risk, k) in one.risks" :key="k" :gate="risk" with-source /><span
          v-if="!one.risks.length"
          class="small"
          >{{ t('decide.noneThatTheSurvey') }}</span
        >
      </div>
    </div>
    <div class="row" role="row">
      <span role="rowheader" class="side"
        ><span class="sr-only">{{ t('decide.choose') }}</span></span
      >
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        data-label=""
        :class="cell(one)"
      >
        <b v-if="one.programme.code === chosen" class="state">{{ t('decide.inThePlan') }}</b>
        <UButton
          v-else
          :variant="!chosen && one === columns[0] ? 'solid' : 'outline'"
          color="primary"
          class="verb"
          :loading="busy"
          :disabled="locked || one.waiting.binding"
          @click="emit('plan', one)"
          >{{ chosen ? t('decide.planThisInstead') : tell(one.programme.plan) }}</UButton
        >
      </div>
    </div>
  </div>
  <button v-if="candidates.length > SHOWN" type="button" class="opens more" @click="all = !all">
    {{
      all
        ? t('decide.fewerSideBySide')
        : t('decide.moreThatFit', {
            candidates: candidates.length - SHOWN,
            candidates2: candidates.slice(SHOWN).map(({ programme }) => lowered(programme.name)),
          })
    }}
  </button>
</template>

<style scoped>
.columns {
  overflow-x: auto;
}
.row {
  display: grid;
  grid-template-columns: 92px repeat(var(--n), minmax(0, 1fr));
  border-bottom: 1px solid var(--rule);
}
.side {
  padding: 8px 6px 8px 0;
  font-weight: 400;
  color: var(--ink-2);
}
.side b {
  font-weight: 600;
}
.cell {
  padding: 7px 10px;
  display: grid;
  gap: 3px;
  align-content: start;
  border-left: 1px solid var(--rule);
  min-width: 0;
}
.cell.two {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  flex-wrap: wrap;
}
.cell.chosen {
  background: var(--lime);
  border-inline: 2px solid var(--ink);
}
.head .cell.chosen {
  background: var(--straw-tint);
  border-top: 2px solid var(--ink);
}
.row:last-child .cell.chosen {
  border-bottom: 2px solid var(--ink);
}
.state {
  color: var(--moss);
}
.big {
  font:
    650 19px/1.1 'Besley Variable',
    serif;
}
.verb {
  justify-self: start;
}
.more {
  margin-top: 8px;
  text-align: left;
}
/* On a phone a programme after the other, each with all that is told of it. */
@media (max-width: 800px) {
  .columns {
    display: grid;
    overflow: visible;
  }
  .opens.more {
    min-height: 48px;
  }
  .row {
    display: contents;
  }
  .side {
    display: none;
  }
  .cell {
    border-left: 0;
    padding: 7px 4px;
    border-bottom: 1px solid var(--rule);
  }
  .head .cell {
    border-top: 2px solid var(--ink);
    margin-top: 10px;
  }
  .cell.chosen {
    padding-inline: 10px;
  }
  .cell[data-label]:not([data-label=''])::before {
    content: attr(data-label);
    font-weight: 600;
    color: var(--ink-2);
    font-size: 12.5px;
    flex-basis: 100%;
  }
}
</style>
