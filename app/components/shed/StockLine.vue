<script setup lang="ts">
import { stockMoveSchema, type StockItem, type StockMove } from '#contract/stock'
import { kindOf, STOCK_QUANTITY } from '#core/materials/stock'
import { isDay, shortDay } from '#core/measure/calendar'
import { figure } from '#core/measure/figure'
import { orZero } from '~/composables/useSend'

/** One line of the stock book, opened: what came in, what was counted, and every move of it. */
const props = defineProps<{ item: StockItem }>()
const context = useContextStore()
const stock = useStockStore()
const { parse, text } = useUnits()
const { busy, message, errors, judged, send } = useSend()
const quantity = computed(() => STOCK_QUANTITY[kindOf(props.item.matter)])
const form = reactive({ amount: '', day: context.today as string, note: '' })
let id = crypto.randomUUID()
const name = ref(props.item.name)
const {
  data: moves,
  error,
  refresh,
} = useAsyncData(`stock-${props.item.id}`, () => $fetch<StockMove[]>(`/api/stock/${props.item.id}/moves`))
const WHY = { came: 'came in', counted: 'counted', used: 'used' } as const

async function write(why: 'came' | 'counted'): Promise<void> {
  const amount = parse(quantity.value, form.amount)
  const move = judged(stockMoveSchema, { id, why, day: form.day, amount: orZero(amount), note: form.note }, { amount })
  if (!move || !(await send(() => stock.move(props.item.id, move)))) return
  id = crypto.randomUUID()
  form.amount = form.note = ''
  await refresh()
}
const save = (putAway: boolean) =>
  send(() => stock.edit({ ...props.item, name: name.value.trim() || props.item.name, putAway }))
</script>

<template>
  <div class="line">
    <form class="row" novalidate :aria-label="`Write down of ${item.name}`" @submit.prevent="write('came')">
      <label
        >Amount
        <input
          v-model="form.amount"
          maxlength="20"
          class="short"
          :placeholder="quantity === 'massKg' ? '50 lb' : '2 yd3'"
      /></label>
      <label>Day <input v-model="form.day" type="date" :max="context.today" /></label>
      <label class="wide"
        >Note <input v-model="form.note" maxlength="200" placeholder="delivery note, bag torn"
      /></label>
      <UButton type="submit" variant="outline" size="sm" :loading="busy" :disabled="!isDay(form.day)"
        >So much came in</UButton
      >
      <UButton variant="outline" size="sm" :loading="busy" :disabled="!isDay(form.day)" @click="write('counted')"
        >Record count</UButton
      >
    </form>
    <p v-for="(words, field) in errors" :key="field" class="bad" role="alert">{{ words }}</p>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <table v-if="moves?.length" class="ledger">
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">What</th>
          <th scope="col" class="right">By</th>
          <th scope="col">Where, why</th>
          <th scope="col">Written by</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="move in moves" :key="move.id">
          <td>{{ shortDay(move.day, context.today) }}</td>
          <td>{{ WHY[move.why] }}</td>
          <td class="right num">
            {{ move.amount < 0 ? '−' : '+' }}{{ text(figure(quantity, Math.abs(move.amount))) }}
          </td>
          <td>
            <NuxtLink v-if="move.lawnId" :to="`/lawns/${move.lawnId}/do`" class="opens">{{
              move.client
            }}</NuxtLink><template v-else-if="move.why === 'used'">a lawn that is deleted</template> {{ move.note }}
          </td>
          <td>{{ move.savedBy }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else-if="error" class="problem" role="alert">
      What was written of it could not be read.
      <button type="button" class="opens" @click="refresh()">Try again</button>
    </p>
    <form class="row" novalidate :aria-label="`Name of ${item.name}`" @submit.prevent="save(item.putAway)">
      <label>Name <input v-model="name" maxlength="80" /></label>
      <UButton
        type="submit"
        variant="outline"
        size="sm"
        :loading="busy"
        :disabled="!name.trim() || name.trim() === item.name"
        >Rename it</UButton
      >
      <UButton variant="outline" size="sm" :loading="busy" @click="save(!item.putAway)">{{
        item.putAway ? 'Take it up again' : 'Put it away: no plan counts on it'
      }}</UButton>
    </form>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  gap: 10px;
  padding: 4px 10px 12px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: center;
}
label {
  display: flex;
  gap: 6px;
  align-items: center;
  font-size: 12.5px;
  font-weight: 600;
}
input {
  border: 1px solid var(--ink);
  background: var(--lime);
  padding: 4px 7px;
  min-height: 32px;
  border-radius: 2px;
  font-weight: 400;
  min-width: 0;
}
.short {
  width: 96px;
}
.wide {
  flex: 1 1 120px;
}
.wide input {
  flex: 1;
}
.bad {
  color: var(--clay);
  font-weight: 600;
  font-size: 12.5px;
}
.ledger .num {
  white-space: nowrap;
}
@media (max-width: 900px) {
  input {
    min-height: 48px;
  }
  label {
    font-size: 14px;
  }
  .ledger {
    display: block;
    overflow-x: auto;
  }
}
</style>
