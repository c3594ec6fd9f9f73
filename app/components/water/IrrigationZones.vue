<script setup lang="ts">
import { figure } from '#core/measure/figure'
import { zoneSurveysOf } from '#core/job/lawn'
import { irrigationOf } from '#core/job/watering'
import { evennessOf, precipitationOf } from '#core/water/catchCans'
import { supplyOf } from '#core/water/irrigation'
import type { WateringProgramme } from '#core/water/programme'
import { groundOf, type Lawn } from '#contract/lawn'
import { hourWords, readHours } from '~/utils/hourWords'

/** What waters which part of the lawn, what it puts down, and the minutes that makes; each opens to be told and measured. */
const props = defineProps<{ lawn: Lawn; watering: WateringProgramme }>()
const context = useContextStore()
const { text } = useUnits()
const survey = useSurvey(props.lawn)
const { draft, dirty, busy, message, save, forget } = survey
const { minutesOf } = useWatering(() => ({ watering: props.watering, sowOn: context.today }))
const open = ref<string>()

const zones = computed(() =>
  irrigationOf(groundOf(props.lawn), zoneSurveysOf(groundOf(props.lawn), context.today)).map((zone) => {
    const supply = supplyOf(zone, zone.watersM2)
    const measured = zone.cans ? precipitationOf(zone.cans) : undefined
    const wet = props.watering.phases[0]!.zones.find(({ id }) => id === zone.id)
    return { zone, supply, measured, wet }
  }),
)
const assumed = computed(() => zones.value.some(({ zone }) => zone.assumed))
/** What stands in for what nobody told of becomes theirs to change. */
function told(): void {
  if (draft.water.irrigation.length) return
  draft.water.irrigation = zones.value.map(({ zone: { id, name, kind, zoneId } }) =>
    newIrrigationZone({ id, name, kind, zoneId }),
  )
}
function change(id: string): void {
  told()
  open.value = open.value === id ? undefined : id
}
function add(): void {
  told()
  const zone = newIrrigationZone({ name: t('look.circuit', { circuits: draft.water.irrigation.length + 1 }) })
  draft.water.irrigation.push(zone)
  open.value = zone.id
}
const KNOWN = {
  typed: t('water.knownTyped'),
  flow: t('water.knownFlow'),
  usual: t('water.knownUsual'),
} as const
const EVEN = { good: t('water.good'), fair: t('water.fair'), poor: t('water.poor') } as const
const hoursTyped = ref(draft.water.hours.map(([from, to]) => `${from}-${to}`).join(', '))
const hoursWrong = computed(() => readHours(hoursTyped.value) === undefined)
function typeHours(): void {
  const hours = readHours(hoursTyped.value)
  if (hours) draft.water.hours = hours
}
const edited = computed(() => draft.water.irrigation.findIndex(({ id }) => id === open.value))
</script>

<template>
  <section>
    <h2>{{ t('water.zones') }}</h2>
    <p v-if="assumed" class="small">{{ t('water.assumed') }}</p>
    <div class="scrolls">
      <table class="ledger">
        <thead>
          <tr>
            <th scope="col">{{ t('water.zone') }}</th>
            <th scope="col">{{ t('water.putsDown') }}</th>
            <th scope="col">{{ t('water.evenness') }}</th>
            <th scope="col">{{ t('water.times') }}</th>
            <th scope="col">{{ t('water.minutes') }}</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ zone, supply, measured, wet } in zones" :key="zone.id">
            <th scope="row">
              <b>{{ zone.name }}</b><br /><span class="small">{{ text(figure('areaM2', zone.watersM2)) }}</span>
            </th>
            <td>
              <template v-if="supply"
                ><b class="num">{{ text(figure('rateMmPerH', supply.rateMmPerH)) }}</b
                ><br /><span class="small">{{
                  supply.known === 'cans' ? t('water.knownCans', { n: zone.cans!.values.length }) : KNOWN[supply.known]
                }}</span></template
              ><template v-else>{{ t('water.nobody') }}</template>
            </td>
            <td>
              <template v-if="measured"
                ><b class="num">{{ text(figure('share', measured.uniformity, 2)) }}</b>
                {{ EVEN[evennessOf(measured.uniformity)] }}<br /><span class="small">{{
                  t('water.weakCorner', { can: measured.weakest + 1 })
                }}</span></template
              >
            </td>
            <td>
              {{ wet?.cycles.map(({ hour }) => hourWords(hour)).join(', ') }}
            </td>
            <td>
              <template v-if="wet"
                ><b class="num">{{ minutesOf(wet.run) }}</b
                ><template v-if="wet.run && measured"
                  ><br /><span class="small">{{
                    t('water.byMean', { minutes: Math.max(1, Math.round(wet.meanMinutes!)) })
                  }}</span></template
                ></template
              >
            </td>
            <td>
              <UButton size="sm" variant="outline" :aria-expanded="open === zone.id" @click="change(zone.id)">{{
                open === zone.id ? t('water.done') : t('water.change')
              }}</UButton>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <IrrigationZoneFields v-if="edited >= 0" :key="open" :index="edited" @remove="open = undefined" />
    <div class="foot">
      <UButton v-if="draft.water.irrigation.length < 16" size="sm" variant="outline" @click="add">{{
        t('water.add')
      }}</UButton>
      <UFormField
        :label="t('water.allowed')"
        :help="t('water.allowedHelp')"
        :error="hoursWrong && t('water.hoursUnread')"
        ><UInput v-model="hoursTyped" maxlength="40" @update:model-value="typeHours"
      /></UFormField>
    </div>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <div v-if="dirty" class="foot">
      <UButton color="primary" :loading="busy" :disabled="hoursWrong" @click="save">{{ t('water.save') }}</UButton>
      <UButton variant="outline" @click="forget">{{ t('water.drop') }}</UButton>
      <span class="small" role="status">{{ t('water.unsaved') }}</span>
    </div>
  </section>
</template>

<style scoped>
.scrolls {
  overflow-x: auto;
}
@media (max-width: 700px) {
  thead {
    display: none;
  }
  tr {
    display: grid;
    grid-template-columns: 1fr 1fr;
    border-bottom: 1px solid var(--ink);
    padding: 6px 0;
  }
  .ledger :is(td, th[scope='row']) {
    border: 0;
    padding: 3px 6px;
  }
  .ledger td:empty {
    display: none;
  }
}
th[scope='row'] {
  color: var(--ink);
  border-bottom: 1px solid var(--rule);
}
.foot {
  display: flex;
  gap: 12px 16px;
  align-items: start;
  flex-wrap: wrap;
  margin-top: 10px;
}
</style>
