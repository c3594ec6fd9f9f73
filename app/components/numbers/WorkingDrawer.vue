<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { SOURCE_KIND_WORDS } from '#core/explain/working'

/** The ledger behind a number: result first, then the sum, then a check to be made on the ground. */
const store = useWorkingStore()
const { shown, other } = useUnits()
const working = computed(() => store.open)
const result = computed(() => working.value && shown(working.value.result))
const close = useTemplateRef<HTMLButtonElement>('close')
watch(working, async (open) => {
  if (!open) return
  await nextTick()
  close.value?.focus()
})
useEventListener('keydown', (event: KeyboardEvent) => {
  if (event.key === 'Escape' && working.value) store.close()
})
</script>

<template>
  <aside v-if="working && result" class="drawer" role="dialog" aria-label="Working">
    <header>
      <b>Working</b>
      <button ref="close" type="button" aria-label="Close the working" @click="store.close()">
        <UIcon name="i-lucide-x" class="size-5" />
      </button>
    </header>
    <div class="body">
      <div class="top">
        <span class="hero num"
          >{{ result.value }}<span class="unit"> {{ result.unit }}</span></span
        >
        <div>
          <h3>{{ working.title }}</h3>
          <span class="small">{{ working.formula }}</span>
        </div>
      </div>
      <table>
        <tbody>
          <tr v-for="(line, i) in working.lines" :key="i" :class="{ sum: line.subtotal }">
            <td class="operator">{{ line.operator ?? '' }}</td>
            <td>
              {{ line.what }}
              <div v-if="line.source" class="small">
                {{ line.source.text }} <i>({{ SOURCE_KIND_WORDS[line.source.kind] }})</i>
              </div>
            </td>
            <td class="value">
              <span class="num">{{ shown(line.value).value }}</span>
              <div class="unit">{{ shown(line.value).unit }}</div>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="other(working.result)" class="small">
        {{ other(working.result) }}<template v-if="working.rounding">. {{ working.rounding }}</template>
      </p>
      <p v-if="working.fieldCheck" class="check"><b>Check on the ground</b> {{ working.fieldCheck }}</p>
    </div>
  </aside>
</template>

<style scoped>
.drawer {
  position: fixed;
  right: 20px;
  top: 162px;
  width: 336px;
  max-height: calc(100vh - 180px);
  overflow-y: auto;
  background: var(--lime);
  border: 2px solid var(--ink);
  z-index: 30;
}
header {
  background: var(--ink);
  color: #fbfbf5;
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 4px 6px 4px 14px;
  position: sticky;
  top: 0;
}
header button {
  min-width: 32px;
  min-height: 32px;
  display: grid;
  place-items: center;
  color: #fbfbf5;
  cursor: pointer;
}
.body {
  padding: 12px 14px;
}
.top {
  display: flex;
  gap: 14px;
  align-items: center;
  padding-bottom: 10px;
  border-bottom: 1.5px solid var(--ink);
}
.hero {
  font-size: 36px;
  line-height: 1;
  white-space: nowrap;
}
.hero .unit {
  margin-left: 4px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 5px 4px;
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
  font-size: 12.5px;
  line-height: 1.3;
}
td .small {
  font-size: 12px;
}
.operator {
  width: 16px;
  font-size: 16px;
  line-height: 1;
}
.value {
  text-align: right;
  white-space: nowrap;
}
.value .num {
  font-size: 15px;
}
.value .unit {
  line-height: 1.1;
}
.sum td {
  border-bottom: 1.5px solid var(--ink);
  font-weight: 650;
}
.check {
  margin-top: 8px;
}
@media (max-width: 700px) {
  .drawer {
    left: 0;
    right: 0;
    bottom: 0;
    top: auto;
    width: auto;
    max-height: 80vh;
  }
  header button {
    min-width: 52px;
    min-height: 52px;
  }
  td {
    font-size: 14px;
  }
}
</style>
