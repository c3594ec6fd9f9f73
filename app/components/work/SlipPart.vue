<script setup lang="ts">
import type { NewMark } from '#contract/work'
import type { Slip } from '#core/job/schedule/schedule'
import { shortDay, type Day } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'

/** One operation on a slip: settings, gates, hours; marking it done, moving it, leaving it out. */
const props = defineProps<{ slip: Slip; anchor: boolean; busy: boolean; trying: boolean }>()
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
// What was marked, or moved, is told by the slip itself from then on.
watch(
  () => [props.slip.done, props.slip.begun, props.slip.to],
  () => {
    open.value = null
  },
)
</script>

<template>
  <article class="part" :data-slip="slip.key">
    <div class="work">
      <h3>
        <span class="n">{{ slip.number }}</span> {{ slip.name }}
        <span v-if="!slip.done" class="stand" :class="slip.stand">{{ STANDS[slip.stand] }}</span>
        <button type="button" class="why" :aria-expanded="help" :aria-label="`Why ${slip.name}`" @click="help = !help">
          why
        </button>
      </h3>
      <PhraseText :phrase="slip.settings" class="settings" />
      <div v-if="help" class="help small">
        {{ slip.operation.why
        }}<template v-if="slip.operation.check"> <b>Before going on:</b> {{ slip.operation.check }}</template
        ><template v-if="slip.operation.alsoCalled"> Also called: {{ slip.operation.alsoCalled }}.</template>
      </div>
      <p v-if="slip.operation.caution && !slip.done" class="hurt small">
        <UIcon name="i-lucide-triangle-alert" class="sign" aria-label="Caution" />{{ slip.operation.caution }}
      </p>
    </div>
    <div class="gates">
      <GateLine
        v-if="slip.done"
        :gate="{
          state: slip.done.passed ? 'met' : 'risk',
          text: [
            `${slip.operation.done} ${shortDay(slip.done.day)}${slip.done.passed ? '' : ', its check not passed'}`,
          ],
        }"
      />
      <template v-else>
        <GateLine
          v-if="slip.begun"
          :gate="{
            state: 'waiting',
            text: [figure('share', slip.begun.share, 2), ` done by ${shortDay(slip.begun.day)}`],
          }"
        />
        <template v-if="slip.overdue">
          <GateLine :gate="{ state: 'risk', text: [`was due ${shortDay(slip.to)}`] }" />
          <p v-if="!trying" class="missed small">
            <button v-if="slip.nextDay" type="button" class="opens" @click="emit('day', slip.nextDay)">
              Move to {{ shortDay(slip.nextDay) }}, the next day it fits
            </button>
            <template v-else
              >Too late to do any good before this sowing day.
              <button type="button" class="opens" @click="open = 'change'">Leave it out</button></template
            >
          </p>
        </template>
        <SlipGate
          v-for="(gate, i) in slip.gates"
          :key="gate.code ?? i"
          :gate="gate"
          @overrule="(note) => emit('overrule', gate.code!, note)"
          @heed="emit('heed', gate.code!)"
        />
        <TurnRecord
          v-if="slip.turn && !trying"
          :turn="slip.turn"
          :busy="busy"
          @mark="(told) => emit('mark', told)"
          @undo="(key) => emit('undo', key)"
        />
      </template>
    </div>
    <div class="act">
      <span class="crew"><WorkedNumber :worked="slip.hours" bare /> <i class="unit">crew h</i></span>
      <template v-if="!trying">
        <UButton
          v-if="slip.done || slip.begun"
          variant="outline"
          size="sm"
          :loading="busy"
          :aria-label="`Undo ${slip.operation.done}`"
          @click="emit('undo')"
          >Undo</UButton
        >
        <template v-if="!slip.done && !open">
          <span class="pair"
            ><UButton variant="outline" size="sm" :loading="busy" @click="open = 'mark'"
              >Mark {{ slip.operation.done }}</UButton
            ><UButton
              variant="outline"
              size="sm"
              icon="i-lucide-move-horizontal"
              :aria-label="`Move ${slip.name} or leave it out`"
              title="Another day, or leave it out"
              @click="open = 'change'"
          /></span>
        </template>
      </template>
      <span v-if="slip.pinned" class="small">day chosen by hand</span>
    </div>
    <MarkDone
      v-if="open === 'mark' && !slip.done"
      :slip="slip"
      :busy="busy"
      @mark="(told) => emit('mark', told)"
      @back="open = null"
    />
    <SlipChange
      v-if="open === 'change' && !slip.done"
      :slip="slip"
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
