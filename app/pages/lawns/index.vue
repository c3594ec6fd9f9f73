<script setup lang="ts">
import { LIST_PAGE } from '#contract/list'
import { STAGES, type Stage } from '#core/job/stages'
import { figure } from '#core/measure/figure'
import { hangersOf, sowingsOf } from '~/utils/hangers'

useHead({ title: t('lawns.lawns') })
const list = useListStore()
const context = useContextStore()
const sill = useSillStore()
const { text } = useUnits()
await useAsyncData('lawns', async () => {
  await list.ready()
  return true
})
onUnmounted(list.leave)

const search = ref('')
const stage = ref<Stage | 'all'>('all')
const onlyHeld = ref(false)
const { sortBy, turned, sort, heads, order } = useListSort()
const cursor = ref<string>()

const { rows } = useLawnRows()
const held = (state: string | undefined) => state === 'hold' || state === 'risk'
const counts = computed(() =>
  STAGES.map((name) => ({ name, count: rows.value.filter((row) => row.stage === name).length })).filter(
    ({ count }) => count,
  ),
)
const shown = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  const found = rows.value.filter(
    (row) =>
      (stage.value === 'all' || row.stage === stage.value) &&
      (!onlyHeld.value || held(row.gate?.state)) &&
      `${row.lawn.client} ${row.lawn.address} ${row.lawn.growsNow} ${row.grass}`.toLowerCase().includes(wanted),
  )
  return found.sort(order)
})
/** What stands on the screen; a large book is unrolled a page at a time. */
const unrolled = ref(LIST_PAGE)
const onScreen = computed(() => shown.value.slice(0, unrolled.value))
// A new day works all of them out anew, once the ledge itself has turned.
watch(
  () => sill.data?.outlook.today,
  (day, before) => {
    if (day && before) void list.again()
  },
)
const area = computed(() =>
  text(
    figure(
      'areaM2',
      list.lawns.reduce((sum, { areaM2 }) => sum + areaM2, 0),
      4,
    ),
  ),
)
watchEffect(() => {
  const lawn = list.lawns.find(({ id }) => id === cursor.value)
  sill.hangers = lawn
    ? hangersOf(lawn.outline?.marks ?? [], lawn.id)
    : list.lawns.flatMap((each) => sowingsOf(each.outline?.marks ?? [], each))
})
const searchBox = useTemplateRef<{ inputRef: HTMLInputElement }>('searchBox')
const adding = ref(false)
async function startAdding(): Promise<void> {
  adding.value = true
  await nextTick()
  document.querySelector<HTMLElement>('#field-client')?.focus()
}
useKeys({ '/': () => searchBox.value?.inputRef.focus(), a: () => void startAdding() })
</script>

