<script setup lang="ts">
import { grassByCode } from '#core/grass/grasses'
import { indexOf, type Outlook } from '#core/establishment/outlook'
import { addDays, type Day } from '#core/measure/calendar'
import { CAUSES } from '~/utils/causeWords'

/** The weeks around a day beside it, and each grass of a mixture by itself. */
const props = defineProps<{ outlook: Outlook; locked: boolean }>()
const day = defineModel<Day>({ required: true })
const AROUND = [-14, -7, 0, 7, 14]

const at = (of: Day) => props.outlook.sowing[indexOf(props.outlook, of)]
const parts = computed(() => at(day.value)?.parts ?? [])
const compared = computed(() =>
  AROUND.map((step) => addDays(day.value, step)).flatMap((of) => {
    const sown = at(of)
    return sown && of >= props.outlook.today ? [{ day: of, ...sown }] : []
  }),
)
/** Causes that take a year on any of these days; the others would be columns of noughts. */
const causes = computed(() => CAUSES.filter(({ code }) => compared.value.some((row) => row.causes[code] > 0)))
const on = (days: number | null) => (days === null ? t('sowingDay.notThisSeason') : shortDay(addDays(day.value, days)))
</script>

<template>
  <table v-if="parts.length" class="ledger">
    <thead>
      <tr>
        <th scope="col">{{ t('sowingDay.ofTheMixture') }}</th>
        <th scope="col" class="right">{{ t('sowingDay.n50Emerged') }}</th>
        <th scope="col" class="right">{{ t('sowingDay.of100') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="part in parts" :key="part.grass">
        <td>{{ tell(grassByCode(part.grass).name) }}</td>
        <td class="right num">{{ on(part.up50) }}</td>
        <td class="right">
          <b class="num">{{ Math.round((part.good / outlook.years) * 100) }}</b>
        </td>
      </tr>
    </tbody>
  </table>
  <div class="wide">
    <table class="ledger">
      <thead>
        <tr>
          <th scope="col">{{ t('sowingDay.ifYouSow') }}</th>
          <th scope="col" class="right">{{ t('sowingDay.of100') }}</th>
          <th v-for="{ code, head } in causes" :key="code" scope="col" class="right">{{ t(head) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in compared" :key="row.day" :class="{ chosen: row.day === day }">
          <td>
            <button v-if="!locked" type="button" class="pick" @click="day = row.day">
              {{ shortDayWithWeekday(row.day) }}
            </button>
            <template v-else>{{ shortDayWithWeekday(row.day) }}</template>
          </td>
          <td class="right">
            <b class="num">{{ row.chance.of100 }}</b>
            <span class="range">{{ row.chance.low }}–{{ row.chance.high }}</span>
          </td>
          <td v-for="{ code } in causes" :key="code" class="right">
            {{ Math.round((row.causes[code] / outlook.years) * 100) }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.wide {
  overflow-x: auto;
  min-width: 0;
}
.range {
  font-size: 11.5px;
  color: var(--ink-2);
  white-space: nowrap;
}
td,
th {
  vertical-align: middle;
  padding-left: 4px;
  padding-right: 4px;
}
td {
  white-space: nowrap;
}
.chosen {
  background: var(--straw-tint);
  outline: 1px solid var(--ink);
  font-weight: 600;
}
.pick {
  display: inline-flex;
  align-items: center;
  cursor: pointer;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  min-height: 24px;
}
@media (max-width: 900px) {
  .pick {
    min-height: 48px;
  }
}
</style>
