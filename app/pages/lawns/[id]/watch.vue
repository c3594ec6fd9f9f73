<script setup lang="ts">
import type { NewPhoto } from '#contract/photo'
import type { NewSeen } from '#contract/seen'
import { markSchema, type Work } from '#contract/work'
import { zonesOf } from '#core/job/lawn'
import { frameFor, FRAMES_MM } from '#core/learning/germination'
import { gravest } from '~/utils/watchWords'

const open = useLawn()
const { lawn, plan, shown, season, savePlan, busy: saving, problem: planProblem } = open
const sill = useSillStore()
const context = useContextStore()
const { sownOn, watched, problem, busy, message, load, note, forget } = useWatch(open)
const { mark, marking, message: markMessage } = useWork(open)
const sows = computed(() => shown.value?.parts[0]?.programme.anchor !== 'dressing')
const asking = ref<'count' | 'check' | 'height' | 'cover' | 'spot' | null>(null)
const form = useTemplateRef<{ done?: () => void }>('form')
async function save(seen: NewSeen): Promise<void> {
  if (!(await note(seen))) return
  form.value?.done?.()
  asking.value = null
  if (seen.kind === 'check') await looked()
}
/** A visit that was due to look at the bed is done by having looked. */
async function looked(): Promise<void> {
  const next = plan.value?.schedule?.next
  if (!next?.operation.watchesSeedlings || next.operation.seesEmergence || next.to > context.today) return
  const told = markSchema.safeParse({ id: crypto.randomUUID(), task: next.key, doneOn: context.today })
  if (told.success) await mark(told.data)
}
/** The picture goes first: a note that names it never stands without it. Sent twice, each is one. */
async function saveCover(seen: NewSeen, photo: NewPhoto | null): Promise<void> {
  if (await note(seen, photo)) asking.value = null
}
const { visit, begin, leave, save: saveVisit } = useVisit(open, { note, mark, spots: () => (asking.value = 'spot') })
const putInPlan = (change: Partial<Work>) => lawn.value && savePlan({ work: { ...lawn.value.plan.work, ...change } })
/** The zone whose curve is shown: the one that stands worst until another is chosen. */
const chosen = ref<string | null>(null)
const zone = computed(
  () => watched.value?.zones.find(({ id }) => id === chosen.value) ?? gravest(watched.value?.zones ?? []),
)
const shownZone = computed({ get: () => zone.value?.id ?? null, set: (id) => (chosen.value = id) })
const ZONES = computed(() => (watched.value?.zones ?? []).map(({ id, name }) => ({ value: id, name })))
const frameMm = computed(
  () => zone.value?.counts.at(-1)?.frameMm ?? frameFor(zone.value?.perCm2 ?? 0.6, FRAMES_MM[context.units]),
)
const names = computed(() => ({
  ...Object.fromEntries(Object.entries(lawn.value?.zones ?? {}).map(([id, { name }]) => [id, name])),
  ...Object.fromEntries((watched.value?.logs ?? []).map(({ id, name }) => [id, name])),
}))
/** In the order of the survey. */
const measurable = computed(() =>
  open.ground.value ? zonesOf(open.ground.value).map(([id, { name }]) => ({ id, name })) : [],
)
/** How the lawn is mown for the first time, until it is. */
const firstMow = computed(() =>
  shown.value?.schedule?.tasks.find(({ operation, done }) => operation.opensLawn && !done),
)
const likely = computed(() => Object.fromEntries((watched.value?.zones ?? []).map(({ id, causes }) => [id, causes[0]])))
const waits = computed(() => !season.value.sownAt && !sill.problem)
</script>

