<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core'
import type { Task } from '#core/job/schedule/schedule'
import { phasesOf, workScale, workTicks } from '~/utils/workPhases'

const open = useLawn()
const { lawn, stepTo, busy, problem, trying, drop } = open
const context = useContextStore()
const work = useWork(open)
const { shown, moves, comes, goes, kept, marking, message } = work
const trials = useWorkTrials(open)

/** On a phone the next task comes before everything else. */
const narrow = useMediaQuery('screen and (max-width: 700px)')
const nextKey = computed(() => shown.value?.next?.key)
const isNext = (group: readonly Task[]) => group.some(({ key }) => key === nextKey.value)
/** What was done before this page was opened is folded; what is marked here stays in sight until it is left. */
const before = new Set(shown.value?.tasks.filter(({ done }) => done).map(({ key }) => key))
const allPhases = computed(() => phasesOf(shown.value?.tasks ?? [], ({ key }) => before.has(key)))
const nextUp = computed(() =>
  narrow.value ? allPhases.value.flatMap(({ cards }) => cards).find((group) => isNext(group)) : undefined,
)
const phases = computed(() =>
  nextUp.value
    ? allPhases.value.map((phase) => ({ ...phase, cards: phase.cards.filter((group) => !isNext(group)) }))
    : allPhases.value,
)
/** Days of finished work that are unfolded. */
const unfolded = ref(new Set<string>())
function fold(key: string): void {
  if (!unfolded.value.delete(key)) unfolded.value.add(key)
}
// What comes next is in sight when the page opens, however much is done before it.
onMounted(async () => {
  await nextTick()
  const next = document.querySelector('.sheet.next')
  if (next && next.getBoundingClientRect().top > window.innerHeight * 0.8) next.scrollIntoView({ block: 'center' })
})
const scale = computed(() => workScale(shown.value?.tasks ?? [], context.today))
const ticks = computed(() => workTicks(scale.value))
/** Limits that what is tried would break, and that hold as it stands. */
const breaks = computed(() => {
  const standing = new Set(work.standing.value?.troubles.map(({ text }) => text))
  const troubles = trying.value ? (shown.value?.troubles ?? []) : []
  return troubles.map(({ text }) => text).filter((text) => !standing.has(text))
})
const moved = computed(() => new Set(moves.value.map(({ key }) => key)))

/** A card of tasks, with what can be done with them. */
const cardFor = (tasks: Task[], phase: string) => ({
  tasks,
  anchor: trials.anchor.value,
  scale: phase === 'work' ? scale.value : undefined,
  busy: marking.value,
  trying: trying.value !== '',
  moved: moved.value,
})
const taskActions = {
  mark: work.mark,
  undo: work.undo,
  day: trials.day,
  float: trials.float,
  skip: trials.skip,
  overrule: trials.overrule,
  heed: trials.heed,
}

/** What goes to the printer: the whole, each visit on a page of its own, or the notice of one spraying. */
const paper = ref<'sheet' | 'visits' | 'notice'>('sheet')
const noticed = ref<Task>()
async function print(what: typeof paper.value, task?: Task): Promise<void> {
  paper.value = what
  noticed.value = task
  await nextTick()
  window.print()
}
</script>

