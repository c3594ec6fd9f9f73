<script setup lang="ts">
import { stockMoveSchema, type StockItem, type StockMove } from '#contract/stock'
import { kindOf, STOCK_QUANTITY } from '#core/materials/stock'
import { isDay } from '#core/measure/calendar'
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
const WHY = { came: t('shed.cameIn'), counted: 'counted', used: 'used' } as const

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
    <form
      class="row"
      novalidate
      :aria-label="t('shed.writeDownOf', { name: item.name })"
      @submit.prevent="write('came')"
    >
      <label
        >{{ t('shed.amount') }}
        <input
          v-model="form.amount"
          maxlength="20"
          class="short"
          :placeholder="quantity === 'massKg' ? t('shed.n50Lb') : t('shed.n2Yd3')"
      /></label>
      <label>{{ t('shed.day') }} <input v-model="form.day" type="date" :max="context.today" /></label>
      <label class="wide"
        >{{ t('shed.note') }} <input v-model="form.note" maxlength="200" :placeholder="t('shed.deliveryNoteBagTorn')"
      /></label>
      <UButton type="submit" variant="outline" size="sm" :loading="busy" :disabled="!isDay(form.day)">{{
        t('shed.soMuchCameIn')
      }}</UButton>
      <UButton variant="outline" size="sm" :loading="busy" :disabled="!isDay(form.day)" @click="write('counted')">{{
        t('shed.recordCount')
      }}</UButton>
    </form>
    <p v-for="(words, field) in errors" :key="field" class="bad" role="alert">{{ words }}</p>
    <p v-if="message" class="problem" role="alert">{{ message }}</p>
    <table v-if="moves?.length" class="ledger">
      <thead>
        <tr>
          <th scope="col">{{ t('shed.day') }}</th>
          <th scope="col">{{ t('shed.what') }}</th>
          <th scope="col" class="right">{{ t('shed.by') }}</th>
          <th scope="col">{{ t('shed.whereWhy') }}</th>
          <th scope="col">{{ t('shed.writtenBy') }}</th>
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
            }}</NuxtLink><template v-else-if="move.why === 'used'">{{ t('shed.aLawnThatIs') }}</template>
            {{ move.note }}
          </td>
          <td>{{ move.savedBy }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else-if="error" class="problem" role="alert">
      {{ t('shed.whatWasWrittenOf') }}
      <button type="button" class="opens" @click="refresh()">{{ t('shed.tryAgain') }}</button>
    </p>
    <form
      class="row"
      novalidate
      :aria-label="t('shed.nameOf', { name: item.name })"
      @submit.prevent="save(item.putAway)"
    >
      <label>{{ t('shed.name') }} <input v-model="name" maxlength="80" /></label>
      <UButton
        type="submit"
        variant="outline"
        size="sm"
        :loading="busy"
        :disabled="!name.trim() || name.trim() === item.name"
        >{{ t('shed.renameIt') }}</UButton
      >
      <UButton variant="outline" size="sm" :loading="busy" @click="save(!item.putAway)">{{
        item.putAway ? t('shed.takeItUpAgain') : t('shed.putItAwayNo')
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