<template>
  <div>
    <header class="head">
      <h1>{{ t('lawns.lawns') }}</h1>
      <span
        ><b>{{ list.lawns.length }}</b> {{ t('lawns.lawns2')
        }}<template v-if="!list.reading"
          >, <b>{{ area }}</b></template
        ></span
      >
      <UButton
        v-if="list.lawns.length"
        variant="outline"
        icon="i-lucide-plus"
        aria-keyshortcuts="a"
        @click="startAdding"
        >{{ t('lawns.addALawn') }} <kbd>a</kbd></UButton
      >
      <span class="small right">{{
        cursor
          ? t('lawns.aboveTheRowYou', { client: shown.find((r) => r.lawn.id === cursor)?.lawn.client ?? '' })
          : t('lawns.aboveSowingDaysOf')
      }}</span>
    </header>
    <FirstSteps />
    <SampleLawns />
    <AddLawn v-if="adding || (!list.lawns.length && !list.reading)" />
    <div v-if="list.lawns.length" class="tools">
      <UInput
        ref="searchBox"
        v-model="search"
        icon="i-lucide-search"
        :aria-label="t('lawns.findALawnStreet')"
        :placeholder="t('lawns.findALawnStreet')"
        class="find"
        ><template #trailing><kbd>/</kbd></template></UInput
      >
      <div class="switch" role="group" :aria-label="t('lawns.whichLawns')">
        <button type="button" :aria-pressed="stage === 'all'" @click="stage = 'all'">
          {{ t('lawns.all', { rows: rows.length }) }}<template v-if="list.reading"> {{ t('lawns.andMore') }}</template>
        </button>
        <button
          v-for="g in counts"
          :key="g.name"
          type="button"
          :aria-pressed="stage === g.name"
          @click="stage = g.name"
        >
          {{ g.name.charAt(0).toUpperCase() + g.name.slice(1) }} {{ g.count }}
        </button>
      </div>
      <UCheckbox v-model="onlyHeld"
        ><template #label
          >{{ t('lawns.onlyHeldOrAt') }} <b>{{ rows.filter((r) => held(r.gate?.state)).length }}</b></template
        ></UCheckbox
      >
      <label class="small right by"
        >{{ t('lawns.sortBy') }}
        <select v-model="sortBy" :aria-label="t('lawns.sortBy')">
          <template v-for="{ name, by } in heads" :key="name"
            ><option v-if="by" :value="by">{{ name }}</option></template
          >
        </select></label
      >
    </div>
    <p v-if="list.lawns.some(({ coarse }) => coarse)" class="small" role="status">{{ t('lawns.firstLook') }}</p>
    <p v-if="list.problem && !context.problem" class="problem" role="alert">
      {{ list.problem.message }}
      <UButton variant="outline" class="ml-3" @click="list.load()">{{ t('lawns.tryAgain') }}</UButton>
    </p>
    <div
      v-if="shown.length"
      class="list"
      role="table"
      :aria-label="t('lawns.lawns')"
      @pointerleave="cursor = undefined"
    >
      <div class="row-head" role="row">
        <span
          v-for="{ name, by } in heads"
          :key="name"
          role="columnheader"
          :aria-sort="by && by === sortBy ? (turned ? 'descending' : 'ascending') : undefined"
          ><button v-if="by" type="button" class="sorts" @click="sort(by)">
            {{ name }}<span v-if="by === sortBy" aria-hidden="true">{{ turned ? ' ↑' : ' ↓' }}</span></button
          ><template v-else>{{ name }}</template></span
        >
      </div>
      <LawnRow
        v-for="row in onScreen"
        :key="row.lawn.id"
        :row="row"
        :selected="cursor === row.lawn.id"
        @focus="cursor = row.lawn.id"
      />
    </div>
    <UButton v-if="shown.length > onScreen.length" variant="outline" class="mt-3" @click="unrolled += LIST_PAGE">{{
      t('lawns.showMoreOf', { LIST_PAGE: Math.min(LIST_PAGE, shown.length - onScreen.length), shown: shown.length })
    }}</UButton>
    <p v-if="!shown.length && list.lawns.length" class="empty">
      {{ t('lawns.noLawnFits') }}
      <button class="opens" type="button" @click="((search = ''), (stage = 'all'), (onlyHeld = false))">
        {{ t('lawns.showAll', { lawns: list.lawns.length }) }}
      </button>
    </p>
    <p v-else-if="!list.lawns.length && !list.problem" class="empty">
      {{ t('lawns.noLawnYetAdd') }}
    </p>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  align-items: baseline;
  gap: 16px;
  flex-wrap: wrap;
}
.right {
  margin-left: auto;
}
.tools {
  display: flex;
  gap: 14px;
  align-items: center;
  margin: 8px 0 4px;
  flex-wrap: wrap;
}
.find {
  width: 262px;
}
kbd {
  border: 1px solid var(--rule-2);
  padding: 0 6px;
  font-size: 12px;
}
.switch {
  display: flex;
  flex-wrap: wrap;
  border: 1px solid var(--ink);
  border-radius: 2px;
}
.switch button {
  padding: 6px 10px;
  font-weight: 600;
  cursor: pointer;
  border-right: 1px solid var(--ink);
  min-height: 34px;
}
.switch button:last-child {
  border: 0;
}
.switch button[aria-pressed='true'] {
  background: var(--ink);
  color: #fbfbf5;
}
.list {
  display: grid;
  grid-template-columns:
    minmax(150px, 1.2fr) 66px minmax(110px, 1fr) 96px minmax(98px, auto) minmax(180px, 1.25fr)
    minmax(98px, auto) minmax(190px, 1.6fr);
  column-gap: 14px;
}
.row-head {
  display: grid;
  grid-template-columns: subgrid;
  grid-column: 1 / -1;
  padding: 6px 10px 4px;
  border-bottom: 1.5px solid var(--ink);
  font-size: 12.5px;
  color: var(--ink-2);
}
.row-head > span:nth-child(2) {
  text-align: right;
}
.sorts {
  cursor: pointer;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  min-height: 24px;
}
.by {
  display: flex;
  gap: 6px;
  align-items: center;
}
.by select {
  border: 1px solid var(--rule-2);
  background: var(--lime);
  min-height: 30px;
  padding: 0 6px;
  color: var(--ink);
}
.empty {
  padding: 28px 8px;
  font-size: 15px;
}
@media (max-width: 700px) {
  kbd {
    display: none;
  }
}
@media (max-width: 1000px) {
  .list {
    display: block;
  }
  .row-head {
    display: none;
  }
  .find {
    width: 100%;
  }
  .tools .right {
    margin: 0;
  }
  .switch button,
  .by select {
    min-height: 48px;
  }
}
</style>
