<script setup lang="ts">
import { addDays, longDay, shortDay } from '#core/measure/calendar'
import { dayOutOfReach } from '#core/job/decision/dayInReach'
import { labelForbids } from '#core/job/decision/decide'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { grassOf } from '#core/job/lawn'
import { sownOn as seedSown } from '#core/job/seeding'
import { shallowEnough } from '#core/job/settings'
import { depthLimitOf, mainOf, type Blend } from '#core/seed/blends'
import { grassByCode } from '#core/grass/grasses'
import { figure } from '#core/measure/figure'

const here = useLawn()
const { id, lawn, job, shown, outlook, decision, tries, keepTrial, savePlan, busy, problem, stepTo } = here
const context = useContextStore()
const sill = useSillStore()
const { text } = useUnits()
const { day, sownOn, suggested, lifted } = useSowingDay(here)

const seed = computed(() => (lawn.value && job.value ? seedSown(lawn.value, job.value) : undefined))
const grass = computed(() => grassByCode(seed.value ? mainOf(seed.value) : 'TF'))
const programme = computed(() => lawn.value?.plan.programme ?? null)
/** A programme that brings its own seed, or none, leaves nothing to mix. */
const mixable = computed(() => programme.value !== null && !lifted.value && !PROGRAMMES[programme.value].seed)
const growing = computed(() => outlook.value?.growing[0])
const inside = computed(() => outlook.value?.insideBand.find(({ to }) => to >= outlook.value!.todayIndex))
const dated = (i: number) => shortDay(addDays(outlook.value!.first, i), context.today)

/** A day that has passed, or lies beyond what is worked out, cannot be kept. */
const past = computed(() => !sownOn.value && day.value < context.today)
const unreached = computed(() => dayOutOfReach(day.value, context.today))
const preview = computed(() => shown.value?.schedule)
const sowGates = computed(() => {
  const anchor = lifted.value ? 'dressing' : 'seeding'
  return preview.value?.tasks.find(({ operation }) => operation.anchors === anchor)?.gates ?? []
})
const forbidden = computed(() =>
  lawn.value && !lifted.value ? labelForbids(lawn.value.applications, day.value) : undefined,
)
const keepWords = computed(() => {
  const moves = lawn.value?.plan.sowOn && lawn.value.plan.sowOn !== day.value
  const what = lifted.value ? 'first topdressing' : 'sowing'
  if (moves) return `Move ${what} to ${shortDay(day.value)}`
  return lifted.value ? `First topdressing ${shortDay(day.value)}` : `Sow ${shortDay(day.value)}`
})

async function sow(blend: Blend): Promise<void> {
  const { settings } = lawn.value!.plan
  // A mixture lies no deeper than its shallowest seed bears.
  const shallow = settings && blend.length ? { settings: shallowEnough(settings, depthLimitOf(blend)) } : {}
  await savePlan({ blend: [...blend], ...shallow })
}
async function keep(): Promise<void> {
  if (!tries('day') || (await keepTrial())) await navigateTo(stepTo('do'))
}
</script>

<template>
  <div v-if="lawn && outlook" class="when">
    <section v-if="!programme" class="panel ask">
      <p class="verdict">Nothing is decided yet.</p>
      <p>{{ decision ? '' : 'Finish the survey first.' }} The odds below are for {{ grass.name }}.</p>
      <UButton color="primary" :to="stepTo('decide')">Go to Decide</UButton>
    </section>
    <div class="left">
      <WhenChart v-model="day" :outlook :locked="sownOn !== undefined" :lifted />
      <OddsFrom class="from" :lawn :sown="!lifted" />
      <SeedPick
        v-if="mixable"
        :blend="lawn.plan.blend"
        :single="grassOf(lawn) ?? 'TF'"
        :busy
        :locked="sownOn !== undefined"
        @choose="sow"
      />
      <WhatIf v-if="!lifted && !sownOn" :key="`${lawn.version}-${lawn.plan.version}`" :lawn-id="id" :day />
      <OddsTable v-if="!lifted" :outlook @look="day = $event" />
    </div>
    <aside>
      <template v-if="lifted">
        <p class="verdict">
          {{ sownOn ? `Dressed on ${longDay(day)}.` : `First topdressing on ${longDay(day)}.` }} Nothing is sown.
        </p>
        <p v-if="growing" class="small">
          The turf grows through a topdressing from <b>{{ shortDay(growing.from, context.today) }}</b>; last layer by
          <b>{{ shortDay(growing.to, context.today) }}</b>, three weeks before the soil falls below
          {{ text(figure('tempC', 15)) }}.
        </p>
        <p v-else class="small">No growing season of three weeks and more lies in the year ahead at this station.</p>
      </template>
      <PastDay v-else-if="past" :outlook :day />
      <WhenVerdict v-else :outlook :day :sown="sownOn !== undefined" :lat-deg="lawn.latDeg" @look="day = $event" />
      <p v-if="inside" class="small">
        Soil at {{ text(figure('depthMm', 50)) }} stays in the germination band
        <b>{{ dated(inside.from) }} to {{ dated(inside.to) }}</b
        >, {{ inside.to - inside.from + 1 }} days.
      </p>
      <template v-if="!lifted">
        <DayFacts :outlook :day :grass />
        <DaysCompared v-model="day" :outlook :locked="sownOn !== undefined" />
      </template>
      <div v-if="!sownOn" class="gates">
        <GateLine v-for="(gate, i) in sowGates" :key="i" :gate="gate" />
      </div>
      <p v-for="{ text: trouble } in preview?.troubles ?? []" :key="trouble" class="caution">{{ trouble }}</p>
      <p v-if="forbidden && !sownOn" class="caution">{{ forbidden }}</p>
      <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      <div v-if="programme && !sownOn" class="actions">
        <UButton
          color="primary"
          :loading="busy"
          :disabled="forbidden !== undefined || unreached !== undefined"
          @click="keep"
        >
          {{ keepWords }}
        </UButton>
        <UButton v-if="day !== suggested" variant="outline" @click="day = suggested">
          Use best day, {{ shortDay(suggested) }}
        </UButton>
      </div>
    </aside>
  </div>
  <NoClimate v-else-if="sill.lacks" what="When" />
  <div v-else-if="!sill.problem" class="panel waiting" role="status">
    Working out the weather years for this ground.
  </div>
</template>

<style scoped>
.when {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 326px;
  gap: 14px 26px;
}
.ask {
  grid-column: 1 / -1;
  padding: 10px 16px;
  display: flex;
  gap: 16px;
  align-items: center;
  flex-wrap: wrap;
}
.from {
  margin: 8px 0 0 40px;
  max-width: 720px;
}
aside {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  align-content: start;
}
aside > .verdict {
  font-size: 21px;
}
.actions {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.waiting {
  padding: 24px;
  font-size: 15px;
}
@media (max-width: 900px) {
  .when {
    grid-template-columns: minmax(0, 1fr);
  }
  aside {
    order: -1;
  }
  .ask {
    order: -2;
  }
}
</style>
