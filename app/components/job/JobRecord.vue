<script setup lang="ts">
import type { Message } from '#core/explain/message'
import type { EndedJob } from '#contract/keptJob'
import { zonesOf } from '#core/job/lawn'
import { operationOf } from '#core/job/operations/registry'
import { doneByKey } from '#core/job/marks'
import { putDownOn } from '#core/job/states'
import { swardByCode } from '#core/grass/swards'
import { grassByCode } from '#core/grass/grasses'
import { figure } from '#core/measure/figure'
import { showMoney } from '#core/measure/money'
import { STOCK_QUANTITY, kindOf } from '#core/materials/stock'
import { programmeWords } from '~/utils/programmeWords'

/** The record of a job that has ended: what was found, planned, done and used, as it was. */
const props = defineProps<{ record: EndedJob }>()
const context = useContextStore()
const { text } = useUnits()
const day = (of: Parameters<typeof shortDay>[0]) => shortDay(of, context.today)
const kept = computed(() => props.record.kept)
const down = computed(() => putDownOn({ programme: props.record.job.programme, marks: props.record.done }))
const done = computed(() => doneByKey(props.record.done).done)
const zones = computed(() =>
  zonesOf(props.record.ground).map(([id, zone]) => ({
    id,
    zone,
    areaM2: props.record.ground.measured[id]?.areaM2 ?? null,
  })),
)
/** Names kept before there was a catalogue of messages are words. */
const wasSaid = (name: Message | string) => (typeof name === 'string' ? name : tell(name))
/** A task that the plan had no longer. */
function nameOf(key: string): string {
  const operation = operationOf(key)
  return operation ? tell(operation.name) : (props.record.plan.work.own[key]?.name ?? t('job.ownWork'))
}
/** Tasks as planned, each with what was marked of it; marks of tasks that the plan no longer had come last. */
const tasks = computed(() => {
  const planned = kept.value.tasks.map((task) => ({
    ...task,
    marks: props.record.done.filter(({ key }) => key === task.key),
  }))
  const known = new Set(planned.map(({ key }) => key))
  const others = props.record.done.filter(({ key }) => !known.has(key))
  return [
    ...planned,
    ...others.map((mark) => ({ key: mark.key, name: nameOf(mark.key), to: undefined, uses: [], marks: [mark] })),
  ]
})
</script>

