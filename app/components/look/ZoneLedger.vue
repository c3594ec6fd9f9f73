<script setup lang="ts">
import { PLANNING } from '#core/job/planningFigures'
import { sunHoursOn, thatchMm, type Zone } from '#core/site/zone'

/** The zones as rows of a ledger; the chosen one opens its questions under it. */
const chosen = defineModel<string | null>({ required: true })
const { draft, measured, addZone, removeZone } = useSurveyHere()
const context = useContextStore()
const { shown, unit } = useUnits()
const zones = computed(() => Object.entries(draft.zones).sort(([, a], [, b]) => a.order - b.order))
const show = (quantity: 'areaM2' | 'depthMm', value: number | null) =>
  value === null ? '–' : shown({ quantity, value, digits: quantity === 'areaM2' ? 3 : 2 }).value
const sun = (id: string, zone: Zone) =>
  sunHoursOn(zone, measured.value[id] ?? { areaM2: null, sunByMonthH: null }, context.today)
const driver = ({ driverMm }: Zone) =>
  driverMm.length ? driverMm.reduce((sum, mm) => sum + mm, 0) / driverMm.length : null
const limits = computed(() => context.firmRecord.planning)
const toggle = (id: string) => {
  chosen.value = chosen.value === id ? null : id
}
const confirming = ref('')
const add = () => {
  chosen.value = addZone() ?? chosen.value
}
function remove(id: string): void {
  removeZone(id)
  confirming.value = ''
  chosen.value = null
}
</script>

<template>
  <section class="zones">
    <div class="line heads small">
      <span>{{ t('look.zone') }}</span><span>{{ unit('areaM2') }}</span
      ><span>{{ t('look.sunH') }}</span
      ><span>{{ t('look.grassWeedsBare') }}</span
      ><span>{{ t('look.thatch2', { depthMm: unit('depthMm') }) }}</span
      ><span>{{ t('look.driver', { depthMm: unit('depthMm') }) }}</span>
    </div>
    <div v-for="[id, zone] in zones" :key="id" class="zone" :class="{ open: chosen === id }">
      <button type="button" class="line" :aria-expanded="chosen === id" @click="toggle(id)">
        <span class="name"
          ><b>{{ zone.name }}</b
          ><i class="small">{{
            zone.slopeShare
              ? t('look.falls', { slopeShare: Math.round(zone.slopeShare * 100) })
              : zone.wear === 'heavy'
                ? t('look.walkedBare')
                : zone.drainage === 'standing'
                  ? t('look.waterStands')
                  : ''
          }}</i></span
        >
        <span class="num">{{ show('areaM2', measured[id]?.areaM2 ?? null) }}</span>
        <span
          ><b class="num">{{ sun(id, zone)?.toFixed(1) ?? '–' }}</b
          ><i v-if="(sun(id, zone) ?? 9) < limits.sunLeast" class="over">{{ t('look.noTurfLasts') }}</i></span
        >
        <CoverBar v-if="zone.desirableShare !== null" :zone="zone" /><span v-else>–</span>
        <span
          ><b class="num">{{ show('depthMm', thatchMm(zone)) }}</b
          ><i v-if="(thatchMm(zone) ?? 0) > limits.thatch" class="over">{{
            t('look.over2', { depthMm: show('depthMm', PLANNING.thatch.value) })
          }}</i></span
        >
        <span
          ><b class="num">{{ show('depthMm', driver(zone)) }}</b
          ><i v-if="driver(zone) !== null && driver(zone)! < limits.driver" class="over">{{ t('look.hard') }}</i></span
        >
      </button>
      <div v-if="chosen === id" class="fields">
        <ZoneFields :id="id" :key="id" />
        <div v-if="zones.length > 1" class="remove">
          <template v-if="confirming === id"
            ><span>{{ t('look.takeOutWithWhat', { name: zone.name }) }}</span
            ><UButton color="error" variant="outline" size="sm" @click="remove(id)">{{ t('look.takeItOut') }}</UButton
            ><UButton variant="outline" size="sm" @click="confirming = ''">{{ t('look.keepIt') }}</UButton></template
          >
          <UButton v-else variant="outline" size="sm" @click="confirming = id">{{ t('look.takeThisZoneOut') }}</UButton>
        </div>
      </div>
    </div>
    <button type="button" class="add" @click="add">{{ t('look.addAZoneOther') }}</button>
  </section>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: minmax(96px, 1.3fr) 58px 52px minmax(96px, 1.2fr) 62px 60px;
  gap: 8px;
  align-items: center;
  width: 100%;
  text-align: left;
  padding: 5px 6px;
}
.heads {
  border-bottom: 1.5px solid var(--ink);
  align-items: end;
}
.line > :nth-child(2),
.line > :nth-child(3),
.line > :nth-child(5),
.line > :nth-child(6) {
  text-align: right;
}
.zone {
  border-bottom: 1px solid var(--rule);
}
.zone > .line {
  cursor: pointer;
  min-height: 41px;
}
.zone > .line:hover b {
  text-decoration: underline;
}
.open {
  outline: 2px solid var(--ink);
  background: var(--lime);
}
.open > .line {
  background: var(--straw-tint);
}
.name {
  display: grid;
}
.name i,
.over {
  font-style: normal;
  display: block;
}
.over {
  color: var(--clay);
  font-weight: 600;
  font-size: 12px;
}
.num {
  font-size: 15px;
}
.fields {
  padding: 10px 12px 12px;
  border-top: 1px solid var(--ink);
}
.remove {
  display: flex;
  gap: 10px;
  align-items: center;
  margin-top: 12px;
}
.add {
  width: 100%;
  text-align: left;
  padding: 7px 6px;
  border-bottom: 1.5px dashed var(--rule-2);
  cursor: pointer;
  color: var(--ink-2);
}
.add:hover {
  text-decoration: underline;
}
@media (max-width: 700px) {
  .heads {
    display: none;
  }
  .line {
    grid-template-columns: 1fr 1fr 1fr;
  }
  .name {
    grid-column: 1 / -1;
  }
  .line > * {
    text-align: left !important;
  }
}
</style>
