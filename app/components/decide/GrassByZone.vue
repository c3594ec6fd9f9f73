<script setup lang="ts">
import { lowered } from '#core/explain/message'
import type { Lawn } from '#contract/lawn'
import type { GrassCode } from '#core/grass/grasses'
import { judgeGrasses } from '#core/grass/choice'
import { lastingGate, type YearsOfTurf } from '#core/establishment/lasting'
import { isIrrigated } from '#core/job/lawn'
import type { ZoneDecision } from '#core/job/decision/decide'
import { PROGRAMME_CODES, PROGRAMMES, type ProgrammeCode } from '#core/job/decision/programmes'
import { noteProblem } from '~/utils/overrule'

/** Grass and programme of each zone, with what speaks against them. */
const props = defineProps<{
  lawn: Lawn
  zones: readonly ZoneDecision[]
  years: YearsOfTurf | undefined
  chosen: ProgrammeCode | null
  busy: boolean
  locked: boolean
}>()
const emit = defineEmits<{
  grass: [zoneId: string, code: GrassCode]
  programme: [zoneId: string, programme: ProgrammeCode | 'leave' | 'rest', note: string]
}>()
const { text } = useUnits()
const rows = computed(() =>
  props.zones.map((decision) => {
    const verdicts = judgeGrasses(decision.zone, {
      look: props.lawn.wishes.look,
      lasting: (grass) => props.years && lastingGate(grass, props.years, isIrrigated(props.lawn)),
    })
    const own = props.lawn.plan.zonePlans[decision.zone.id]
    return {
      ...decision,
      own,
      best: verdicts[0]!,
      mine: verdicts.find(({ grass }) => grass.code === decision.zone.grass)!,
      items: verdicts.map(({ grass, suits, conflicts }) => ({
        value: grass.code,
        label: suits ? tell(grass.name) : t('decide.against', { name: grass.name, conflicts: conflicts.length }),
      })),
      programmes: [
        {
          value: 'rest',
          label: props.chosen
            ? t('decide.asTheRest', { name: lowered(PROGRAMMES[props.chosen].name) })
            : t('decide.asTheRest2'),
        },
        ...PROGRAMME_CODES.filter((code) => code !== props.chosen || own?.programme === code).map((code) => ({
          value: code,
          label: decision.verdicts[code].fits
            ? tell(PROGRAMMES[code].name)
            : t('decide.doesNotFit', { name: PROGRAMMES[code].name }),
        })),
        { value: 'leave', label: t('decide.leaveItAsIt') },
      ],
    }
  }),
)
/** A programme that is not recommended for a zone keeps a note, as one for the lawn does. */
const asked = ref<{ zoneId: string; programme: ProgrammeCode }>()
const note = ref('')
const noteError = ref('')
function choose(row: (typeof rows.value)[number], value: string): void {
  asked.value = undefined
  if (value === (row.own?.programme ?? 'rest')) return
  if (value === 'rest' || value === 'leave' || value === row.recommended?.programme)
    return emit('programme', row.zone.id, value as ProgrammeCode | 'leave' | 'rest', '')
  asked.value = { zoneId: row.zone.id, programme: value as ProgrammeCode }
  note.value = ''
  noteError.value = ''
  void nextTick(() => document.querySelector<HTMLInputElement>('#zone-note')?.focus())
}
function overrule(): void {
  noteError.value = noteProblem(note.value)
  if (noteError.value || !asked.value) return
  emit('programme', asked.value.zoneId, asked.value.programme, note.value.trim())
  asked.value = undefined
}
/** Why the rules would not, where they refuse. */
const against = (row: (typeof rows.value)[number], code: ProgrammeCode) =>
  row.verdicts[code].refusals[0] ?? row.recommended?.because
</script>

<template>
  <section>
    <h2>{{ t('decide.grassByZone') }}</h2>
    <div v-for="row in rows" :key="row.zone.id" class="zone">
      <b>{{ row.zone.name }}</b>
      <USelect
        :model-value="row.zone.grass"
        :items="row.items"
        :disabled="busy || locked"
        :aria-label="t('decide.grassOf', { name: row.zone.name })"
        @update:model-value="(code) => code !== row.zone.grass && emit('grass', row.zone.id, code as GrassCode)"
      />
      <span class="small">{{
        t('decide.sunH', {
          areaM2: text({ quantity: 'areaM2', value: row.zone.areaM2 }),
          sunHours: row.zone.sunHours.toFixed(1),
        })
      }}</span>
      <USelect
        v-if="rows.length > 1"
        :model-value="row.own?.programme ?? 'rest'"
        :items="row.programmes"
        :disabled="busy || locked"
        :aria-label="t('decide.programmeOf', { name: row.zone.name })"
        @update:model-value="(value) => choose(row, String(value))"
      />
      <div
        v-if="asked?.zoneId === row.zone.id"
        class="whole overrule"
        role="group"
        :aria-label="t('decide.overrideFor', { name: row.zone.name })"
      >
        <p>
          <b>{{ t('decide.for', { name: PROGRAMMES[asked.programme].name, name2: row.zone.name }) }}</b>
          <template v-if="row.recommended && !row.verdicts[asked.programme].refusals.length"
            >{{
              t('decide.recommended', { name: lowered(PROGRAMMES[row.recommended.programme].name) })
            }} </template><PhraseText
            v-if="against(row, asked.programme)"
            :phrase="against(row, asked.programme)!.text"
          />
        </p>
        <UFormField :label="t('decide.planItAnywayBecause')" name="zoneNote" :error="noteError"
          ><UInput id="zone-note" v-model="note" maxlength="400" @keydown.enter.prevent="overrule"
        /></UFormField>
        <div class="verbs">
          <UButton color="primary" size="sm" :loading="busy" @click="overrule">{{
            t('decide.overrideWithThisNote')
          }}</UButton><UButton variant="outline" size="sm" @click="asked = undefined">{{
            t('decide.leaveIt')
          }}</UButton>
        </div>
      </div>
      <div class="whole">
        <GateLine v-for="(gate, i) in row.mine.conflicts" :key="i" :gate="gate" with-source />
        <p v-if="row.best.grass.code !== row.mine.grass.code && !row.mine.suits" class="small">
          {{ t('decide.theRulesWouldTake') }} <b>{{ tell(row.best.grass.name) }}</b>{{
            row.best.suits ? '' : t('decide.thoughNotGladly')
          }}.
        </p>
        <p v-if="row.recommended && chosen && !row.own && row.recommended.programme !== chosen" class="small">
          {{ t('decide.recommendedForThisZone') }}
          <b>{{ tell(PROGRAMMES[row.recommended.programme].name).toLowerCase() }}</b>.
          <PhraseText :phrase="row.recommended.because.text" />
        </p>
        <GateLine v-for="(gate, i) in row.waits" :key="`w${i}`" :gate="gate" with-source />
      </div>
    </div>
  </section>
</template>

<style scoped>
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
.zone {
  display: grid;
  grid-template-columns: 1fr minmax(170px, 1.2fr);
  gap: 3px 10px;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
  align-items: center;
}
.whole {
  grid-column: 1 / -1;
}
.overrule {
  border: 2px solid var(--ink);
  background: var(--lime);
  padding: 8px 10px;
  display: grid;
  gap: 8px;
}
.verbs {
  display: flex;
  gap: 8px;
}
</style>
