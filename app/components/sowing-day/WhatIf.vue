<script setup lang="ts">
import { daysBetween, type Day } from '#core/measure/calendar'
import type { Variant } from '#core/establishment/whatIf'

/**
 * Other seedbeds beside the plan: what more water, another cover, sun or seed would give on the day chosen. Nothing
 * of the plan changes.
 */
const props = defineProps<{ lawnId: string; day: Day; late: boolean; ownYears: boolean }>()
const context = useContextStore()
const { variants, odds, compared, coarse, progress, message, ask, stop } = useWhatIf(props.lawnId)
const open = ref(false)
watch(open, (now) => {
  if (now && !Object.keys(odds.value).length) void ask()
})

// A day that mostly fails is asked at once what would change it.
watch(
  () => props.late,
  (late) => {
    if (late) open.value = true
  },
  { immediate: true },
)

const GROUPS: Record<Variant['group'], string> = {
  plan: t('sowingDay.thePlan'),
  zone: t('sowingDay.theZonesEachBy'),
  water: t('sowingDay.otherWatering'),
  cover: t('sowingDay.anotherCover'),
  sun: t('sowingDay.otherSun'),
  seed: t('sowingDay.otherSeed'),
}
const ahead = computed(() => daysBetween(context.today, props.day))
/** Stopped on the way: what is not worked out yet can be. */
const unfinished = computed(
  () =>
    open.value &&
    !progress.value &&
    !message.value &&
    (!variants.value.length || variants.value.some(({ code }) => !odds.value[code])),
)
const planned = computed(() => odds.value.plan?.chance[ahead.value]?.of100)
/** What others come to: the plan's own count and the difference on the same years, which chance touches least. */
const besidePlan = (of100: number | undefined): number | undefined => {
  const [plan, onSame] = [planned.value, compared.value?.[ahead.value]]
  if (of100 === undefined || plan === undefined || onSame === undefined) return of100
  return Math.min(100, Math.max(0, plan + of100 - onSame))
}
const LASTING = { doubtful: 'sowingDay.doubtfulHere', 'will not last': 'sowingDay.willNotLiveHere' } as const
const rows = computed(() =>
  variants.value.map((variant, i) => {
    const found = odds.value[variant.code]
    const own = found?.chance[ahead.value]?.of100
    const good = variant.group === 'plan' ? own : besidePlan(own)
    return {
      variant,
      heads: i === 0 || variants.value[i - 1]!.group !== variant.group,
      good,
      window: found?.windows.find(({ to }) => to >= props.day) ?? found?.windows[0],
      real: found?.real?.[ahead.value] === true,
      by: good === undefined || planned.value === undefined ? undefined : good - planned.value,
    }
  }),
)
/** Of covers and of seeds the one that makes most of the day, where it is more than chance. */
const changes = computed(() =>
  (['cover', 'seed'] as const).flatMap((group) => {
    const better = rows.value.filter(({ variant, by, real }) => variant.group === group && real && (by ?? 0) > 0)
    return better.toSorted((a, b) => b.good! - a.good!).slice(0, 1)
  }),
)
</script>

<template>
  <details class="what-if" :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>{{ t('sowingDay.whatIfItWere') }}</summary>
    <p v-if="ahead < 0" class="small">{{ t('sowingDay.forDaysToCome') }}</p>
    <p v-if="progress" class="small" role="status">
      {{ t('sowingDay.workingOfSixYears', { done: progress.done, of: progress.of, hasCoarse: Boolean(coarse) }) }}
      <button type="button" class="opens" @click="stop">{{ t('sowingDay.stop') }}</button>
    </p>
    <p v-if="unfinished" class="small">
      <button type="button" class="opens" @click="ask">{{ t('sowingDay.workOutTheRest') }}</button>
    </p>
    <p v-if="message" class="problem" role="alert">
      {{ message }} <UButton size="sm" variant="outline" @click="ask">{{ t('sowingDay.tryAgain') }}</UButton>
    </p>
    <p v-if="late && changes.length" class="small">
      {{ t('sowingDay.whatWouldChangeIt') }}
      <template v-for="(row, i) in changes" :key="row.variant.code"
        ><template v-if="i">; </template>{{ tell(row.variant.words) }}, <b>{{ row.good }}</b>
        {{ t('sowingDay.of1002') }}</template
      >
    </p>
    <p v-else-if="late && !unfinished && !progress && rows.length" class="small">
      {{ t('sowingDay.nothingChangesIt') }}
    </p>
    <table v-if="rows.length && ahead >= 0" class="ledger">
      <thead>
        <tr>
          <th scope="col">{{ t('sowingDay.sownOn', { day: shortDay(day, context.today) }) }}</th>
          <th scope="col">{{ t('sowingDay.goodStandYearsOf') }}</th>
          <th scope="col" class="right">{{ t('sowingDay.againstThePlan') }}</th>
          <th scope="col">{{ t('sowingDay.bestWindow') }}</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="row in rows" :key="row.variant.code">
          <tr v-if="row.heads && row.variant.group !== 'plan'" class="group">
            <th colspan="4" scope="colgroup">{{ GROUPS[row.variant.group] }}</th>
          </tr>
          <tr :class="{ plan: row.variant.group === 'plan' }">
            <td>
              {{ tell(row.variant.words)
              }}<template v-if="row.variant.lasting"
                >, <i>{{ t(LASTING[row.variant.lasting]) }}</i></template
              >
            </td>
            <td class="bar">
              <template v-if="row.good !== undefined"
                ><i aria-hidden="true"><u :style="{ width: `${row.good}%` }" /></i><b class="num">{{ row.good }}</b>
                {{ t('sowingDay.of1002') }}</template
              >
            </td>
            <td class="right">
              {{
                row.by === undefined || row.variant.group === 'plan' || coarse
                  ? ''
                  : !row.real
                    ? t('sowingDay.noRealDifference2')
                    : row.by > 0
                      ? t('sowingDay.more', { by: row.by })
                      : t('sowingDay.fewer', { by: -row.by })
              }}
            </td>
            <td class="window">
              {{
                row.good === undefined
                  ? ''
                  : row.window
                    ? t('sowingDay.to3', {
                        from: shortDay(row.window.from, context.today),
                        to: shortDay(row.window.to, context.today),
                      })
                    : t('sowingDay.noneInSight')
              }}
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <p v-if="rows.length && ahead >= 0" class="small">
      {{ t('sowingDay.shadeCountsHereAs') }}
      <template v-if="!ownYears">{{ t('sowingDay.comparedOver') }}</template>
    </p>
  </details>
</template>

<style scoped>
.what-if {
  margin: 8px 0 0 40px;
  max-width: 720px;
}
.group th {
  font-weight: 650;
  color: var(--ink);
  padding-top: 10px;
  border-bottom: 1px solid var(--rule-2);
}
.plan {
  background: var(--straw-tint);
  font-weight: 600;
}
.bar,
td.right {
  white-space: nowrap;
}
@media (max-width: 700px) {
  td.right {
    white-space: normal;
  }
}
.bar i {
  display: inline-block;
  width: 96px;
  height: 12px;
  border: 1px solid var(--ink);
  margin-right: 8px;
  vertical-align: -1px;
  background: var(--lime);
}
.bar u {
  display: block;
  height: 100%;
  background: var(--moss);
}
@media (min-width: 701px) {
  .window {
    white-space: nowrap;
  }
}
@media (max-width: 700px) {
  .what-if {
    margin-left: 0;
  }
  .bar i {
    width: 44px;
  }
  .opens {
    min-height: 44px;
  }
}
</style>
