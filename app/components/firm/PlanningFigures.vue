<script setup lang="ts">
import type { MessageKey } from '#words/message'
import {
  PLANNING,
  PLANNING_CODES,
  type Planning,
  type PlanningCode,
  type PlanningFigure,
} from '#core/job/planningFigures'
import { SOURCE_KINDS } from '#core/explain/working'
import { lotOf, showText } from '#core/measure/figure'
import { parseMoney, typedMoney } from '#core/measure/money'
import { readTyped, type ReadTyped } from '~/utils/readTyped'

/** Limits, prices and expected results that judgements lean on: ours, until the firm puts in its own. */
const own = defineModel<Partial<Planning>>({ required: true })
/** Figures whose text could not be read; the form is not saved over them. */
const unread = defineModel<number>('unread', { default: 0 })
const props = defineProps<{ errors: Record<string, string>; locked: boolean; currency: string }>()
const { parse, system } = useUnits()
const groups = [...new Set(PLANNING_CODES.map((code) => PLANNING[code].group))].map((name) => ({
  name,
  codes: PLANNING_CODES.filter((code) => PLANNING[code].group === name),
}))
const GROUPS: Record<PlanningFigure['group'], MessageKey> = {
  Limits: 'firm.limits',
  Waits: 'firm.waits',
  Machines: 'firm.machines',
  Prices: 'firm.prices',
  'Expected results': 'firm.expectedResults',
}
const wrong = reactive<Record<string, string>>({})

watch(wrong, () => {
  unread.value = Object.keys(wrong).length
})

const typed = (code: PlanningCode, value: number): string => {
  const { quantity, per }: PlanningFigure = PLANNING[code]
  if (quantity === 'money' && per) return typedMoney(Math.round(value * lotOf(per, system.value).of), props.currency)
  if (quantity === 'share') return `${Math.round(value * 1000) / 10}`
  return quantity === 'ph' || quantity === 'count'
    ? String(value)
    : showText({ quantity, value, digits: 3 }, system.value)
}
const unitOf = ({ quantity, per }: PlanningFigure): string =>
  quantity === 'money' && per ? `${props.currency} / ${lotOf(per, system.value).unit}` : quantity === 'share' ? '%' : ''
function read(code: PlanningCode, text: string): ReadTyped {
  const { quantity, per }: PlanningFigure = PLANNING[code]
  if (quantity !== 'money' || !per) return parse(quantity, text)
  const money = readTyped(parseMoney(text, props.currency))
  return money.ok ? { ok: true, value: money.value / lotOf(per, system.value).of } : money
}
function put(code: PlanningCode, text: string): void {
  const next = { ...own.value }
  Reflect.deleteProperty(wrong, code)
  if (!text.trim() || text.trim() === typed(code, PLANNING[code].value)) Reflect.deleteProperty(next, code)
  else {
    const parsed = read(code, text)
    const { least, most } = PLANNING[code]
    if (!parsed.ok) {
      wrong[code] = parsed.message
      return
    }
    if (parsed.value < least || parsed.value > most) {
      wrong[code] = t('firm.betweenAnd', { code: typed(code, least), code2: typed(code, most) })
      return
    }
    next[code] = parsed.value
  }
  own.value = next
}
const value = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <h2>
    {{ t('firm.planningFigures') }} <span class="small">{{ t('firm.whatDecideJudgesAnd') }}</span>
  </h2>
  <LearnedFigures v-model="own" :locked="locked" />
  <details v-for="group in groups" :key="group.name">
    <summary>
      <b>{{ t(GROUPS[group.name]) }}</b>{{ ' '
      }}<span class="small">{{
        t('firm.ofYourOwn', {
          codes: group.codes.filter((code) => own[code] !== undefined).length || t('firm.none'),
          codes2: group.codes.length,
        })
      }}</span>
    </summary>
    <table class="ledger">
      <thead>
        <tr>
          <th scope="col">{{ t('firm.figure') }}</th>
          <th scope="col">{{ t('firm.yours') }}</th>
          <th scope="col">{{ t('firm.whereOursIsFrom') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="code in group.codes" :key="code">
          <td :id="`figure-${code}`">{{ tell(PLANNING[code].name) }}</td>
          <td>
            <input
              class="field"
              :value="typed(code, own[code] ?? PLANNING[code].value)"
              :class="{ own: own[code] !== undefined }"
              :disabled="locked"
              :aria-labelledby="`figure-${code}`"
              size="9"
              maxlength="20"
              @change="put(code, value($event))"
            />
            <span class="small">{{ unitOf(PLANNING[code]) }}</span>
            <p v-if="wrong[code] ?? errors[`planning.${code}`]" class="wrong">
              {{ wrong[code] ?? errors[`planning.${code}`] }}
            </p>
          </td>
          <td class="small">
            {{ tell(PLANNING[code].source.text) }} ({{ t(SOURCE_KINDS[PLANNING[code].source.kind]) }})
          </td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
/* The unit stays beside its figure. */
td:nth-child(2) {
  white-space: nowrap;
}
.wrong {
  white-space: normal;
}
.field {
  border: 1px solid var(--rule-2);
  background: var(--lime);
  padding: 3px 6px;
  min-height: 28px;
  text-align: right;
}
.field.own {
  border: 2px solid var(--ink);
  font-weight: 650;
}
.field:disabled {
  color: var(--ink-2);
}
.wrong {
  color: var(--clay);
  font-weight: 600;
}
@media (max-width: 700px) {
  .field {
    min-height: 48px;
  }
  td:last-child,
  th:last-child {
    display: none;
  }
}
</style>
