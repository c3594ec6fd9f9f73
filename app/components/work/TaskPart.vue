<script setup lang="ts">
import type { NewMark } from '#contract/work'
import type { Task } from '#core/job/schedule/schedule'
import { shortDay, type Day } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'

/** One operation on a task: settings, gates, hours; marking it done, moving it, leaving it out. */
const props = defineProps<{ task: Task; anchor: boolean; busy: boolean; trying: boolean }>()
const emit = defineEmits<{
  mark: [told: NewMark]
  undo: [key?: string]
  day: [day: Day]
  float: []
  skip: [reason: string]
  overrule: [code: string, note: string]
  heed: [code: string]
}>()
const open = ref<'mark' | 'change' | null>(null)
const help = ref(false)
const STANDS = { go: 'Go', wait: 'Wait', hold: 'Hold' } as const
// What was marked, or moved, is told by the task itself from then on.
watch(
  () => [props.task.done, props.task.begun, props.task.to],
  () => {
    open.value = null
  },
)
</script>

<template>
  <article class="part" :data-task="task.key">
    <div class="work">
      <h3>
        <span class="n">{{ task.number }}</span> {{ task.name }}
        <span v-if="!task.done" class="stand" :class="task.stand">{{ STANDS[task.stand] }}</span>
        <button type="button" class="why" :aria-expanded="help" :aria-label="`Why ${task.name}`" @click="help = !help">
          Why
        </button>
      </h3>
      <PhraseText :phrase="task.settings" class="settings" />
      <div v-if="help" class="help small">
        {{ task.operation.why
        }}<template v-if="task.operation.check"> <b>Before going on:</b> {{ task.operation.check }}</template
        ><template v-if="task.operation.alsoCalled"> Also called: {{ task.operation.alsoCalled }}.</template>
      </div>
      <p v-if="task.operation.caution && !task.done" class="hurt small">
        <UIcon name="i-lucide-triangle-alert" class="sign" aria-label="Caution" />{{ task.operation.caution }}
      </p>
    </div>
    <div class="gates">
      <GateLine
        v-if="task.done"
        :gate="{
          state: task.done.passed ? 'met' : 'risk',
          text: [
            `${task.operation.done} ${shortDay(task.done.day)}${task.done.passed ? '' : ', its check not passed'}`,
          ],
        }"
      />
      <template v-else>
        <GateLine
          v-if="task.begun"
          :gate="{
            state: 'waiting',
            text: [figure('share', task.begun.share, 2), ` done by ${shortDay(task.begun.day)}`],
          }"
        />
        <template v-if="task.overdue">
          <GateLine :gate="{ state: 'risk', text: [`was due ${shortDay(task.to)}`] }" />
          <p v-if="!trying" class="missed small">
            <button v-if="task.nextDay" type="button" class="opens" @click="emit('day', task.nextDay)">
              Move to {{ shortDay(task.nextDay) }}, the next day it fits
            </button>
            <template v-else
              >Too late to do any good before this sowing day.
              <button type="button" class="opens" @click="open = 'change'">Leave it out</button></template
            >
          </p>
        </template>
        <TaskGate
          v-for="(gate, i) in task.gates"
          :key="gate.code ?? i"
          :gate="gate"
          @overrule="(note) => emit('overrule', gate.code!, note)"
          @heed="emit('heed', gate.code!)"
        />
        <TurnRecord
          v-if="task.turn && !trying"
          :turn="task.turn"
          :busy="busy"
          @mark="(told) => emit('mark', told)"
          @undo="(key) => emit('undo', key)"
        />
      </template>
    </div>
    <div class="act">
      <span class="crew"><WorkedNumber :worked="task.hours" bare /> <i class="unit">crew h</i></span>
      <template v-if="!trying">
        <UButton
          v-if="task.done || task.begun"
          variant="outline"
          size="sm"
          :loading="busy"
          :aria-label="`Undo ${task.operation.done}`"
          @click="emit('undo')"
          >Undo</UButton
        >
        <template v-if="!task.done && !open">
          <span class="pair"
            ><UButton variant="outline" size="sm" :loading="busy" @click="open = 'mark'"
              >Mark {{ task.operation.done }}</UButton
            ><UButton
              variant="outline"
              size="sm"
              icon="i-lucide-move-horizontal"
              :aria-label="`Move ${task.name} or leave it out`"
              title="Another day, or leave it out"
              @click="open = 'change'"
          /></span>
        </template>
      </template>
      <span v-if="task.pinned" class="small">day chosen by hand</span>
    </div>
    <MarkDone
      v-if="open === 'mark' && !task.done"
      :task="task"
      :busy="busy"
      @mark="(told) => emit('mark', told)"
      @back="open = null"
    />
    <TaskChange
      v-if="open === 'change' && !task.done"
      :task="task"
      :anchor="anchor"
      @day="(day) => emit('day', day)"
      @float="emit('float')"
      @skip="(reason) => emit('skip', reason)"
      @back="open = null"
    />
  </article>