<template>
  <div v-if="lawn && shown" class="do" :class="`paper-${paper}`">
    <TreatmentNotice v-if="paper === 'notice' && noticed" :lawn="lawn" :task="noticed" />
    <section v-if="nextUp" class="sheet next first" :aria-label="t('work.next2')">
      <TaskCard v-bind="cardFor(nextUp, 'next')" v-on="taskActions" />
    </section>
    <JobSheetHead v-if="paper !== 'visits'" class="head" :lawn="lawn" :crew-hours="shown.crewHours" />
    <WorkSummary :confirming="marking === 'confirm'" @confirm="work.confirm()" @print="print" />
    <p v-if="kept && !trying" class="kept small" role="status">
      {{ t('work.kept', { words: kept.words }) }}
      <button type="button" class="opens" @click="work.takeBack()">{{ t('work.undo2') }}</button>
    </p>
    <p v-if="message || problem" class="problem" role="alert">
      {{ message || problem!.fields.sowOn || problem!.message }}
    </p>
    <WhatMoves
      :trying="trying || undefined"
      :moves="moves"
      :comes="comes"
      :goes="goes"
      :troubles="breaks"
      :busy="busy"
      @keep="work.keep()"
      @drop="drop()"
      @confirm="work.confirm()"
    />
    <p
      v-for="({ text, sowOn }, i) in shown.troubles.filter((one) => !breaks.includes(one.text))"
      :key="i"
      class="caution"
    >
      {{ tell(text) }}
      <button v-if="sowOn && !trying" type="button" class="opens" @click="trials.day([trials.anchor.value], sowOn)">
        {{ t('work.see', { sowOn: shortDay(sowOn, context.today) }) }}
      </button>
      <NuxtLink :to="stepTo('when')" class="opens">{{ t('work.lookAtTheOdds') }}</NuxtLink>
    </p>
    <section v-for="{ phase, name, cards, done } in phases" :key="phase" class="phase" :class="phase">
      <div class="heads small">
        <h2>
          {{ name }}
        </h2>
        <span v-if="phase === 'work'" class="ticks" aria-hidden="true"
          ><i v-for="t in ticks" :key="t.day" :class="{ last: t.percent > 80 }" :style="{ left: `${t.percent}%` }">{{
            shortDay(t.day)
          }}</i></span
        >
      </div>
      <div v-for="of in done" :key="of.day" class="finished">
        <button
          type="button"
          class="line"
          :aria-expanded="unfolded.has(`${phase} ${of.day}`)"
          @click="fold(`${phase} ${of.day}`)"
        >
          <UIcon name="i-lucide-check" class="size-4" aria-hidden="true" />
          <b>{{ shortDayWithWeekday(of.day, context.today) }}</b>
          <span>{{ of.tasks.map(({ name }) => tell(name)).join(', ') }}</span>
        </button>
        <TaskCard v-if="unfolded.has(`${phase} ${of.day}`)" v-bind="cardFor(of.tasks, phase)" v-on="taskActions" />
      </div>
      <div v-for="group in cards" :key="group[0]!.key" class="sheet" :class="{ next: isNext(group) }">
        <JobSheetHead
          v-if="paper === 'visits'"
          class="own-head"
          :lawn="lawn"
          :crew-hours="group.reduce((sum, task) => sum + task.hours.value, 0)"
        />
        <TaskCard v-bind="cardFor(group, phase)" v-on="taskActions" />
      </div>
    </section>
    <AddWork
      v-if="!trying"
      :schedule="shown"
      :work="lawn.plan.work"
      :no-sprays="lawn.wishes.noSprays"
      @add="trials.add"
      @remove="trials.takeOut"
      @own="trials.addOwn"
      @back="trials.putBack"
    />
    <PlanVersions
      :lawn-id="lawn.id"
      :job-id="lawn.job.id"
      :version="lawn.plan.version"
      :busy="busy"
      @restore="work.restore"
    />
  </div>
  <section v-else-if="lawn" class="panel empty">
    <p class="verdict">{{ lawn.plan.programme ? t('work.noSowingDayYet') : t('work.nothingIsPlannedYet') }}</p>
    <p>{{ t('work.theScheduleIsDated') }}</p>
    <UButton color="primary" :to="stepTo(lawn.plan.programme ? 'when' : 'decide')">{{
      lawn.plan.programme ? t('work.chooseSowingDay') : t('work.goToDecide')
    }}</UButton>
  </section>
</template>

<style scoped>
.do,
.phase {
  display: grid;
  gap: 6px;
}
.kept {
  border-left: 5px solid var(--moss);
  padding: 4px 10px;
  background: var(--lime);
}
.finished .line {
  display: flex;
  gap: 8px;
  align-items: baseline;
  width: 100%;
  text-align: left;
  cursor: pointer;
  padding: 5px 12px;
  min-height: 30px;
  background: var(--chalk);
  border: 1px solid var(--rule);
  color: var(--ink-2);
}
.finished .line span:last-child {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.finished .line b {
  white-space: nowrap;
}
.heads {
  display: grid;
  grid-template-columns: 112px 128px minmax(0, 1fr);
  padding-top: 6px;
  align-items: end;
}
.heads h2 {
  white-space: nowrap;
  font-size: 16px;
}
.ticks {
  position: relative;
  height: 16px;
}
.ticks i {
  position: absolute;
  font-style: normal;
  transform: translateX(-50%);
  white-space: nowrap;
  font-size: 12px;
  bottom: 0;
}
.ticks .last {
  transform: translateX(-100%);
}
.empty {
  padding: 20px;
  display: grid;
  gap: 8px;
  justify-items: start;
}
@media (max-width: 700px) {
  .finished .line {
    min-height: 48px;
    align-items: center;
  }
}
@media (max-width: 900px) {
  .ticks {
    display: none;
  }
  .heads {
    grid-template-columns: 1fr;
  }
}
@media print {
  .do,
  .phase {
    gap: 0;
  }
  /* The task of the day's work; what is seen to from afar and later has visits of its own. */
  .paper-sheet .phase:not(.work) {
    display: none;
  }
  .heads,
  .kept {
    display: none;
  }
  .paper-notice > :not(.notice) {
    display: none;
  }
  .paper-visits .sheet:not(:last-child) {
    break-after: page;
  }
  .paper-visits .phase.after {
    break-before: page;
  }
  .paper-visits .finished,
  .paper-visits .phase.before {
    display: none;
  }
}
</style>