<template>
  <article class="record">
    <header>
      <h2>{{ t('job.job2', { number: record.job.number, job: programmeWords(record.job) }) }}</h2>
      <p v-if="record.job.ended" class="verdict">
        {{ record.job.state === 'closed' ? t('job.closed') : t('job.calledOff') }} {{ day(record.job.ended.on)
        }}<template v-if="record.job.ended.by"> {{ t('job.by', { by: record.job.ended.by }) }}</template
        >.
      </p>
      <p v-if="record.job.ended?.note" class="note">{{ record.job.ended.note }}</p>
    </header>
    <dl class="facts">
      <div>
        <dt>{{ t('job.sowing') }}</dt>
        <dd>{{ down ? day(down) : t('job.nothingSown') }}</dd>
      </div>
      <div v-if="record.job.confirmed">
        <dt>{{ t('job.scheduleConfirmed') }}</dt>
        <dd>
          {{ day(record.job.confirmed.on)
          }}<template v-if="record.job.confirmed.by">, {{ record.job.confirmed.by }}</template>
        </dd>
      </div>
      <div v-if="kept.seedKg">
        <dt>{{ t('job.seed') }}</dt>
        <dd>{{ text(figure('massKg', kept.seedKg)) }}</dd>
      </div>
      <div v-if="kept.crewHours">
        <dt>{{ t('job.crewHoursPlanned') }}</dt>
        <dd>{{ kept.crewHours.toFixed(1) }}</dd>
      </div>
      <div v-if="kept.priceMinor">
        <dt>{{ t('job.price') }}</dt>
        <dd>{{ showMoney(kept.priceMinor, kept.currency) }}</dd>
      </div>
    </dl>
    <h3>{{ t('job.zonesAsSurveyed') }}</h3>
    <table class="ledger" :aria-label="t('job.zonesAsSurveyed')">
      <thead>
        <tr>
          <th scope="col">{{ t('job.zone') }}</th>
          <th scope="col" class="right">{{ t('job.area') }}</th>
          <th scope="col">{{ t('job.stood') }}</th>
          <th scope="col">{{ t('job.wanted') }}</th>
          <th scope="col" class="right">{{ t('job.bare') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ id, zone, areaM2 } in zones" :key="id">
          <td>{{ zone.name }}</td>
          <td class="right num">{{ areaM2 === null ? '' : text(figure('areaM2', areaM2)) }}</td>
          <td>{{ zone.sward ? tell(swardByCode(zone.sward).name) : '' }}</td>
          <td>{{ zone.grass ? tell(grassByCode(zone.grass).name) : '' }}</td>
          <td class="right num">{{ zone.bareShare === null ? '' : text(figure('share', zone.bareShare)) }}</td>
        </tr>
      </tbody>
    </table>
    <h3>{{ t('job.tasks') }}</h3>
    <table class="ledger" :aria-label="t('job.tasks')">
      <thead>
        <tr>
          <th scope="col">{{ t('job.task') }}</th>
          <th scope="col">{{ t('job.planned') }}</th>
          <th scope="col">{{ t('job.done') }}</th>
          <th scope="col">{{ t('job.materialPlanned') }}</th>
          <th scope="col">{{ t('job.note') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="task in tasks" :key="task.key + (task.to ?? task.marks[0]?.id)">
          <td>{{ wasSaid(task.name) }}</td>
          <td>{{ task.to ? day(task.to) : '' }}</td>
          <td>
            <template v-if="task.marks.length">
              <span v-for="mark in task.marks" :key="mark.id" class="mark"
                >{{ day(mark.doneOn)
                }}<template v-if="mark.share < 1">, {{ text(figure('share', mark.share)) }}</template
                ><template v-if="mark.savedBy">, {{ mark.savedBy }}</template
                ><template v-if="mark.hours">{{ t('job.hoursOfWork', { hours: mark.hours }) }}</template
                ><template v-if="mark.massKg">, {{ text(figure('massKg', mark.massKg)) }}</template
                ><template v-if="mark.volumeM3">, {{ text(figure('volumeM3', mark.volumeM3)) }}</template></span
              >
            </template>
            <template v-else-if="!done.has(task.key)">{{ t('job.notDone') }}</template>
          </td>
          <td>
            <span v-for="one in task.uses" :key="one.matter" class="mark"
              >{{ wasSaid(one.words) }}, {{ text(figure(STOCK_QUANTITY[kindOf(one.matter)], one.amount)) }}</span
            >
          </td>
          <td>
            <span v-for="mark in task.marks.filter(({ note, against }) => note || against)" :key="mark.id" class="mark"
              ><b v-if="mark.against">{{ t('job.doneAgainst', { against: mark.against }) }} </b>{{ mark.note }}</span
            >
          </td>
        </tr>
      </tbody>
    </table>
    <template v-if="kept.leftOut.length">
      <h3>{{ t('job.leftOut') }}</h3>
      <ul>
        <li v-for="(one, i) in kept.leftOut" :key="i">{{ wasSaid(one.name) }}: {{ one.reason }}</li>
      </ul>
    </template>
    <p class="small">{{ t('job.keptWithThePrices', { keptOn: day(kept.keptOn) }) }}</p>
  </article>
</template>

<style scoped>
.record {
  display: grid;
  gap: 8px;
  padding-top: 12px;
}
.facts {
  display: flex;
  gap: 6px 28px;
  flex-wrap: wrap;
}
.facts dt {
  font-size: 12.5px;
  color: var(--ink-2);
}
.facts dd {
  margin: 0;
  font-weight: 600;
}
.note {
  max-width: 70ch;
  white-space: pre-line;
}
.mark {
  display: block;
}
@media (max-width: 900px) {
  .record {
    overflow-x: auto;
  }
}
</style>