</template>

<style scoped>
.part {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr) 178px;
  gap: 4px 14px;
  padding: 8px 12px 8px 16px;
}
.part + .part {
  border-top: 1.5px dotted var(--rule-2);
}
h3 {
  display: flex;
  gap: 8px;
  align-items: baseline;
  flex-wrap: wrap;
}
.n {
  color: var(--ink-3);
  font-weight: 400;
}
.stand {
  font:
    650 12px 'Archivo Variable',
    sans-serif;
  letter-spacing: 0;
  border: 1px solid currentcolor;
  padding: 0 6px;
  border-radius: 2px;
}
.go {
  color: var(--moss);
}
.wait {
  color: var(--ink-2);
}
.hold {
  color: #fbfbf5;
  background: var(--ink);
  border-color: var(--ink);
}
.why {
  font:
    400 12px 'Archivo Variable',
    sans-serif;
  letter-spacing: 0;
  color: var(--ink-2);
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  cursor: pointer;
  min-height: 24px;
  min-width: 30px;
}
.settings {
  font-size: 12.5px;
  line-height: 1.5;
}
.help {
  padding-top: 3px;
}
.missed {
  margin: 2px 0 4px 23px;
}
.hurt {
  margin-top: 3px;
  font-size: 12px;
  display: flex;
  gap: 5px;
}
.sign {
  color: var(--clay);
  width: 14px;
  height: 14px;
  flex: none;
  margin-top: 2px;
}
.act {
  display: flex;
  flex-direction: column;
  align-items: flex-end;
  gap: 5px;
  text-align: right;
}
.pair {
  display: flex;
  gap: 4px;
  flex-wrap: wrap;
  justify-content: flex-end;
}
.crew {
  font:
    650 15px 'Besley Variable',
    serif;
}
@media (max-width: 900px) {
  .part {
    grid-template-columns: minmax(0, 1fr);
  }
  .act {
    flex-direction: row;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    text-align: left;
  }
  .settings {
    font-size: 15px;
  }
  .hurt,
  .help {
    font-size: 13.5px;
  }
  .why {
    min-height: 48px;
    min-width: 48px;
  }
}
/* On paper: a box to tick and a line for the day. */
@media print {
  .part {
    grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr) 62pt;
    padding: 1.5pt 0;
    gap: 0 10pt;
  }
  .part + .part {
    border-top: 0.5pt dotted black;
  }
  .why,
  .stand,
  .act > :not(.crew),
  .gates :deep([data-state='met']) {
    display: none;
  }
  .act {
    flex-direction: column;
    align-items: flex-end;
  }
  .act::after {
    content: '☐ done ______';
    font-size: 8pt;
    white-space: nowrap;
  }
  h3 {
    font-size: 10pt;
    line-height: 1.1;
  }
  .settings,
  .hurt,
  .help {
    font-size: 8pt;
    line-height: 1.2;
    margin-block: 0;
  }
}
</style>
