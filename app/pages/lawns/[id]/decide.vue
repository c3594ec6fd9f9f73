<script setup lang="ts">
import { operationOf } from '#core/job/operations/registry'
import type { GrassCode } from '#core/grass/grasses'
import { fieldName, fieldText } from '~/utils/fieldWords'
import { lookFields } from '~/composables/useSurvey'

const here = useLawn()
const { id, lawn, missing, decision, outlook, busy, problem, stepTo } = here
const context = useContextStore()
const store = useLawnsStore()
const sill = useSillStore()
const { candidates, refused, differences, candidateFor } = useDecide(here)
const { chosen, against, note, noteError, choose, insist, override, remove, practise, treat } = useProgrammeChoice(
  here,
  candidateFor,
)
const look = useMergingSave(
  (value: ReturnType<typeof lookFields>) => store.saveLook(id, value),
  lookFields,
  (path) => fieldName(path),
)
/** Ordering and testing bind nobody to a programme; work on the lawn does. */
const started = computed(
  () => lawn.value?.done.some(({ key }) => (operationOf(key)?.phase ?? 'before') !== 'before') ?? false,
)
const waiting = computed(() => decision.value?.waiting)
const recommended = computed(() => decision.value?.recommended)
const trouble = computed(() => problem.value ?? look.problem.value)
const counts = computed(() => {
  const fit = candidates.value.length
  return t('decide.programmeFitsProgrammesFit', { fit, refused: refused.value.length })
})

async function sowWith(zoneId: string, grass: GrassCode): Promise<void> {
  if (!lawn.value) return
  const base = lookFields(lawn.value)
  const changed = { ...base, zones: { ...base.zones, [zoneId]: { ...base.zones[zoneId]!, grass } } }
  if (await look.save(base, changed)) void sill.show(id)
}
</script>

<template>
  <div v-if="lawn" class="decide">
    <EditClash
      v-if="look.clash.value"
      class="whole"
      :clash="look.clash.value"
      :label="(path) => fieldName(path)"
      :show="(path, value) => fieldText(path, value, context.units)"
      :busy="look.busy.value"
      @settle="(theirs) => look.settleClash(theirs)"
    />
    <section v-if="missing.length" class="panel ask whole">
      <p class="verdict">{{ t('decide.theSurveyIsNot') }}</p>
      <p>{{ t('decide.missing', { missing }) }}</p>
      <UButton color="primary" :to="stepTo('look')">{{ t('decide.answerWhatIsMissing') }}</UButton>
    </section>
    <template v-else-if="decision && waiting">
      <DecideVerdict class="whole" :waiting :foremost="chosen ?? recommended" :counts>
        <template v-if="chosen">
          <UButton color="primary" :to="stepTo('when')">{{ t('decide.chooseSowingDay') }}</UButton>
          <UButton v-if="!started" variant="outline" :loading="busy" @click="remove">{{
            t('decide.removeProgramme')
          }}</UButton>
        </template>
      </DecideVerdict>
      <OverrideAsk
        v-if="against"
        v-model:note="note"
        class="whole"
        :against
        :error="noteError"
        :busy
        @override="override"
        @leave="against = undefined"
      />
      <p v-if="trouble" class="problem whole" role="alert">{{ trouble.message }}</p>
      <div class="side">
        <ProgrammeColumns
          :candidates
          :chosen
          :recommended
          :years="outlook?.years ?? 30"
          :busy
          :locked="started"
          @plan="choose"
        />
        <p v-if="started" class="small">{{ t('decide.workHasBegunThe') }}</p>
        <NotSuitable v-if="refused.length" :refused :open="!started && !waiting.binding" @insist="insist" />
      </div>
      <div class="side">
        <PracticeChoices :differences :locked="started || busy" @choose="practise" />
        <GrassByZone
          :lawn
          :zones="decision.zones"
          :years="outlook?.lasting"
          :chosen
          :busy="busy || look.busy.value"
          :locked="started"
          @grass="sowWith"
          @programme="treat"
        />
        <OverriddenNotes :lawn />
      </div>
    </template>
    <NoClimate v-else-if="sill.lacks" class="whole" :what="t('decide.decide')" />
    <p v-else-if="!sill.problem" class="panel ask whole" role="status">{{ t('decide.workingOutTheYears') }}</p>
  </div>
</template>

<style scoped>
.decide {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 376px;
  gap: 12px 24px;
  align-items: start;
}
.whole {
  grid-column: 1 / -1;
}
.ask {
  padding: 12px 16px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
.side {
  display: grid;
  gap: 14px;
  align-content: start;
  min-width: 0;
}
@media (max-width: 1000px) {
  .decide {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
