<script setup lang="ts">
import { kindOf, matterWords, STOCK_KINDS, STOCK_QUANTITY, type StockKind } from '#core/materials/stock'
import { figure } from '#core/measure/figure'

useHead({ title: t('shed.shed') })

const context = useContextStore()
const stock = useStockStore()
const { text, other } = useUnits()
await stock.load()
useSillStore().hangers = []
const opened = ref<string>()
const HEADS: Record<StockKind, string> = {
  seed: t('shed.seed'),
  feed: t('shed.feed'),
  cover: t('shed.cover'),
  soil: t('shed.soilAndSand'),
}
const groups = computed(() =>
  STOCK_KINDS.map((kind) => ({
    kind,
    items: (stock.items ?? []).filter((item) => kindOf(item.matter) === kind && !item.putAway),
  })).filter(({ items }) => items.length),
)
const away = computed(() => (stock.items ?? []).filter(({ putAway }) => putAway))
// What is put away, or taken up again, closes: it stands elsewhere now.
watch(
  () => away.value.map(({ id }) => id).join(),
  () => {
    opened.value = undefined
  },
)
const amount = (item: { matter: Parameters<typeof kindOf>[0]; onHand: number }) =>
  figure(STOCK_QUANTITY[kindOf(item.matter)], item.onHand)
</script>

<template>
  <div class="shed">
    <div class="head">
      <h1>{{ t('shed.shed') }}</h1>
      <span class="small">{{ t('shed.theStockBookWhat') }}</span>
    </div>
    <p v-if="stock.problem" class="problem" role="alert">
      {{ stock.problem.message }}
      <UButton variant="outline" class="ml-3" @click="stock.load()">{{ t('shed.tryAgain') }}</UButton>
    </p>
    <div class="two">
      <div class="book">
        <p v-if="stock.items && !groups.length" class="panel empty">
          {{ t('shed.nothingWrittenDownYet') }}
        </p>
        <section v-for="{ kind, items } in groups" :key="kind">
          <h2>{{ HEADS[kind] }}</h2>
          <article v-for="item in items" :key="item.id" class="item" :class="{ open: opened === item.id }">
            <button
              type="button"
              class="row"
              :aria-expanded="opened === item.id"
              @click="opened = opened === item.id ? undefined : item.id"
            >
              <span class="what"
                ><b>{{ item.name }}</b
                ><span class="small">{{ tell(matterWords(item.matter)) }}</span></span
              >
              <span class="has" :class="{ short: item.onHand < 0 }"
                ><b class="num"
                  >{{ item.onHand < 0 ? '−' : '' }}{{ text({ ...amount(item), value: Math.abs(item.onHand) }) }}</b
                ><span class="small">{{
                  item.onHand < 0 ? t('shed.moreUsedThanWas') : other(amount(item))
                }}</span></span
              >
              <span class="small day">{{ item.lastDay ? shortDay(item.lastDay, context.today) : '' }}</span>
            </button>
            <StockLine v-if="opened === item.id" :key="`${item.id} ${item.version}`" :item="item" />
          </article>
        </section>
        <details v-if="away.length">
          <summary>
            {{ t('shed.putAway') }} <span class="small">{{ away.length }}</span>
          </summary>
          <article v-for="item in away" :key="item.id" class="item">
            <button
              type="button"
              class="row"
              :aria-expanded="opened === item.id"
              @click="opened = opened === item.id ? undefined : item.id"
            >
              <span class="what"
                ><b>{{ item.name }}</b
                ><span class="small">{{ tell(matterWords(item.matter)) }}</span></span
              >
            </button>
            <StockLine v-if="opened === item.id" :key="`${item.id} ${item.version}`" :item="item" />
          </article>
        </details>
      </div>
      <StockAdd />
    </div>
  </div>
</template>

<style scoped>
.shed,
.book {
  display: grid;
  gap: 14px;
  align-content: start;
}
.head {
  display: flex;
  gap: 14px;
  align-items: baseline;
  flex-wrap: wrap;
  border-bottom: 1px solid var(--ink);
  padding-bottom: 8px;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: 26px;
  align-items: start;
}
h2 {
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 3px;
}
.item {
  border-bottom: 1px solid var(--rule);
}
.item.open {
  background: var(--lime);
  border: 2px solid var(--ink);
  margin: -1px;
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 88px;
  gap: 6px 18px;
  align-items: center;
  width: 100%;
  text-align: left;
  cursor: pointer;
  padding: 7px 10px;
  min-height: 44px;
}
.row:hover {
  background: var(--straw-tint);
}
.what,
.has {
  display: grid;
}
.has {
  text-align: right;
}
.has .num {
  font-size: 19px;
}
.short .num {
  color: var(--clay);
}
.day {
  text-align: right;
}
.empty {
  padding: 16px 18px;
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
  .row {
    grid-template-columns: minmax(0, 1fr) auto;
    min-height: 56px;
  }
  .day {
    display: none;
  }
}
</style>
