<script setup lang="ts">
import { daysBetween, shortDay, type Day } from '#core/measure/calendar'
import type { Variant } from '#core/establishment/whatIf'

/**
 * Other seedbeds beside the plan: what more water, another cover, sun or seed would give on the day chosen. Nothing
 * of the plan changes.
 */
const props = defineProps<{ lawnId: string; day: Day }>()
const context = useContextStore()
const { variants, odds, coarse, progress, message, ask, stop } = useWhatIf(props.lawnId)
const open = ref(false)
watch(open, (now) => {
  if (now && !Object.keys(odds.value).length) void ask()
})

const GROUPS: Record<Variant['group'], string> = {
  plan: 'The plan',
  zone: 'The zones, each by itself',
  water: 'Other watering',
  cover: 'Another cover',
  sun: 'Other sun',
  seed: 'Other seed',
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
const rows = computed(() =>
  variants.value.map((variant, i) => {
    const found = odds.value[variant.code]
    const good = found?.chance[ahead.value]?.of100
    return {
      variant,
      heads: i === 0 || variants.value[i - 1]!.group !== variant.group,
      good,
      window: found?.windows.find(({ to }) => to >= props.day) ?? found?.windows[0],
      by: good === undefined || planned.value === undefined ? undefined : good - planned.value,
    }
  }),
)
</script>

<template>
  <details class="what-if" :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>What if it were watered, covered, lit or sown otherwise?</summary>
    <p v-if="ahead < 0" class="small">For days to come only.</p>
    <p v-if="progress" class="small" role="status">
      Working: {{ progress.done }} of {{ progress.of }}{{ coarse ? ', six years so far' : '' }}.
      <button type="button" class="opens" @click="stop">Stop</button>
    </p>
    <p v-if="unfinished" class="small"><button type="button" class="opens" @click="ask">Work out the rest</button></p>
    <p v-if="message" class="problem" role="alert">
      {{ message }} <UButton size="sm" variant="outline" @click="ask">Try again</UButton>
    </p>
    <table v-if="rows.length && ahead >= 0" class="ledger">
      <thead>
        <tr>
          <th scope="col">Sown on {{ shortDay(day, context.today) }}</th>
          <th scope="col">Good stand, years of 100</th>
          <th scope="col" class="right">Against the plan</th>
          <th scope="col">Best window</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="row in rows" :key="row.variant.code">
          <tr v-if="row.heads && row.variant.group !== 'plan'" class="group">
            <th colspan="4" scope="colgroup">{{ GROUPS[row.variant.group] }}</th>
          </tr>
          <tr :class="{ plan: row.variant.group === 'plan' }">
            <td>{{ row.variant.words }}</td>
            <td class="bar">
              <template v-if="row.good !== undefined"
                ><i aria-hidden="true"><u :style="{ width: `${row.good}%` }" /></i><b class="num">{{ row.good }}</b> of
                100</template
              >
            </td>
            <td class="right">
              {{
                row.by === undefined || row.variant.group === 'plan' || coarse
                  ? ''
                  : row.by === 0
                    ? 'the same'
                    : row.by > 0
                      ? `${row.by} more`
                      : `${-row.by} fewer`
              }}
            </td>
            <td class="window">
              {{
                row.good === undefined
                  ? ''
                  : row.window
                    ? `${shortDay(row.window.from, context.today)} to ${shortDay(row.window.to, context.today)}`
                    : 'none in sight'
              }}
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <p v-if="rows.length && ahead >= 0" class="small">
      Shade counts here as colder soil that dries more slowly. Whether a grass lasts in it is judged under Decide.
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
.bar {
  white-space: nowrap;
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
