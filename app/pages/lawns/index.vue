<script setup lang="ts">
import { LIST_PAGE } from '#contract/lawn'
import { grassOf } from '#core/job/lawn'
import { figure } from '#core/measure/figure'
import { LAWN_GROUPS, type LawnGroup } from '~/utils/lawnRow'
import type { Hanger } from '~/utils/sillScale'
import { hangersOf } from '~/utils/hangers'

useHead({ title: 'Lawns' })
const store = useLawnsStore()
const context = useContextStore()
const { text, unit } = useUnits()
await useAsyncData('lawns', async () => {
  await store.loadAll()
  return true
})

const search = ref('')
const group = ref<LawnGroup | 'all'>('all')
const onlyHeld = ref(false)
const sortBy = ref<'date' | 'name'>('date')
const cursor = ref<string>()
const hangers = useState<Hanger[]>('hangers')

const { rows, working } = useLawnRows()
const held = (state: string | undefined) => state === 'hold' || state === 'risk'
const counts = computed(() =>
  LAWN_GROUPS.map((name) => ({ name, count: rows.value.filter((row) => row.group === name).length })).filter(
    ({ count }) => count,
  ),
)
const shown = computed(() => {
  const wanted = search.value.trim().toLowerCase()
  const found = rows.value.filter(
    (row) =>
      (group.value === 'all' || row.group === group.value) &&
      (!onlyHeld.value || held(row.gate?.state)) &&
      `${row.lawn.client} ${row.lawn.address} ${row.lawn.growsNow} ${row.grass}`.toLowerCase().includes(wanted),
  )
  return found.sort(
    (a, b) =>
      (sortBy.value === 'date' ? a.sortBy.localeCompare(b.sortBy) : 0) || a.lawn.client.localeCompare(b.lawn.client),
  )
})
/** What stands on the screen; a large book is unrolled a page at a time. */
const unrolled = ref(LIST_PAGE)
const onScreen = computed(() => shown.value.slice(0, unrolled.value))
const lacking = computed(() =>
  onScreen.value.filter(({ lawn }) => grassOf(lawn) && !(lawn.id in store.glances)).map(({ lawn }) => lawn.id),
)
const sill = useSillStore()
watch(
  () => [lacking.value.join(), sill.data?.outlook.today],
  ([ids, day], before) => {
    // A new day counts all of them anew, once the ledge itself has turned.
    const wanted =
      before && before[1] !== day ? onScreen.value.map(({ lawn }) => lawn.id) : String(ids).split(',').filter(Boolean)
    if (wanted.length) void store.loadGlances(wanted)
  },
  { immediate: true },
)
const area = computed(() =>
  text(
    figure(
      'areaM2',
      store.lawns.reduce((sum, { areaM2 }) => sum + areaM2, 0),
      4,
    ),
  ),
)
watchEffect(() => {
  const row = shown.value.find(({ lawn }) => lawn.id === cursor.value)
  hangers.value = row
    ? hangersOf(row.sequence, row.lawn.client)
    : rows.value.flatMap((each) => hangersOf(each.sequence, each.lawn.client, true))
})
const searchBox = useTemplateRef<{ inputRef: HTMLInputElement }>('searchBox')
useKeys({ '/': () => searchBox.value?.inputRef.focus() })
</script>

<template>
  <div>
    <header class="head">
      <h1>Lawns</h1>
      <span
        ><b>{{ store.lawns.length }}</b> lawns, <b>{{ area }}</b></span
      >
      <span class="small right">{{
        cursor
          ? `Above: ${shown.find((r) => r.lawn.id === cursor)?.lawn.client ?? ''}, the row you are on`
          : 'Above: sowing days of all lawns'
      }}</span>
    </header>
    <div v-if="store.lawns.length" class="tools">
      <UInput
        ref="searchBox"
        v-model="search"
        icon="i-lucide-search"
        aria-label="Find a lawn, street or grass"
        placeholder="Find a lawn, street or grass"
        class="find"
        ><template #trailing><kbd>/</kbd></template></UInput
      >
      <div class="switch" role="group" aria-label="Which lawns">
        <button type="button" :aria-pressed="group === 'all'" @click="group = 'all'">
          All {{ rows.length
          }}<template v-if="working && rows.length < store.lawns.length"> of {{ store.lawns.length }}</template>
        </button>
        <button
          v-for="g in counts"
          :key="g.name"
          type="button"
          :aria-pressed="group === g.name"
          @click="group = g.name"
        >
          {{ g.name.charAt(0).toUpperCase() + g.name.slice(1) }} {{ g.count }}
        </button>
      </div>
      <label class="check"
        ><input v-model="onlyHeld" type="checkbox" /> Only held or at risk
        <b>{{ rows.filter((r) => held(r.gate?.state)).length }}</b></label
      >
      <span class="small right"
        >Sort by
        <button class="opens" type="button" @click="sortBy = sortBy === 'date' ? 'name' : 'date'">
          {{ sortBy === 'date' ? 'next date' : 'name' }}
        </button></span
      >
    </div>
    <p v-if="store.problem && !context.problem" class="problem" role="alert">
      {{ store.problem.message }} <UButton variant="outline" class="ml-3" @click="store.loadAll()">Try again</UButton>
    </p>
    <div v-if="shown.length" class="list" role="table" aria-label="Lawns" @pointerleave="cursor = undefined">
      <div class="row-head" role="row">
        <span
          v-for="h in [
            'Lawn',
            `Area, ${unit('areaM2')}`,
            'Grass wanted',
            'Programme',
            'Sow',
            'Look to Bring',
            'Next',
            'Waits for',
          ]"
          :key="h"
          role="columnheader"
          >{{ h }}</span
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
    <UButton v-if="shown.length > onScreen.length" variant="outline" class="mt-3" @click="unrolled += LIST_PAGE"
      >Show {{ Math.min(LIST_PAGE, shown.length - onScreen.length) }} more of {{ shown.length }}</UButton
    >
    <p v-if="!shown.length && store.lawns.length" class="empty">
      No lawn fits.
      <button class="opens" type="button" @click="((search = ''), (group = 'all'), (onlyHeld = false))">
        Show all {{ store.lawns.length }}
      </button>
    </p>
    <p v-else-if="!store.lawns.length && !store.problem" class="empty">
      No lawn yet. Add the first one below: a name and an area are enough to begin its survey.
    </p>
    <AddLawn />
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
.check {
  display: flex;
  gap: 7px;
  align-items: center;
  cursor: pointer;
}
.check input {
  width: 17px;
  height: 17px;
  accent-color: var(--ink);
}
.list {
  display: grid;
  grid-template-columns:
    minmax(150px, 1.2fr) 66px minmax(110px, 1fr) 96px minmax(98px, auto) minmax(180px, 1.25fr)
    98px minmax(190px, 1.6fr);
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
.row-head span:nth-child(2) {
  text-align: right;
}
.empty {
  padding: 28px 8px;
  font-size: 15px;
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
  .switch button {
    min-height: 48px;
  }
}
</style>
