<script setup lang="ts">
import type { Candidate } from '#core/job/decision/candidates'
import { firstWork } from '#core/job/schedule/schedule'
import type { Day } from '#core/measure/calendar'

/** When a programme would be done: its days on one scale, the first of them, the sowing day, its odds and its seed. */
defineProps<{ candidate: Candidate; scale: { from: Day; days: number; mondays: Day[] } }>()
const context = useContextStore()
const { text } = useUnits()
const short = (day: Day) => shortDay(day, context.today)
</script>

<template>
  <ProgrammeStrip :schedule="candidate.schedule" :until="candidate.sowOn" :scale="scale" />
  <span
    >{{ short(firstWork(candidate.schedule).from) }},
    <b
      >{{ candidate.programme.anchor === 'seeding' ? t('decide.sow') : t('decide.dress') }}
      {{ short(candidate.sowOn) }}</b
    ></span
  >
  <span class="small"
    >{{ t('decide.days', { leadDays: candidate.estimate.leadDays })
    }}<template v-if="candidate.of100 !== undefined"
      >, <b>{{ t('decide.of100', { of100: candidate.of100 }) }}</b></template
    ><template v-if="candidate.estimate.seedKg"
      >{{ t('decide.seed') }} <b>{{ text({ quantity: 'massKg', value: candidate.estimate.seedKg }) }}</b></template
    ></span
  >
  <GateLine v-for="(hold, i) in candidate.waiting.holds.slice(0, 1)" :key="i" :gate="hold" />
</template>
