<script setup lang="ts">
import { addDays } from '#core/measure/calendar'
import { dayOutOfReach } from '#core/job/decision/dayInReach'
import { labelForbids } from '#core/job/decision/decide'
import { PROGRAMMES } from '#core/job/decision/programmes'
import { grassOf, isIrrigated } from '#core/job/lawn'
import { DRESSED } from '#core/establishment/growing'
import { indexOf } from '#core/establishment/outlook'
import { practicesOf, sownOn as seedSown } from '#core/job/seeding'
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

const practices = computed(() => job.value && practicesOf(job.value, context.firmRecord))
const seed = computed(() =>
  lawn.value && job.value && practices.value ? seedSown(lawn.value, job.value, practices.value) : undefined,
)
const grass = computed(() => grassByCode(seed.value ? mainOf(seed.value) : 'TF'))
/** Fewer than half of the years make a stand: what would change it is asked without being told to. */
const late = computed(() => {
  const of = outlook.value && outlook.value.sowing[indexOf(outlook.value, day.value)]
  return of !== undefined && of.dormantGood === null && of.chance.of100 < 50
})
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
  const what = lifted.value ? t('sowingDay.firstTopdressing') : 'sowing'
  if (moves) return t('sowingDay.moveTo', { what, day: shortDay(day.value) })
  return lifted.value
    ? t('sowingDay.firstTopdressing2', { day: shortDay(day.value) })
    : t('sowingDay.sow', { day: shortDay(day.value) })
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
      <p class="verdict">{{ t('sowingDay.nothingIsDecidedYet') }}</p>
      <p>{{ t('sowingDay.finishTheSurveyFirst', { hasDecision: Boolean(decision), name: grass.name }) }}</p>
      <UButton color="primary" :to="stepTo('decide')">{{ t('sowingDay.goToDecide') }}</UButton>
    </section>
    <div class="left">
      <WhenChart v-model="day" :outlook :locked="sownOn !== undefined" :lifted />
      <OddsFrom v-if="practices" class="from" :lawn :practices :sown="!lifted" />
      <SeedPick
        v-if="mixable"
        :blend="lawn.plan.blend"
        :single="grassOf(lawn) ?? 'TF'"
        :busy
        :locked="sownOn !== undefined"
        @choose="sow"
      />
      <WhatIf
        v-if="!lifted && !sownOn"
        :key="`${lawn.version}-${lawn.plan.version}`"
        :lawn-id="id"
        :day
        :late
        :own-years="outlook.ownYears"
      />
      <OddsTable v-if="!lifted" :outlook @look="day = $event" />
    </div>
    <aside>
      <p v-if="sill.data?.coarse" class="caution" role="status">
        {{ t('sowingDay.firstLook', { years: outlook.years }) }}
      </p>
      <template v-if="lifted">
        <p class="verdict">
          {{ t('sowingDay.dressedOnFirstTopdressing', { hasSownOn: Boolean(sownOn), day: longDay(day) }) }}
        </p>
        <p v-if="growing" class="small">
          {{ t('sowingDay.theTurfGrowsThrough') }} <b>{{ shortDay(growing.from, context.today) }}</b>{{
            t('sowingDay.lastLayerBy')
          }}
          <b>{{ shortDay(growing.to, context.today) }}</b>{{
            t('sowingDay.threeWeeksBeforeThe', { value: text(figure('tempC', DRESSED[grass.season].dormantC)) })
          }}
        </p>
        <p v-else class="small">{{ t('sowingDay.noGrowingSeasonOf') }}</p>
      </template>
      <PastDay v-else-if="past" :outlook :day />
      <WhenVerdict
        v-else
        :outlook
        :day
        :sown="sownOn !== undefined"
        :seed="seed ?? []"
        :irrigated="isIrrigated(lawn)"
        @look="day = $event"
      />
      <p v-if="inside" class="small">
        {{ t('sowingDay.soilAtStaysIn', { value: text(figure('depthMm', 50)) }) }}
        <b>{{ t('sowingDay.to3', { from: dated(inside.from), to: dated(inside.to) }) }}</b>{{
          t('sowingDay.days', { to: inside.to - inside.from + 1 })
        }}
      </p>
      <template v-if="!lifted">
        <DayFacts :outlook :day :grass />
        <DaysCompared v-model="day" :outlook :locked="sownOn !== undefined" />
      </template>
      <div v-if="!sownOn" class="gates">
        <GateLine v-for="(gate, i) in sowGates" :key="i" :gate="gate" />
      </div>
      <p v-for="({ text: trouble }, i) in preview?.troubles ?? []" :key="i" class="caution">{{ tell(trouble) }}</p>
      <p v-if="forbidden && !sownOn" class="caution">{{ tell(forbidden) }}</p>
      <p v-if="problem" class="problem" role="alert">{{ problem.message }}</p>
      <div v-if="programme && !sownOn" class="actions">
        <UButton
          color="primary"
          :loading="busy || sill.behind || sill.data?.coarse"
          :disabled="forbidden !== undefined || unreached !== undefined"
          @click="keep"
        >
          {{ keepWords }}
        </UButton>
        <UButton v-if="day !== suggested" variant="outline" @click="day = suggested">
          {{ t('sowingDay.useBestDay', { suggested: shortDay(suggested) }) }}
        </UButton>
      </div>
    </aside>
  </div>
  <NoClimate v-else-if="sill.lacks" :what="t('sowingDay.when')" />
  <div v-else-if="!sill.problem" class="panel waiting" role="status">
    {{ t('sowingDay.workingOutTheWeather') }}
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
