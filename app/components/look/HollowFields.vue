<script setup lang="ts">
import { hollowProblem, liftsFor, measureHollow, parseDepthRows } from '#core/site/hollow'
import { MM_PER_INCH } from '#core/measure/units'
import type { Zone } from '#core/site/zone'

/** Hollows of a zone by depths under a straight edge: a grid, or the one row of a string. */
const props = defineProps<{ id: string }>()
const { draft, errors, unread } = useSurveyHere()
const { text, system } = useUnits()
const zone = computed(() => draft.zones[props.id]!)
const toMm = computed(() => (system.value === 'us' ? MM_PER_INCH : 1))
const shownRows = (hollow: Zone['hollows'][number]) =>
  hollow.rowsMm.map((row) => row.map((mm) => Math.round((mm / toMm.value) * 100) / 100).join(' ')).join(' / ')
const typed = reactive(zone.value.hollows.map(shownRows))
function read(i: number): void {
  const rows = parseDepthRows(typed[i]!)
  const path = `zones.${props.id}.hollows.${i}`
  if (rows) {
    zone.value.hollows[i]!.rowsMm = rows.map((row) => row.map((n) => n * toMm.value))
    unread.delete(path)
  } else unread.set(path, t('look.numbersOnly'))
}
function problemOf(hollow: Zone['hollows'][number]): string | undefined {
  const problem = hollowProblem(hollow)
  return problem && tell(problem)
}
function add(): void {
  zone.value.hollows.push({
    name: t('look.hollow', { hollows: zone.value.hollows.length + 1 }),
    spacingM: system.value === 'us' ? 0.3048 * 2 : 0.5,
    widthM: null,
    rowsMm: [
      [0, 0, 0],
      [0, 25, 0],
      [0, 0, 0],
    ],
  })
  typed.push(shownRows(zone.value.hollows.at(-1)!))
}
function remove(i: number): void {
  zone.value.hollows.splice(i, 1)
  typed.splice(i, 1)
  unread.delete(`zones.${props.id}.hollows.${i}`)
}
const measured = computed(() =>
  zone.value.hollows.map((hollow) => (hollowProblem(hollow) ? undefined : measureHollow(hollow))),
)
</script>

<template>
  <div class="hollows">
    <UCheckbox
      v-model="zone.levelsSeen"
      :disabled="zone.hollows.length > 0"
      :label="t('look.lookedAlongItWith', { hasHollows: Boolean(zone.hollows.length) })"
    />
    <div v-for="(hollow, i) in zone.hollows" :key="i" class="one panel">
      <UFormField :label="t('look.name')"><UInput v-model="hollow.name" maxlength="40" /></UFormField>
      <TypedInput
        v-model="hollow.spacingM"
        :label="t('look.depthsApart')"
        quantity="distanceM"
        :path="`zones.${id}.hollows.${i}.spacingM`"
      />
      <TypedInput
        v-model="hollow.widthM"
        :label="t('look.widthIfOneRow')"
        quantity="distanceM"
        :path="`zones.${id}.hollows.${i}.widthM`"
      />
      <UFormField
        class="rows"
        :label="t('look.depthsUsMmA', { system })"
        :error="
          problemOf(hollow) ?? unread.get(`zones.${id}.hollows.${i}`) ?? errors[`zones.${id}.hollows.${i}.rowsMm`]
        "
        ><UInput v-model="typed[i]" maxlength="600" @update:model-value="read(i)"
      /></UFormField>
      <p v-if="measured[i]" class="rows small">
        <WorkedNumber :worked="measured[i].volume" /> {{ t('look.toFillDeepest') }}
        <b>{{ text({ quantity: 'depthMm', value: measured[i].deepestMm }) }}</b>{{
          t('look.liftLiftsOverLiving', { deepestMm: liftsFor(measured[i].deepestMm) })
        }}
      </p>
      <UButton variant="outline" size="sm" :aria-label="t('look.takeOut', { name: hollow.name })" @click="remove(i)">{{
        t('look.remove')
      }}</UButton>
    </div>
    <UButton v-if="zone.hollows.length < 12" variant="outline" size="sm" class="add" @click="add">{{
      t('look.addAHollow')
    }}</UButton>
  </div>
</template>

<style scoped>
.hollows {
  display: grid;
  gap: 8px;
}
.one {
  padding: 8px 10px;
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px 12px;
  align-items: start;
}
.rows {
  grid-column: 1 / -1;
}
.add,
.one button {
  justify-self: start;
}
</style>
