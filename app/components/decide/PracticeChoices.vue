<script setup lang="ts">
import type { Difference } from '#core/job/decision/candidates'

/** What practitioners hold different opinions on: the firm's own choice, the plan's, and what another would change. */
const props = defineProps<{ differences: readonly Difference[]; locked: boolean }>()
const emit = defineEmits<{ choose: [question: Difference['question'], code: string] }>()
const context = useContextStore()
const { text } = useUnits()
const SHOWN = 6
const all = ref(false)
/** Where the plan differs first, then what changes most. */
const inOrder = computed(() =>
  [...props.differences].sort((a, b) => Number(differs(b)) - Number(differs(a)) || weight(b) - weight(a)),
)
const differs = ({ choices }: Difference) => choices.some(({ own, firm }) => own !== firm)
const weight = ({ choices }: Difference) => Math.max(...choices.map(({ minor }) => Math.abs(minor)))
const signed = (value: number, shown: string) => `${value < 0 ? '−' : '+'}${shown}`
function change({ hours, minor, seedKg, days }: Difference['choices'][number]): string {
  const parts: string[] = []
  if (Math.abs(hours) >= 0.05) parts.push(signed(hours, `${Math.abs(hours).toFixed(1)} h`))
  if (Math.abs(minor) >= 100)
    parts.push(
      signed(
        minor,
        text({ quantity: 'money', value: Math.round(Math.abs(minor) / 100) * 100, currency: context.currency }).replace(
          /\.00$/,
          '',
        ),
      ),
    )
  if (Math.abs(seedKg) >= 0.05)
    parts.push(signed(seedKg, t('decide.ofSeed', { seedKg: text({ quantity: 'massKg', value: Math.abs(seedKg) }) })))
  if (days) parts.push(signed(days, t('decide.daysOutOfUse', { days: Math.abs(days) })))
  return parts.join(', ')
}
</script>

<template>
  <section>
    <h2>
      {{ t('decide.practices') }} <span class="small">{{ t('decide.theFirmsOwn') }}</span>
    </h2>
    <div
      v-for="one in all ? inOrder : inOrder.slice(0, SHOWN)"
      :key="one.question"
      class="one"
      role="group"
      :aria-label="tell(one.asks)"
    >
      <span class="asks">{{ tell(one.asks) }}</span>
      <div class="choices">
        <button
          v-for="choice in one.choices"
          :key="choice.code"
          type="button"
          :aria-pressed="choice.own"
          :disabled="locked"
          @click="!choice.own && emit('choose', one.question, choice.code)"
        >
          {{ tell(choice.name)
          }}<template v-if="choice.firm">
            ◇<span class="sr-only">{{ t('decide.theFirmsOwn2') }}</span></template
          >
        </button>
      </div>
      <p class="small">
        <b v-if="differs(one)">{{ t('decide.differs') }} </b><template
          v-for="choice in one.choices.filter(({ own }) => !own)"
          :key="choice.code"
          ><b>{{ tell(choice.name) }}:</b> {{ change(choice) ? `${change(choice)}. ` : ''
          }}{{ tell(choice.changes) }}&ensp;</template
        >
      </p>
    </div>
    <button v-if="inOrder.length > SHOWN" type="button" class="opens" @click="all = !all">
      {{ all ? t('decide.fewer') : t('decide.morePractices', { inOrder: inOrder.length - SHOWN }) }}
    </button>
  </section>
</template>

<style scoped>
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
.one {
  display: grid;
  grid-template-columns: 88px 1fr;
  gap: 3px 10px;
  padding: 7px 0;
  border-bottom: 1px solid var(--rule);
}
.asks {
  font-weight: 600;
  padding-top: 4px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
}
.choices button {
  border: 1.5px solid var(--ink);
  margin: 0 -1.5px -1.5px 0;
  padding: 3px 9px;
  background: var(--lime);
  cursor: pointer;
  min-height: 28px;
}
.choices button[aria-pressed='true'] {
  background: var(--ink);
  color: var(--lime);
  font-weight: 600;
}
.choices button:disabled {
  cursor: default;
}
.one p {
  grid-column: 1 / -1;
}
@media (max-width: 700px) {
  .choices button {
    min-height: 48px;
  }
  .one {
    grid-template-columns: 1fr;
  }
  .opens {
    min-height: 48px;
  }
}
</style>
