<script setup lang="ts">
import { grassByCode } from '#core/grass/grasses'
import { indexOf, type Outlook } from '#core/establishment/outlook'
import { addDays, shortDay, shortDayWithWeekday, type Day } from '#core/measure/calendar'
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
const on = (days: number | null) => (days === null ? 'not this season' : shortDay(addDays(day.value, days)))
</script>

<template>
  <table v-if="parts.length" class="ledger">
    <thead>
      <tr>
        <th scope="col">Of the mixture</th>
        <th scope="col" class="right">50% emerged</th>
        <th scope="col" class="right">Of 100</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="part in parts" :key="part.grass">
        <td>{{ grassByCode(part.grass).name }}</td>
        <td class="right num">{{ on(part.up50) }}</td>
        <td class="right">
          <b class="num">{{ Math.round((part.good / outlook.years) * 100) }}</b>
        </td>
      </tr>
    </tbody>
  </table>
  <table class="ledger">
    <thead>
      <tr>
        <th scope="col">If you sow</th>
        <th scope="col" class="right">Of 100</th>
        <th scope="col" class="right">Range</th>
        <th v-for="{ code, head } in CAUSES" :key="code" scope="col" class="right">{{ head }}</th>
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
        </td>
        <td class="right">{{ row.chance.low }} to {{ row.chance.high }}</td>
        <td v-for="{ code } in CAUSES" :key="code" class="right">
          {{ Math.round((row.causes[code] / outlook.years) * 100) }}
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
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
