<script setup lang="ts">
import type { Candidate } from '#core/job/decision/candidates'
import { firstWork } from '#core/job/schedule/schedule'
import { addDays, daysBetween, shortDay, weekdayIndex, type Day } from '#core/measure/calendar'

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
  programme.code === props.chosen ? 'chosen' : programme.code === props.recommended ? 'recommended' : ''
const cell = ({ programme }: Candidate) => ['cell', { chosen: programme.code === props.chosen }]
</script>

<template>
  <div class="columns" :style="{ '--n': columns.length }" role="table" aria-label="Programmes that fit" tabindex="0">
    <div class="row head" role="row">
      <span role="columnheader" class="side"><span class="sr-only">Row</span></span>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="columnheader"
        :style="{ order: i }"
        :class="cell(one)"
      >
        <h2>{{ one.programme.name }}</h2>
        <span class="small"
          ><template v-if="state(one)"
            ><b class="state">{{ state(one) }}</b
            >, </template
          >{{ one.programme.about }}</span
        >
      </div>
    </div>
    <div class="row" role="row">
      <b role="rowheader" class="side">Why</b>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        data-label="Why"
        :class="cell(one)"
      >
        <GateLine v-if="one.calledFor" :gate="one.why" with-source />
        <p v-else class="small"><PhraseText :phrase="one.why.text" /></p>
        <p v-for="but in one.butNot" :key="but.zone" class="small">
          <b>Not {{ but.zone }}:</b> <PhraseText :phrase="but.why.text" />
        </p>
      </div>
    </div>
    <div class="row" role="row">
      <b role="rowheader" class="side">Schedule</b>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        data-label="Schedule"
        :class="cell(one)"
      >
        <ProgrammeStrip :schedule="one.schedule" :until="one.sowOn" :scale="scale" />
        <span
          >{{ short(firstWork(one.schedule).from) }},
          <b>{{ one.programme.anchor === 'seeding' ? 'sow' : 'dress' }} {{ short(one.sowOn) }}</b></span
        >
        <span class="small"
          >{{ one.estimate.leadDays }} days<template v-if="one.of100 !== undefined"
            >, <b>{{ one.of100 }} of 100</b></template
          ><template v-if="one.estimate.seedKg"
            >, seed <b>{{ text({ quantity: 'massKg', value: one.estimate.seedKg }) }}</b></template
          ></span
        >
        <GateLine v-for="(hold, i) in one.waiting.holds.slice(0, 1)" :key="i" :gate="hold" />
      </div>
    </div>
    <div class="row" role="row">
      <b role="rowheader" class="side">Crew and price</b>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        data-label="Crew and price"
        :class="[cell(one), 'two']"
      >
        <span
          ><span class="big"><WorkedNumber :worked="one.estimate.crewHours" bare /></span> crew h</span
        ><span class="big"
          ><WorkedNumber :worked="one.estimate.priceMinor" :words="money(one.estimate.priceMinor.value)"
        /></span>
      </div>
    </div>
    <div class="row" role="row">
      <b role="rowheader" class="side">Keep off the lawn</b>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        data-label="Keep off the lawn"
        :class="[cell(one), 'two']"
      >
        <span
          ><span class="big"><WorkedNumber :worked="one.estimate.outOfUse" bare /></span> days</span
        ><span class="small">{{ short(one.estimate.outFrom) }} to {{ short(one.estimate.outTo) }}</span>
      </div>
    </div>
    <div class="row" role="row">
      <span role="rowheader" class="side"
        ><b>Expect, %</b><br /><span class="small">grass, weeds, bare: planning figures, ±8</span></span
      >
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        data-label="Expect, %"
        :class="cell(one)"
      >
        <ExpectedCover :expect="one.expect" />
      </div>
    </div>
    <div class="row" role="row">
      <b role="rowheader" class="side">Risk</b>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        data-label="Risk"
        :class="cell(one)"
      >
        <GateLine v-for="(risk, i) in one.risks" :key="i" :gate="risk" with-source /><span
          v-if="!one.risks.length"
          class="small"
          >None that the survey shows.</span
        >
      </div>
    </div>
    <div class="row" role="row">
      <span role="rowheader" class="side"><span class="sr-only">Choose</span></span>
      <div
        v-for="(one, i) in columns"
        :key="one.programme.code"
        role="cell"
        :style="{ order: i }"
        data-label=""
        :class="cell(one)"
      >
        <b v-if="one.programme.code === chosen" class="state">In the plan</b>
        <UButton
          v-else
          :variant="!chosen && one === columns[0] ? 'solid' : 'outline'"
          color="primary"
          class="verb"
          :loading="busy"
          :disabled="locked || one.waiting.binding"
          @click="emit('plan', one)"
          >{{ chosen ? 'Plan this instead' : one.programme.plan }}</UButton
        >
      </div>
    </div>
  </div>
  <button v-if="candidates.length > SHOWN" type="button" class="opens more" @click="all = !all">
    {{
      all
        ? 'Fewer side by side'
        : `${candidates.length - SHOWN} more that fit: ${candidates
            .slice(SHOWN)
            .map(({ programme }) => programme.name.toLowerCase())
            .join(', ')}`
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