<template>
  <section v-if="lawn && !sows" class="panel empty">
    <p>{{ t('watch.notFor') }}</p>
  </section>
  <NotYet
    v-else-if="lawn && !sownOn && !lawn.plan.sowOn"
    :title="t('watch.nothingYet')"
    :text="t('watch.followsSowing')"
  />
  <section v-else-if="lawn && !sownOn" class="panel empty">
    <p class="verdict">{{ t('watch.nothingYet') }}</p>
    <p>{{ t('watch.followsSowing') }}</p>
    <UButton color="primary" :to="open.stepTo('do')">{{ t('watch.goToDo') }}</UButton>
  </section>
  <NoClimate v-else-if="sill.lacks" :what="t('lawns.watch')" />
  <div v-else-if="problem" class="problem" role="alert">
    {{ problem.message }}
    <UButton variant="outline" class="ml-3" @click="load">{{ t('shell.tryAgain') }}</UButton>
  </div>
  <div v-else-if="watched && lawn && plan && !waits" class="watch" :class="{ asking: asking !== null || visit }">
    <WatchVisits
      class="visits"
      :tasks="plan.schedule?.tasks ?? []"
      :next-key="plan.schedule?.next?.key"
      :busy="marking !== ''"
      @mark="mark"
      @begin="begin"
    />
    <div class="middle">
      <p v-if="message || markMessage || planProblem" class="problem" role="alert">
        {{ message || markMessage || planProblem!.message }}
      </p>
      <VisitForm v-if="visit" :key="visit.key" :task="visit" :busy="busy" @save="saveVisit" @cancel="leave" />
      <CountForm
        v-else-if="asking === 'count'"
        ref="form"
        :zones="watched.zones"
        :sown-on="watched.sownOn"
        :job-id="lawn.job.id"
        :busy="busy"
        @save="save"
        @cancel="asking = null"
      />
      <CheckForm v-else-if="asking === 'check'" :zones="measurable" :busy="busy" @save="save" @cancel="asking = null" />
      <HeightForm
        v-else-if="asking === 'height'"
        :zones="measurable"
        :busy="busy"
        @save="save"
        @cancel="asking = null"
      />
      <CoverForm
        v-else-if="asking === 'cover'"
        :zones="measurable"
        :busy="busy"
        @save="saveCover"
        @cancel="asking = null"
      />
      <SpotForm
        v-else-if="asking === 'spot'"
        :zones="measurable"
        :features="lawn.features"
        :spots="watched.zones.flatMap(({ spots }) => spots)"
        :likely="likely"
        :busy="busy"
        @save="save"
        @cancel="asking = null"
      />
      <div v-else class="ask">
        <UButton v-if="watched.zones.length" color="primary" size="lg" icon="i-lucide-scan" @click="asking = 'count'">{{
          t('watch.countNow')
        }}</UButton>
        <UButton size="lg" variant="outline" icon="i-lucide-droplets" @click="asking = 'check'">{{
          t('watch.checkNow')
        }}</UButton>
        <UButton size="lg" variant="outline" icon="i-lucide-ruler" @click="asking = 'height'">{{
          t('watch.heightNow')
        }}</UButton>
        <UButton size="lg" variant="outline" icon="i-lucide-camera" @click="asking = 'cover'">{{
          t('watch.coverNow')
        }}</UButton>
        <UButton size="lg" variant="outline" icon="i-lucide-map-pin" @click="asking = 'spot'">{{
          t('watch.spotNow')
        }}</UButton>
      </div>
      <template v-if="zone">
        <PickOne v-if="ZONES.length > 1" v-model="shownZone" :label="t('watch.zone')" :choices="ZONES" needed />
        <EmergenceChart :zone :frame-mm="frameMm" :sown-on="watched.sownOn" :day="watched.day" />
      </template>
      <p v-else class="caution">{{ t('watch.tooLongAgo') }}</p>
      <GrowthChart v-if="watched.growth" :growth="watched.growth" :sown-on="watched.sownOn" :day="watched.day" />
      <MowingsDone :mowings="watched.mowings" :busy="marking !== ''" @mow="mark" />
      <LeafStages
        v-if="watched.growth && measurable.length"
        :stages="watched.growth.stages"
        :sown-on="watched.sownOn"
        :day="watched.day"
        :zone-id="shownZone ?? measurable[0]!.id"
        :busy
        @save="note"
      />
      <TaskWhat v-if="firstMow" :task="firstMow" />
      <ThinSpots :zones="watched.zones" :features="lawn.features" />
      <SeenNotes :seen="lawn.seen" :names="names" :busy="busy" @forget="forget" />
    </div>
    <WatchVerdict
      class="says"
      :watched
      :watering="plan.watering"
      :work="lawn.plan.work"
      :busy="saving"
      @plan="putInPlan"
    />
  </div>
  <div v-else class="panel empty" role="status">{{ t('watch.workingOut') }}</div>
</template>

<style scoped>
.watch {
  display: grid;
  grid-template-columns: 220px minmax(0, 1fr) 336px;
  gap: 16px 22px;
  align-items: start;
}
.middle {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
@media (max-width: 1000px) {
  .watch {
    grid-template-columns: minmax(0, 1fr);
  }
  .says {
    order: -1;
  }
  .visits {
    order: 2;
  }
  /* What is being entered comes before what was said so far. */
  .asking .says {
    order: 1;
  }
}
@media (max-width: 700px) {
  .ask > * {
    flex: 1 1 100%;
    justify-content: center;
    min-height: 56px;
  }
}
</style>
